import type { Emitter, IrradianceAt } from './Emitter';
import { irradianceFromDisc, irradianceFromPhotometric, irradianceFromPoint, irradianceFromRect } from './irradianceFromFace';
import { irradianceFromTube } from './irradianceFromTube';

/** The direct light of one emitter on receivers of any direction, made ready to be asked at many places. */
export function irradianceOf(emitter: Emitter): IrradianceAt {
  switch (emitter.kind) {
    case 'point':
      return irradianceFromPoint(emitter);
    case 'tube':
      return irradianceFromTube(emitter);
    case 'rect':
      return irradianceFromRect(emitter);
    case 'disc':
      return irradianceFromDisc(emitter);
    case 'photometric':
      return irradianceFromPhotometric(emitter);
  }
}
