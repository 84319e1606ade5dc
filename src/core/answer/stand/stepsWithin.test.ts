import { demoSite } from '../../../store/site/demoSite';
import { LAMP_HEADROOM } from '../../site/stand/Enclosure';
import { hangerOf } from '../../site/stand/Hanger';
import type { Fitting } from '../../site/stand/Site';
import { tables } from '../../things/tables/libraryTables';
import { benchStandOf } from './benchStand';
import { stepsWithin } from './stepsWithin';

const site = demoSite('en-GB');
const rack = benchStandOf(
  site,
  site.stands.find((s) => s.id === 'demo-rack')!,
  tables,
);
const { tier } = rack.tiers[1]!;
const covered = { tier: { ...tier, enclosure: { ...tier.enclosure, height: 0.4 } }, number: 2 };
const lidless = { ...tier.enclosure, faces: { ...tier.enclosure.faces, ceiling: 'open' as const } };
const open = { tier: { ...tier, enclosure: lidless }, number: 1 };
const { fitting, lamp } = rack.tiers[1]!.lamps[0]!;
const CHAIN = hangerOf('chain'); // links of 2 cm
const CORD = hangerOf('cord'); // by half centimetres
const hung = (change: Partial<Fitting>) => ({ lamp, fitting: { ...fitting, tilt: 0, hanger: CHAIN, face: 0.255, ...change } });

test('a lamp goes up by whole steps of its hanger until there is only room for its hooks', () => {
  expect(0.4 - LAMP_HEADROOM).toBeCloseTo(0.37, 9);
  expect(stepsWithin(covered, hung({}), 2)).toBe(5); // to 35.5 cm: a sixth link would be half a centimetre too much
  expect(stepsWithin(covered, hung({}), 0.3)).toBe(2);
  expect(stepsWithin(covered, hung({ face: 0.35 }), 2)).toBe(1);
  expect(stepsWithin(covered, hung({ face: 0.37 }), 2)).toBe(0);
  expect(stepsWithin(covered, hung({ hanger: CORD }), 2)).toBe(23);
});

test('a tilted lamp is held by its upper edge', () => {
  expect(stepsWithin(covered, hung({ hanger: CORD, tilt: 0.5 }), 2)).toBeLessThan(23);
});

test('a lamp above the roof is not taken farther, but comes down', () => {
  expect(stepsWithin(covered, hung({ face: 0.39 }), 0.45)).toBe(0);
  expect(stepsWithin(covered, hung({ face: 0.39 }), 0.305)).toBe(-4);
});

test('it stays above the floor; one in the open goes as high as is wished, one screwed on stays', () => {
  expect(stepsWithin(covered, hung({}), -1)).toBe(-12);
  expect(stepsWithin(covered, hung({ face: 0.005 }), -1)).toBe(0);
  expect(stepsWithin(open, hung({}), 2)).toBe(87);
  expect(stepsWithin(covered, hung({ hanger: hangerOf('fixed') }), 0.3)).toBe(0);
});
