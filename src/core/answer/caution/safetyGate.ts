import type { HungLamp } from '../../site/lamp/OwnLamp';
import type { SafetyMark } from '../../site/safety/SafetyMark';
import type { Stated } from '../../site/stand/Stated';
import type { Caution } from '../../things/caution/Caution';
import type { Day } from '../../units/day';
import type { BenchStand } from '../stand/benchStand';
import { cautionsFor } from './cautionsFor';

/** A caution that applies to a stand, and whether somebody has seen to it as the stand is now. */
export interface GateLine {
  readonly caution: Caution;
  readonly state: 'open' | 'seen-to' | 'changed-since';
  /** When it was last seen to; null: never. */
  readonly day: Day | null;
}

/**
 * What a stand is like as far as safety goes: its lamps and how they hang, what is plugged in where, ratings, sides and what the
 * household states. Plants grow and lamps follow them: that alone asks for nothing, unless another caution comes to apply. Two stands that are alike in all this have the same word.
 */
export function safetyWord({ stand, tiers }: BenchStand, stated: readonly Stated[]): string {
  const of = [
    stand.kind,
    stand.strip,
    stand.steadyOutlets,
    stand.plugged.map((p) => [p.kind, p.power, p.timerId === null]),
    [...stated].sort(),
    tiers.map((t) => [
      t.tier.load,
      t.timer.rating,
      Object.values(t.tier.enclosure.faces),
      t.lamps.map(({ lamp, fitting: { hanger, own } }) => [lamp.id, hanger.kind, hanger.load, ...saidOf(own)]),
    ]),
  ];
  return fnv(JSON.stringify(of));
}

/** What the label or a meter says of the very lamp; nothing where it is as its kind. */
const saidOf = (own: HungLamp | undefined): unknown[] =>
  own && (own.rating ?? own.weight_kg ?? own.drawn) !== null ? [own.rating, own.weight_kg, own.drawn?.power, own.drawn?.load] : [];

/** Fowler–Noll–Vo 1a, 32 bits, as eight hexadecimal digits; public domain. */
function fnv(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return (hash >>> 0).toString(16).padStart(8, '0');
}

/** What has to be seen to before the lamps of a stand are lit: dangers and warnings that apply, the gravest first. */
export function safetyGate(
  stand: BenchStand,
  stated: readonly Stated[],
  marks: readonly SafetyMark[],
  library: readonly Caution[],
): GateLine[] {
  const word = safetyWord(stand, stated);
  return cautionsFor(stand, stated, library)
    .filter((c) => c.severity !== 'info')
    .map((caution): GateLine => {
      const mark = marks.find((m) => m.standId === stand.stand.id && m.cautionId === caution.id);
      return { caution, day: mark?.day ?? null, state: !mark ? 'open' : mark.of === word ? 'seen-to' : 'changed-since' };
    })
    .sort((a, b) => Number(b.caution.severity === 'danger') - Number(a.caution.severity === 'danger'));
}
