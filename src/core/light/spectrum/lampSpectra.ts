import { mixture } from './figures';
import { bands, blackBody, daylight, fluorescent, whiteLed, whiteOf } from './models';
import type { Spectrum } from './Spectrum';

/** A spectrum that stands for lamps of one description, with what it is made from. */
export interface LampSpectrum {
  readonly spectrum: Spectrum;
  readonly made: string;
}

const red660 = () => bands([660, 18, 1]);
const blue450 = () => bands([450, 20, 1]);
const parts = (...list: readonly (readonly [Spectrum, number])[]) => mixture(list.map(([spectrum, share]) => ({ spectrum, share })));
const led = (kelvin: number): LampSpectrum => ({
  spectrum: whiteLed(kelvin),
  made: `modelled: blue chip and two phosphors, as white as a black body of ${kelvin} K, colour rendering 80`,
});

/** One for each id of the spectrum table, worked out when it is first wanted. Lines of discharge lamps are drawn as narrow bands. */
const table: Readonly<Record<string, () => LampSpectrum>> = {
  daylight: () => ({ spectrum: daylight(6500), made: 'CIE daylight of 6500 K (CIE 15:2004)' }),
  'daylight-window': () => ({ spectrum: daylight(6000), made: 'CIE daylight of 6000 K (CIE 15:2004); glass as clear at all wavelengths' }),
  'skylight-blue': () => ({ spectrum: daylight(12000), made: 'CIE daylight of 12 000 K (CIE 15:2004)' }),
  'fl-halo-cw': () => ({ spectrum: fluorescent('F2'), made: 'CIE illuminant F2 (CIE 15:2004)' }),
  'fl-830': () => ({ spectrum: fluorescent('F12'), made: 'CIE illuminant F12 (CIE 15:2004)' }),
  'fl-840': () => ({ spectrum: fluorescent('F11'), made: 'CIE illuminant F11 (CIE 15:2004)' }),
  'fl-865': () => ({
    spectrum: whiteOf(
      daylight(6500),
      [[450, 50, 1], [436, 7, 0.6], [405, 7, 0.25], [488, 18, 0.7]], // prettier-ignore
      [[543, 10, 1], [585, 12, 0.12]], // prettier-ignore
      // The red of europium with its lines at 650, 662, 687 and 707 nm, as strong beside the first as in F11.
      [[611, 8, 1], [628, 14, 0.25], [650, 12, 0.06], [662, 14, 0.035], [688, 14, 0.035], [708, 12, 0.09], [740, 70, 0.0035]], // prettier-ignore
    ),
    made: 'modelled: three phosphors and the mercury lines, as white as daylight of 6500 K',
  }),
  'fl-plant': () => ({
    spectrum: bands([440, 50, 0.75], [545, 12, 0.48], [585, 60, 0.2], [655, 28, 1.1], [705, 60, 0.06]),
    made: 'modelled: blue and red phosphor bands and the green mercury line',
  }),
  'led-2700': () => led(2700),
  'led-3000': () => led(3000),
  'led-4000': () => led(4000),
  'led-5000': () => led(5000),
  'led-6500': () => led(6500),
  'led-hcri': () => ({ spectrum: whiteLed(4000, 90), made: 'modelled: blue chip and two phosphors, 4000 K, colour rendering 90' }),
  'led-white-red': () => ({
    spectrum: parts([whiteLed(3200), 0.86], [red660(), 0.14]),
    made: 'modelled: white LED of 3200 K, a seventh of the photons from 660 nm',
  }),
  'led-pink': () => ({
    spectrum: parts([whiteLed(4000), 0.375], [red660(), 0.525], [blue450(), 0.1]),
    made: 'modelled: a third white LED, the rest red 660 and blue 450 nm',
  }),
  'led-blurple': () => ({
    spectrum: parts([whiteLed(4000), 0.09], [red660(), 0.76], [blue450(), 0.15]),
    made: 'modelled: red 660 and blue 450 nm with a little white',
  }),
  incandescent: () => ({ spectrum: blackBody(2750), made: 'black body of 2750 K (Planck)' }),
  halogen: () => ({ spectrum: blackBody(2950), made: 'black body of 2950 K (Planck)' }),
  mh: () => ({
    spectrum: bands([405, 8, 0.45], [420, 30, 0.35], [436, 7, 0.6], [475, 60, 0.3], [500, 8, 0.3], [546, 8, 1.2], [568, 8, 0.7], [579, 9, 0.9], [590, 14, 1.1], [620, 50, 0.45], [540, 130, 0.35], [672, 16, 0.4], [690, 60, 0.12]), // prettier-ignore
    made: 'modelled: lines of mercury, sodium and scandium over a broad band',
  }),
  cmh: () => ({
    spectrum: bands([405, 8, 0.2], [436, 10, 0.3], [450, 90, 0.3], [545, 120, 0.75], [546, 8, 0.4], [590, 18, 0.6], [615, 80, 0.5], [660, 70, 0.45], [670, 12, 0.3], [700, 50, 0.2]), // prettier-ignore
    made: 'modelled: broad bands and lines of a ceramic metal halide of about 4000 K',
  }),
  hps: () => ({
    spectrum: bands([450, 40, 0.05], [467, 6, 0.06], [498, 7, 0.22], [515, 6, 0.07], [546, 7, 0.07], [568, 9, 0.68], [582, 12, 0.9], [598, 18, 1.25], [616, 13, 0.48], [605, 90, 0.17], [655, 40, 0.02], [670, 14, 0.11], [690, 70, 0.08], [767, 10, 0.25]), // prettier-ignore
    made: 'modelled: the broadened lines of sodium, with its green and blue lines',
  }),
};

const known = new Map<string, LampSpectrum>();

/** The spectrum that stands for an id of the spectrum table. @throws RangeError for an id without one */
export function lampSpectrumOf(id: string): LampSpectrum {
  let found = known.get(id);
  if (!found) {
    if (!Object.hasOwn(table, id)) throw new RangeError(`no spectrum curve is called ${id}`);
    known.set(id, (found = table[id]!()));
  }
  return found;
}
