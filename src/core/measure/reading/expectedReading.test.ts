import { demoSite } from '../../../store/site/demoSite';
import { tables } from '../../things/tables/libraryTables';
import { realLamps } from '../../answer/stand/knownOf';
import { setUpOf, type SetUp } from '../../answer/stand/setUp';
import { LUX_PER_FOOT_CANDLE } from '../../units/light';
import { expectedReading } from './expectedReading';
import { placeNow } from './takeReading';
import { lightThere } from './lightThere';
import { otherwiseOf } from './otherwiseOf';

const site = demoSite('en-GB');
const setUp = (id: string) =>
  setUpOf(
    site,
    site.stands.find((s) => s.id === id)!,
    tables,
  );
const lampsIn = ({ known }: SetUp) => realLamps(known, (id) => tables.lamp(id));

test('where readings were taken, a sound meter should show about what they say', () => {
  const celery = setUp('demo-celery');
  const first = celery.tier.readings[0]!; // 11 200 lx in the middle, 14 cm below
  const expected = expectedReading('lux-basic', lightThere(first, lampsIn(celery)));
  expect(expected.unit).toBe('lx');
  expect(expected.value).toBeWithin(first.value, { relative: 0.12 });
});

test('foot-candles are a tenth of lux, photons less still, and pale sides make any meter show more', () => {
  const parsley = setUp('demo-parsley');
  const { tier } = parsley;
  const at = placeNow(tier, { x: tier.width / 2, y: tier.depth / 2, z: tier.fittings[0]!.face - 0.25 });
  const shown = (kind: string) => expectedReading(kind, lightThere(at, lampsIn(parsley))).value!;
  expect(shown('fc-digital')).toBeWithin(shown('lux-basic') / LUX_PER_FOOT_CANDLE, { relative: 0.01 });
  expect(shown('quantum-par')).toBeWithin(shown('lux-basic') / 62, { relative: 0.08 });
  const faces = { floor: 'open', ceiling: 'open', left: 'open', right: 'open', front: 'open', back: 'open' };
  const inTheOpen = expectedReading('lux-basic', lightThere({ ...at, around: { ...at.around, faces } }, lampsIn(parsley)));
  expect(shown('lux-basic')).toBeGreaterThan(inTheOpen.value!);
});

test('a sensor that is said to be close under a lamp may have been nearer still, but not beside or above it', () => {
  const celery = setUp('demo-celery');
  const first = celery.tier.readings[0]!;
  const lowest = Math.min(...first.lit.map((l) => l.face));
  const close = { ...first, z: lowest - 0.03 };
  const { higher, lower } = otherwiseOf(close, lampsIn(celery));
  const at = (z: number) => lightThere({ ...close, z }, lampsIn(celery)).ppfd;
  expect(higher).toBeWithin(at(lowest - 0.01) / at(close.z), { relative: 1e-9 });
  expect(lower).toBeWithin(at(close.z - 0.05) / at(close.z), { relative: 1e-9 });
});

test('a lamp that has got another shape under the same name, with the same flux, gives another light', () => {
  const celery = setUp('demo-celery');
  const first = celery.tier.readings[0]!;
  const lampOf = lampsIn(celery);
  const under = (change: object) => lightThere(first, (id) => ({ ...lampOf(id)!, ...change })).ppfd;
  const long = under({});
  const short = under({ length: 0.2 });
  expect(short).not.toBeCloseTo(long, 1);
  expect(under({})).toBe(long);
});
