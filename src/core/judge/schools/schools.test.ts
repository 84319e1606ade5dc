import { cropLibrary } from '../../things/crop/cropLibrary';
import { schoolsOf } from './schools';

const nightFor = (id: string) => {
  const crop = cropLibrary.find((c) => c.id === id)!;
  return schoolsOf(crop, crop.stages[0]!, 16, 15).find((s) => s.id === 'day-and-night')!;
};

test('plants that stay have no first days: nothing is offered for them', () => {
  const hoya = cropLibrary.find((c) => c.id === 'hoya')!;
  expect(schoolsOf(hoya, hoya.stages[0]!, 12, 13).map((s) => s.id)).toEqual(['steady', 'computed']);
});

test('day and night is refused where unbroken light is known to injure, with the source', () => {
  // Velez-Ramirez et al. 2014; Hillman 1956: tomato and aubergine.
  expect(nightFor('tomato')).toMatchObject({ standing: 'refused', source: expect.stringContaining('Velez-Ramirez') });
  expect(nightFor('eggplant').standing).toBe('refused');
});

test('it is offered where it is known to do no harm, and with a warning where nobody knows', () => {
  const low = cropLibrary.find((c) => c.continuousLightInjury === 'low')!;
  const unknown = cropLibrary.find((c) => c.continuousLightInjury === null)!;
  expect(nightFor(low.id).standing).toBe('offered');
  expect(nightFor(unknown.id).standing).toBe('warned');
});

test('steady keeps the hours as they are, stepping goes from the longest day to the shortest, computed is what was computed', () => {
  const crop = cropLibrary.find((c) => c.id === 'celery')!;
  const stage = crop.stages[0]!;
  const hoursOf = Object.fromEntries(schoolsOf(crop, stage, 16, 14.5).map((s) => [s.id, [s.first, s.then]]));
  expect(hoursOf).toEqual({
    steady: [16, 16],
    stepping: [stage.hoursMax, stage.hoursMin],
    'day-and-night': [24, 14.5],
    computed: [14.5, 14.5],
  });
});
