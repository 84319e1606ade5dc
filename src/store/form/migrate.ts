import type { LampShape } from '../../core/things/lamp/Lamp';
import { tables } from '../../core/things/tables/libraryTables';
import { faceSizeOf } from '../../core/site/stand/footprint';
import { AS_NEW } from '../../core/things/lamp/ageing';
import { USUAL_RHYTHM } from '../../core/site/hang/VisitRhythm';
import { AS_SET } from '../../core/site/timer/HoursPlan';
import { IN_THE_OPEN } from '../../core/site/stand/Enclosure';
import { CORD } from '../../core/site/stand/Hanger';
import { ON_THE_FLOOR, SHELF } from '../../core/site/stand/plain';

/** The version of the file that is written today. */
export const VERSION = 19;

/**
 * Brings the file of an older version up to today's, step by step. What is not as the older version promised is left as
 * it is, for the reader to name.
 *
 *     1 → 2: a tier has readings; there were none before.
 *     2 → 3: a tier has sides and its lamps an age; it stood in the open before, under lamps of unknown age.
 *     3 → 4: stands are drawn on the bench: lamps hang by something, trays may stand on risers. All were laid out by numbers before.
 *     4 → 5: readings remember each lamp that was lit and what was around; a tier has fits, the household its meters and cheap hours;
 *            batches have dates and plans, timers outlets, the household its own crops and a rhythm of visits. Before, lamps
 *            hung in a row under the middle of the tier, as it was when the file was written.
 *     5 → 6: trays may have a cover, the household says what no drawing shows, and stands know of their calendar.
 *            There was none of it before.
 *     6 → 7: the household has a place, a climate and windows, and stands may be at one. Before, nothing was known of it.
 *     7 → 8: the household may plan a season, jobs of a day are ticked, lamps have prices. Before, there was none of it.
 *     8 → 9: plants that look wrong are followed in the clinic, and trays compared in trials, cautions are seen to. Before, there was none of it.
 *     9 → 10: entries of the journal may have a photo, and what stood there before they were corrected. Before, none had.
 *     10 → 11: entries may hold temperatures and humidity, or EC and pH, and the clinic a stem. Before, none did.
 *     11 → 12: lamps may be things of their own with a dimmer, power may have more prices, trays of a tier may turn or change places by a
 *            rhythm, trouble may have a sign and a place. Before, there was none of it.
 *     12 → 13: dimmers may be turned on the visits of a chart that was put up, and timers may pause. Before, none was and none did.
 *     13 → 14: readings at a window know its curtain and dirt, and whether its horizon was drawn anew since. Before, they were as now.
 *     14 → 15: lamps may be tilted, and readings know of it. Before, all hung level.
 *     15 → 16: lamps may travel on rails, and readings know of it. Before, all hung still.
 *     16 → 17: batches may remember the light that they were grown in. Before, none did.
 *     17 → 18: trials know on which days their trays changed places, and what a tray that is gone had been given; corrected
 *            entries keep the air, the EC and the leaf sign that stood there. Before, none did.
 *     18 → 19: what of tiers was set otherwise earlier is written down. Before, they are taken to have been set as they were then.
 */
export function migrate(data: Record<string, unknown>): Record<string, unknown> {
  const second = data.version === 1 ? toVersion2(data) : data;
  const third = second.version === 2 ? toVersion3(second) : second;
  const fourth = third.version === 3 ? toVersion4(third) : third;
  const fifth = fourth.version === 4 ? toVersion5(fourth) : fourth;
  const sixth = fifth.version === 5 ? toVersion6(fifth) : fifth;
  const seventh = sixth.version === 6 ? toVersion7(sixth) : sixth;
  const eighth = seventh.version === 7 ? { season: null, jobMarks: [], lampPrices: [], ...seventh, version: 8 } : seventh;
  const ninth = eighth.version === 8 ? { clinic: [], trials: [], safety: [], ...eighth, version: 9 } : eighth;
  const tenth = ninth.version === 9 ? { ...ninth, version: 10 } : ninth;
  const eleventh = tenth.version === 10 ? { ...tenth, version: 11 } : tenth;
  const twelfth = eleventh.version === 11 ? toVersion12(eleventh) : eleventh;
  const thirteenth = twelfth.version === 12 ? toVersion13(twelfth) : twelfth;
  // Of readings at a window it is taken that curtain and dirt were as they are.
  const fourteenth = thirteenth.version === 13 ? { ...thirteenth, version: 14 } : thirteenth;
  const fifteenth = fourteenth.version === 14 ? { ...fourteenth, version: 15 } : fourteenth;
  const sixteenth = fifteenth.version === 15 ? { ...fifteenth, version: 16 } : fifteenth;
  const seventeenth = sixteenth.version === 16 ? { ...sixteenth, version: 17 } : sixteenth;
  const eighteenth = seventeenth.version === 17 ? { ...seventeenth, version: 18 } : seventeenth;
  return eighteenth.version === 18 ? { earlier: [], ...eighteenth, version: 19 } : eighteenth;
}

const toVersion2 = (data: Record<string, unknown>) => withTiers({ ...data, version: 2 }, (tier) => ({ readings: [], ...tier }));

function toVersion3(data: Record<string, unknown>): Record<string, unknown> {
  const { width, depth, height, faces } = IN_THE_OPEN;
  const enclosure = { width_m: width, depth_m: depth, height_m: height, faces };
  return withTiers({ ...data, version: 3 }, (tier) => ({ enclosure, ageing: AS_NEW, ...tier }));
}

function toVersion4(data: Record<string, unknown>): Record<string, unknown> {
  const hanger = { kind: CORD.kind, step_m: CORD.step, load_kg: null };
  const { risers, riserHeight, label } = ON_THE_FLOOR;
  const inTiers = withTiers({ quiet: null, spares: [], ...data, version: 4 }, (tier) => ({
    notch_m: null,
    load_kg: null,
    ...tier,
    fittings: each(tier.fittings, (f) => ({ hanger, ...f })),
    readings: each(tier.readings, (r) => ({ face_m: null, ...r })),
    trays: each(tier.trays, (t) => ({ risers, riserHeight_m: riserHeight, label, ...t })),
  }));
  return { ...inTiers, stands: each(inTiers.stands, (s) => ({ kind: 'shelf', laidOut: true, shelf_m: SHELF, strip_W: null, ...s })) };
}

/** The kinds of meter of version 4 in the meter table. */
const KINDS: Readonly<Record<string, string>> = {
  'lux-meter': 'lux-basic',
  'foot-candle-meter': 'fc-digital',
  'quantum-meter': 'quantum-par',
  phone: 'phone-sensor',
};

function toVersion5(data: Record<string, unknown>): Record<string, unknown> {
  const own = new Map(Array.isArray(data.lamps) ? data.lamps.filter(isObject).map((l) => [l.id, l]) : []);
  /** Width of the face of a lamp, of the table or of the file; as far as it is a number. */
  const widthOf = (id: unknown): number => {
    const known = tables.lamp(String(id));
    if (known) return faceSizeOf(known).width;
    const { shape, width_m, length_m, emitters, spacing_m } = own.get(id) ?? {};
    return faceSizeOf({
      shape: shape as LampShape,
      length: Number(length_m) || 0,
      width: Number(width_m) || 0,
      emitters: Number(emitters) || 1,
      spacing: Number(spacing_m) || 0,
    }).width;
  };
  const dated = {
    meters: [],
    cheap: null,
    crops: [],
    cropNotes: [],
    visits: { ...USUAL_RHYTHM },
    timeZone: null,
    ...data,
    version: 5,
    batches: each(data.batches, (b) => ({ sown: null, leaves: null, log: [], plan: { ...AS_SET }, ...b })),
    programmes: each(data.programmes, (p) => ({ rating_W: null, outlets: null, ...p })),
    stands: each(data.stands, (s) => ({ steadyOutlets: null, plugged: [], chart: null, ...s })),
  };
  return withTiers(dated, (tier) => {
    const enclosure = isObject(tier.enclosure) ? tier.enclosure : {};
    const first = Array.isArray(tier.fittings) && isObject(tier.fittings[0]) ? Number(tier.fittings[0].face_m) : 0;
    const around = {
      width_m: tier.width_m,
      depth_m: tier.depth_m,
      height_m: enclosure.height_m,
      faces: enclosure.faces,
      covered: coveredBy(tier),
    };
    return {
      fits: [],
      daylight: null,
      ...tier,
      readings: each(tier.readings, ({ meter, distance_m, face_m, lampId, lamps, gap_m, ...rest }) => {
        const face = typeof face_m === 'number' ? face_m : first;
        const pitch = widthOf(lampId) + Number(gap_m);
        const count = Math.min(50, Math.max(1, Number(lamps) || 1));
        return {
          meterId: null,
          factor: 1,
          dark: 0,
          of: 1,
          used_h: null,
          around,
          ...rest,
          kindId: KINDS[String(meter)] ?? meter,
          z_m: face - Number(distance_m),
          lit: Array.from({ length: count }, (_, i) => ({
            lampId,
            fromMiddleX_m: 0,
            fromMiddleY_m: (i - (count - 1) / 2) * pitch,
            face_m: face,
            turn_rad: 0,
          })),
        };
      }),
    };
  });
}

const toVersion6 = (data: Record<string, unknown>) =>
  withTiers({ stated: [], ...data, version: 6, stands: each(data.stands, (s) => ({ calendar: null, ...s })) }, (tier) => ({
    ...tier,
    trays: each(tier.trays, (t) => ({ coverId: null, ...t })),
  }));

/** What the sunshine of a cloudy coast was taken to be when version 7 came. */
const CLOUDY_COAST = [0.21, 0.27, 0.32, 0.39, 0.41, 0.4, 0.4, 0.4, 0.38, 0.32, 0.25, 0.19];

const toVersion7 = (data: Record<string, unknown>) => ({
  place: null,
  climate: { kind: 'cloudy-coast', name: '', sunshine: CLOUDY_COAST },
  windows: [],
  ...data,
  version: 7,
  stands: each(data.stands, (s) => ({ window: null, ...s })),
});

const toVersion12 = (data: Record<string, unknown>) =>
  withTiers({ ownLamps: [], bands: [], ...data, version: 12 }, (tier) => ({ rotation: null, ...tier }));

const toVersion13 = (data: Record<string, unknown>) => ({
  ...data,
  version: 13,
  programmes: each(data.programmes, (p) => ({ pause: null, ...p })),
  stands: each(data.stands, (s) =>
    isObject(s.chart) ? { ...s, chart: { ...s.chart, visits: each(s.chart.visits, (v) => ({ dims: [], ...v })) } } : s,
  ),
});

/** Share of a tier's floor that its trays cover. */
function coveredBy(tier: Record<string, unknown>): number {
  const floor = Number(tier.width_m) * Number(tier.depth_m);
  const trays = Array.isArray(tier.trays) ? tier.trays.filter(isObject) : [];
  const covered = trays.reduce((sum, t) => sum + Number(t.length_m) * Number(t.width_m), 0);
  return floor > 0 && Number.isFinite(covered) ? Math.min(1, covered / floor) : 0;
}

/** Changes every tier that looks like one. */
const withTiers = (
  data: Record<string, unknown>,
  change: (tier: Record<string, unknown>) => Record<string, unknown>,
): Record<string, unknown> => ({
  ...data,
  stands: each(data.stands, (stand) => ({ ...stand, tiers: each(stand.tiers, change) })),
});

/** Changes every object of a list; what is no list, or no object in it, is left for the reader to name. */
const each = (list: unknown, change: (thing: Record<string, unknown>) => Record<string, unknown>): unknown =>
  Array.isArray(list) ? list.map((thing: unknown) => (isObject(thing) ? change(thing) : thing)) : list;

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value);
