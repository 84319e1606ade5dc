import type { HangChart } from '../../plan/hang/HangChart';
import type { BenchStand } from '../../answer/stand/benchStand';
import type { Metres } from '../../units/quantities';
import { isoOf } from '../../units/day';

/** One row of a hang chart as a table: one thing to do. Lengths in metres, times of the day as minutes, settings of dimmers as shares of full. */
export interface ChartRow {
  readonly day: string;
  readonly stand: string;
  readonly tier: number | '';
  readonly what: 'lamp' | 'dimmer' | 'riser' | 'timer';
  /** The lamp's name, the tray's crop, or the tiers of the timer. */
  readonly thing: string;
  readonly steps: number | '';
  readonly face_m: number | '';
  readonly risers: number | '';
  readonly on_min: number | '';
  readonly lit_min: number | '';
  readonly setting: number | '';
  /** Where the lamp or the tray is on its tier, from the left and from the front: several may be called the same. */
  readonly x_m: number | '';
  readonly y_m: number | '';
}

export const CHART_COLUMNS = [
  'day',
  'stand',
  'tier',
  'what',
  'thing',
  'steps',
  'face_m',
  'risers',
  'on_min',
  'lit_min',
  'setting',
  'x_m',
  'y_m',
] as const;

const EMPTY = { tier: '', steps: '', face_m: '', risers: '', on_min: '', lit_min: '', setting: '', x_m: '', y_m: '' } as const;

/** To a tenth of a millimetre. */
const round = (m: number) => Math.round(m * 10_000) / 10_000;

/** Where something is on its tier. */
export const placeOf = ({ x, y }: { readonly x: Metres; readonly y: Metres }) => ({ x_m: round(x), y_m: round(y) });

/** All that is to be done by a chart, a row each, day by day. What has gone from the stand is left out. */
export function chartRows(chart: HangChart, stand: BenchStand): ChartRow[] {
  return chart.visits.flatMap((v) => {
    const at = { day: isoOf(v.day), stand: stand.stand.name };
    return [
      ...stand.tiers.flatMap((t) => [
        ...v.lamps.flatMap((j): ChartRow[] => {
          const lamp = t.lamps.find((l) => l.fitting.id === j.fittingId);
          return lamp
            ? [
                {
                  ...at,
                  ...EMPTY,
                  tier: t.number,
                  what: 'lamp',
                  thing: lamp.lamp.name,
                  steps: j.steps,
                  face_m: round(j.face),
                  ...placeOf(lamp.fitting),
                },
              ]
            : [];
        }),
        ...v.dims.flatMap((j): ChartRow[] => {
          const lamp = t.lamps.find((l) => l.fitting.id === j.fittingId);
          return lamp
            ? [{ ...at, ...EMPTY, tier: t.number, what: 'dimmer', thing: lamp.lamp.name, setting: j.to, ...placeOf(lamp.fitting) }]
            : [];
        }),
        ...v.risers.flatMap((j): ChartRow[] => {
          const tray = t.trays.find((y) => y.tray.id === j.trayId);
          return tray ? [{ ...at, ...EMPTY, tier: t.number, what: 'riser', thing: tray.called, risers: j.to, ...placeOf(tray.tray) }] : [];
        }),
      ]),
      ...v.hours.map((j): ChartRow => {
        const tiers = stand.tiers.filter((t) => t.timer.id === j.timerId).map((t) => t.number);
        return { ...at, ...EMPTY, what: 'timer', thing: `tiers ${tiers.join(' ')}`, on_min: j.on_min, lit_min: j.lit_min };
      }),
    ];
  });
}
