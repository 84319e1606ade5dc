import type { Crop } from '@/core/things/crop/Crop';
import type { Logged, LoggedKind } from '@/core/site/stand/Logged';
import { showLength, type LengthUnit } from '@/core/units/length';
import { showGrams } from '@/core/units/weight';
import { showTemperature, type TemperatureUnit } from '@/core/units/temperature';
import { PLACE_WORDS, LEAF_SIGN_WORDS } from '../tray/leafSignWords';
import { stageWords } from '../verdict/words';

/** What each kind of entry is called. */
export const ENTRY_KINDS: Readonly<Record<LoggedKind, string>> = {
  emerged: 'Up',
  'not-yet': 'Nothing up yet',
  'true-leaves': 'First true leaves',
  'potted-on': 'Potted on',
  stage: 'Stage',
  height: 'Height',
  watered: 'Watered',
  fed: 'Fed',
  thinned: 'Thinned',
  moved: 'Moved or turned',
  trouble: 'Trouble',
  harvest: 'Harvest',
  note: 'Note',
  photo: 'Photo',
  'next-time': 'Next time',
  air: 'Air',
  solution: 'EC and pH',
};

/** An entry in words. */
export function entryWords(l: Logged, crop: Crop | undefined, unit: LengthUnit, temperature: TemperatureUnit = 'C'): string {
  const text = l.text ? `: ${l.text}` : '';
  switch (l.what) {
    case 'height':
      return `${showLength(l.height ?? 0, unit)}${l.heightSd ? ` ± ${showLength(l.heightSd, unit)}` : ''} tall${l.heightSd ? ', measured on a photo' : ''}${text}`;
    case 'stage': {
      const stage = crop?.stages.find((s) => s.stage === l.stage);
      return `from here on: ${stage ? stageWords(stage) : l.stage}${text}`;
    }
    case 'note':
      return l.text ?? '';
    case 'harvest':
      return `${ENTRY_KINDS.harvest}${l.weight_g === undefined ? '' : `, ${showGrams(l.weight_g, unit)}`}${text}`;
    case 'air': {
      const { low = null, high = null, humidity = null } = l.air ?? {};
      const degrees = (c: number) => showTemperature(c, temperature);
      const span = low !== null && high !== null ? `${degrees(low)} to ${degrees(high)}` : low !== null ? `lowest ${degrees(low)}` : high !== null ? `highest ${degrees(high)}` : ''; // prettier-ignore
      return [span, humidity === null ? '' : `${humidity} % humidity`].filter(Boolean).join(', ') + text;
    }
    case 'solution': {
      const { ec = null, ph = null } = l.solution ?? {};
      return [ec === null ? '' : `EC ${ec} mS/cm`, ph === null ? '' : `pH ${ph}`].filter(Boolean).join(', ') + text;
    }
    case 'trouble':
      return l.sign
        ? `${LEAF_SIGN_WORDS[l.sign].toLowerCase()}${l.place === undefined ? '' : `, ${PLACE_WORDS[l.place]}`}${text}`
        : `${ENTRY_KINDS.trouble}${text}`;
    case 'emerged':
      return `up${text}`;
    default:
      return `${ENTRY_KINDS[l.what]}${text}`;
  }
}
