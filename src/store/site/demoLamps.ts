import { addOwnLamps, plainOwnLamp } from '../../core/site/ownLamps/changeOwnLamps';
import type { OwnLamp } from '../../core/site/lamp/OwnLamp';
import type { Site } from '../../core/site/stand/Site';
import { dayFrom, type Day } from '../../core/units/day';

/** The lamps that the reading room has entered one by one: four new ones that can be dimmed, one faded and noisy, one put away for good. */
export function withDemoLamps(site: Site, today: Day): Site {
  const fittingsOf = (standId: string, tier: number) => site.stands.find((s) => s.id === standId)!.tiers[tier]!.fittings;
  const hung = (standId: string, tier: number, i: number, name: string, by: Partial<OwnLamp>): OwnLamp => {
    const { id, lampId } = fittingsOf(standId, tier)[i]!;
    return { ...plainOwnLamp(`lamp-${standId}-${tier}-${i}`, lampId, name), fittingId: id, ...by };
  };
  const dimmer = { steps: [0.25, 0.5, 0.75], points: [{ setting: 0.5, light: 0.53, draw: 0.55 }] };
  const bar: Partial<OwnLamp> = {
    bought: today - 60,
    paid: 22,
    counted: { hours: 60 * 16, on: today },
    drawn: { power: 23.1, load: 24.6 },
    dimmer,
    noise: 'silent',
  };
  const wings: Partial<OwnLamp> = {
    bought: today - 120,
    paid: 41,
    counted: { hours: 120 * 14, on: today },
    dimmer: { steps: [], points: [] },
  };
  return addOwnLamps([
    hung('demo-rack', 0, 0, 'Shop light, front', { bought: today - 60, paid: 34 }),
    hung('demo-rack', 0, 1, 'Shop light, back', { bought: today - 60, paid: 34 }),
    hung('demo-rack', 3, 0, 'White bar A', bar),
    hung('demo-rack', 3, 1, 'White bar B', bar),
    hung('demo-stacks', 1, 0, 'Stacks light, left', wings),
    hung('demo-stacks', 1, 1, 'Stacks light, right', wings),
    hung('demo-landing', 0, 0, 'Landing lamp', {
      bought: dayFrom(2020, 9, 5),
      counted: { hours: 29_400, on: today },
      noise: 'hums',
      fault: 'Flickers for a minute when the stairs are cold.',
    }),
    {
      ...plainOwnLamp('lamp-clamp', 'led-a-17-clamp', 'Clamp lamp with the loose joint'),
      counted: { hours: 5200, on: today },
      fault: 'The joint does not hold: hang it by its cord.',
    },
    {
      ...plainOwnLamp('lamp-batten', 't5-09-2refl', 'First tube batten'),
      counted: { hours: 21_000, on: today - 400 },
      retired: today - 400,
    },
  ])(site);
}
