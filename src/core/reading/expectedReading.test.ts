import { demoSite } from '../../store/site/demoSite';
import { tables } from '../../store/site/tables';
import { LUX_PER_FOOT_CANDLE } from '../units/light';
import { setUpOf } from '../stand/setUp';
import { expectedReading } from './expectedReading';

const site = demoSite('en-GB');
const setUp = (id: string) =>
  setUpOf(
    site,
    site.stands.find((s) => s.id === id)!,
    tables,
  );

test('where readings were taken, a sound meter should show about what they say', () => {
  const celery = setUp('demo-celery');
  const first = celery.tier.readings[0]!; // 11 200 lx in the middle, 14 cm below
  const expected = expectedReading(celery, 'lux-meter', first.dx, first.dy, first.distance);
  expect(expected.unit).toBe('lx');
  expect(expected.value).toBeWithin(first.value, { relative: 0.12 }); // the meter's own miss of slanting light included
});

test('foot-candles are a tenth of lux, photons less still, and pale sides make any meter show more', () => {
  const parsley = setUp('demo-parsley');
  const shown = (kind: Parameters<typeof expectedReading>[1]) => expectedReading(parsley, kind, 0, 0, 0.25).value!;
  expect(shown('foot-candle-meter')).toBeWithin(shown('lux-meter') / LUX_PER_FOOT_CANDLE, { relative: 0.01 });
  expect(shown('quantum-meter')).toBeWithin(shown('lux-meter') / 62, { relative: 0.08 });
  expect(shown('lux-meter')).toBeGreaterThan(expectedReading({ ...parsley, around: null }, 'lux-meter', 0, 0, 0.25).value!);
});
