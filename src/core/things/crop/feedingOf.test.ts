import { cropLibrary } from './cropLibrary';
import { feedingOf } from './feedingOf';

const of = (id: string) => feedingOf(cropLibrary.find((c) => c.id === id)!);

test('a feed comes as often as the table says, and not more often than every 10 to 14 days', () => {
  expect(of('lettuce')).toMatchObject({ strength: 'half label rate', everyDays: 12, fromDay: 8 });
  expect(of('parsley')).toMatchObject({ strength: 'half label rate', everyDays: 14 });
  for (const crop of cropLibrary) {
    const feeding = feedingOf(crop);
    expect(feeding === null).toBe(!crop.fed);
    // What is raised from seed is fed by days; houseplants by waterings, months or seasons.
    if (feeding && crop.sowing) expect(feeding.everyDays).toBeWithin(12, { absolute: 2 });
    if (feeding && feeding.everyDays === null) expect(feeding.strength).toBe(crop.feed!.strength);
  }
  expect([of('carnivorous'), of('micro-pea')]).toEqual([null, null]);
  expect(of('cactus')).toMatchObject({ everyDays: null });
});
