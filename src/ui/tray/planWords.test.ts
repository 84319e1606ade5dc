import type { Stage } from '@/core/things/crop/Crop';
import { cropLibrary } from '@/core/things/crop/cropLibrary';
import { AS_SET, PLAN_KINDS } from '@/core/site/timer/HoursPlan';
import { dayLengthWords, DAY_LENGTHS, injuryWords, remedyWords, seedLightWords, stretchWords } from '../crops/cropWords';
import { stageWords } from '../verdict/words';
import { dliLimitWords, hoursWords, planWords, riskWords, wishLimitWords } from './planWords';

test('every plan has a name of its own, with its hours or days where it has them', () => {
  expect(new Set(PLAN_KINDS.map((kind) => planWords({ ...AS_SET, kind }))).size).toBe(PLAN_KINDS.length);
  expect(planWords({ kind: 'steady', hours: 15.5, days: null })).toBe('Steady, 15 h 30');
  expect(planWords({ kind: 'day-and-night', hours: null, days: 4 })).toBe('Day and night for 4 days, then by the DLI');
  expect(hoursWords(13.9)).toBe('14 h');
});

test('risks and limits say how much of them there is', () => {
  expect(riskWords({ why: 'weak', days: 1 })).toBe('the weakest spot is short on 1 day');
  expect(riskWords({ why: 'continuous-light', injury: 'low', days: 3 })).toContain('which it tolerates');
  expect(riskWords({ why: 'continuous-light', injury: null, days: 3 })).toContain('some crops yellow');
  expect(riskWords({ why: 'bolting', hours: 16, above: 14 })).toContain('16 h');
  const [first, second] = cropLibrary.find((c) => c.stages.length > 1)!.stages as [Stage, Stage];
  expect(
    wishLimitWords([
      { stage: first, limit: 'shortest-day' },
      { stage: second, limit: 'shortest-day' },
    ]),
  ).toEqual([`Limited by the crop’s minimum photoperiod: ${stageWords(first)}, ${stageWords(second)}.`]);
  expect(
    wishLimitWords([
      { stage: first, limit: 'longest-day' },
      { stage: second, limit: null },
    ]),
  ).toEqual([`Limited by the crop’s maximum photoperiod: ${stageWords(first)}.`]);
  expect(dliLimitWords('too-strong')).toContain('stronger');
});

test('all that the crop table says has words', () => {
  for (const crop of cropLibrary) {
    expect(DAY_LENGTHS).toContain(crop.dayLengthType);
    expect(dayLengthWords(crop.dayLengthType)).not.toBe(crop.dayLengthType);
    expect([injuryWords(crop), remedyWords(crop.leggyRemedy), stretchWords(crop.stretchProne)].every(Boolean)).toBe(true);
    if (crop.germination) expect(seedLightWords(crop.germination.light)).toContain('seed');
  }
});
