import { demoSite } from '../../../store/site/demoSite';
import { cautionLibrary } from '../../things/caution/cautionLibrary';
import { tables } from '../../things/tables/libraryTables';
import { addFitting, changeFittings } from '../../site/stand/change';
import { addPlugged } from '../../site/stand/changeOutlets';
import { seeTo, unsee } from '../../site/stand/changeSafety';
import type { Site } from '../../site/stand/Site';
import { dayFrom } from '../../units/day';
import { benchStandOf } from '../stand/benchStand';
import { cautionsFor } from './cautionsFor';
import { safetyGate, safetyWord } from './safetyGate';

const DAY = dayFrom(2027, 3, 1);
const site = demoSite('en-GB', null);
const first = site.stands.find((s) => !s.autoArranged)!;
const standOf = (s: Site) =>
  benchStandOf(
    s,
    s.stands.find((x) => x.id === first.id)!,
    tables,
  );
const gate = (s: Site) => safetyGate(standOf(s), s.stated, s.safety, cautionLibrary);
const allSeen = (s: Site) =>
  gate(s).reduce((x, l) => seeTo({ standId: first.id, cautionId: l.caution.id, day: DAY, of: safetyWord(standOf(s), s.stated) })(x), s);

test('every danger and warning that applies has to be seen to, and nothing else; dangers come first', () => {
  const lines = gate(site);
  const applies = cautionsFor(standOf(site), site.stated, cautionLibrary).filter((c) => c.severity !== 'info');
  expect(lines.map((l) => l.caution.id).sort()).toEqual(applies.map((c) => c.id).sort());
  expect(lines.every((l) => l.state === 'open')).toBe(true);
  const grave = lines.map((l) => l.caution.severity === 'danger');
  expect(grave).toEqual([...grave].sort((a, b) => Number(b) - Number(a)));
});

test('what was seen to stays so while lamps follow the plants, and is asked again when the stand is another', () => {
  const seen = allSeen(site);
  expect(gate(seen).every((l) => l.state === 'seen-to')).toBe(true);
  const { id: tierId, fittings } = first.tiers[0]!;
  const raised = changeFittings(tierId, [fittings[0]!.id], (f) => ({ ...f, face: f.face - 0.02 }))(seen);
  expect(gate(raised).filter((l) => l.state === 'changed-since')).toEqual([]);
  const heavier = addPlugged(first.id, { id: 'heater', kind: 'other', name: 'heater', power: 1500, timerId: null })(seen);
  expect(gate(heavier).every((l) => l.state !== 'seen-to')).toBe(true);
  const lamp = tables.lamp('t5-09-2refl')!;
  expect(gate(addFitting(tierId, lamp, { x: 0.3, y: 0.1, face: 0.35 }, 'one-more')(seen)).every((l) => l.state !== 'seen-to')).toBe(true);
  // Told otherwise of the household, as well.
  expect(gate({ ...seen, stated: ['children', 'extensionLead'] }).some((l) => l.state === 'seen-to')).toBe(false);
  const one = gate(seen)[0]!.caution.id;
  expect(gate(unsee({ standId: first.id, cautionId: one })(seen)).find((l) => l.caution.id === one)!.state).toBe('open');
});
