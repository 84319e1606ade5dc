import type { Fault } from '@/core/answer/faults/faults';
import type { BenchStand, BenchTier, BenchTray } from '@/core/answer/stand/benchStand';
import { isCovered } from '@/core/answer/stand/roofOf';
import type { Among } from '@/core/site/stand/called';
import type { Hanger, HangerKind } from '@/core/site/stand/Hanger';
import type { Fitting } from '@/core/site/stand/Site';
import { showLength, type LengthUnit } from '@/core/units/length';
import { weightIn, weightUnit } from '@/core/units/weight';
import type { Says } from '@/core/judge/verdict/standing';
import { besideWords } from '../parts/besideWords';

/** A tier's state in a few words, for its place beside the drawing. */
export const SAYS_WORDS: Readonly<Record<Says, string>> = {
  dark: 'no light',
  'in-range': 'in range',
  'edge-dim': 'too little light (edge)',
  'all-dim': 'too little light',
  'spot-strong': 'too much light (middle)',
  'all-strong': 'too much light',
  'dim-and-strong': 'uneven',
  'day-too-long': 'day too long',
};

/** How bad a word is: what a tier with several trays is called by its worst. */
export const badness = (says: Says): number =>
  ({ 'in-range': 0, 'spot-strong': 1, 'edge-dim': 2, 'dim-and-strong': 3, 'all-strong': 4, 'all-dim': 4, 'day-too-long': 4, dark: 5 })[
    says
  ];

const STEP_WORDS: Readonly<Record<HangerKind, readonly [string, string]>> = {
  chain: ['link', 'links'],
  notch: ['notch', 'notches'],
  ratchet: ['click', 'clicks'],
  cord: ['', ''],
  fixed: ['', ''],
};

export const HANGER_WORDS: Readonly<Record<HangerKind, string>> = {
  chain: 'chain',
  notch: 'notches',
  ratchet: 'rope ratchet',
  cord: 'cord',
  fixed: 'fixed',
};

/** "3 links down", "1 notch up", and on a cord the length itself. */
export function stepWords(hanger: Hanger, steps: number, unit: LengthUnit): string {
  const n = Math.abs(steps);
  const way = steps > 0 ? 'up' : 'down';
  const [one, many] = STEP_WORDS[hanger.kind];
  return one ? `${n} ${n === 1 ? one : many} ${way}` : `${showLength(n * hanger.step, unit)} ${way}`;
}

/** Which way a tilted lamp looks: "30° to the back"; null where it hangs level. */
export function tiltWords({ tilt = 0, turn }: Pick<Fitting, 'tilt' | 'turn'>): string | null {
  if (tilt === 0) return null;
  // Its own back lies to the left of its length: behind a lamp that hangs along the shelf, on the left of one across it.
  const [back, left] = [Math.cos(turn) * tilt, Math.sin(turn) * tilt];
  const way = Math.abs(back) >= Math.abs(left) ? (back > 0 ? 'the back' : 'the front') : left > 0 ? 'the left' : 'the right';
  return `${Math.round((Math.abs(tilt) * 180) / Math.PI)}° to ${way}`;
}

/** How far and which way a lamp travels: "60 cm from left to right"; null where it hangs still. */
export function travelWords({ travel }: Pick<Fitting, 'travel'>, unit: LengthUnit): string | null {
  if (!travel) return null;
  const length = showLength(travel.length, unit);
  return travel.along === 'width' ? `${length} from left to right` : `${length} from front to back`;
}

/** Where a lamp hangs in its own steps, so many links below the shelf above, how far it is tilted, and how far it travels. */
export function hangWords(tier: BenchTier, fitting: Fitting, unit: LengthUnit): string {
  const [tilt, travel] = [tiltWords(fitting), travelWords(fitting, unit)];
  const hung = tilt ? `${stepsDown(tier, fitting)}, tilted ${tilt}` : stepsDown(tier, fitting);
  return travel ? `${hung}, travels ${travel}` : hung;
}

function stepsDown(tier: BenchTier, fitting: Fitting): string {
  const { hanger, face } = fitting;
  const [one, many] = STEP_WORDS[hanger.kind];
  if (!one || !isCovered(tier)) return HANGER_WORDS[hanger.kind];
  const n = Math.max(0, Math.round((tier.tier.enclosure.height - face) / hanger.step));
  return `${n} ${n === 1 ? one : many}`;
}

const TWO = { left: ['left', 'right'], front: ['front', 'back'] } as const;
const FROM: Readonly<Record<Among['from'], string>> = {
  left: 'from the left',
  front: 'from the front',
  corner: 'by rows from the front left',
};

/** What a tray is called where it stands: of those with one name on a tier, which. */
export function trayName({ called, among }: Pick<BenchTray, 'called' | 'among'>): string {
  if (!among) return called;
  const { index, of, from } = among;
  return `${called}, ${of === 2 && from !== 'corner' ? TWO[from][index]! : `${index + 1} of ${of} ${FROM[from]}`}`;
}

/** The same in its stand, with the tier where another has a tray that is called so. */
export function trayNameIn(stand: Pick<BenchStand, 'tiers'>, trayId: string): string {
  const on = stand.tiers.find((t) => t.trays.some((y) => y.tray.id === trayId));
  const tray = on?.trays.find((y) => y.tray.id === trayId);
  if (!on || !tray) return 'the tray';
  const isTwice = stand.tiers.some((t) => t !== on && t.trays.some((y) => y.called === tray.called));
  return isTwice ? `${trayName(tray)}, tier ${on.number}` : trayName(tray);
}

const RISERS = ['', 'one riser', 'two risers', 'three risers'];
export const riserWords = (n: number): string => RISERS[n] ?? `${n} risers`;

/** What is wrong, and the nearest way to put it right. */
export function faultWords(fault: Fault, stand: BenchStand, unit: LengthUnit): string {
  const lamp = stand.tiers.flatMap((t) => t.lamps).find((l) => l.fitting.id === fault.thingId)?.lamp.name ?? 'The lamp';
  const tray = (id: string) => trayNameIn(stand, id);
  const cm = (v: number) => showLength(v, unit);
  const weight = (v: number) => weightIn(v, unit).toFixed(1);
  const [kg, against] = [
    weightUnit(unit),
    (v: number, most: number) => besideWords(weightIn(v, unit), weightIn(most, unit), (n) => n.toFixed(1)),
  ];
  switch (fault.why) {
    case 'lamp-beyond-tier':
      return `${lamp} sticks out ${cm(fault.by)} past the tier. Turn it, move it in, or take a shorter one.`;
    case 'lamp-in-shelf':
      return `${lamp} is ${cm(fault.by)} too high for the shelf above it.`;
    case 'lamps-collide':
      return `${lamp} and another lamp hang in the same place.`;
    case 'leaves-in-heat':
      return `${tray(fault.trayId)} is ${cm(fault.distance)} from ${lamp}. Leaves need ${cm(fault.least)} to every side of it, for heat and air.`;
    case 'leaves-above-lamp':
      return `${tray(fault.trayId)} reaches ${cm(fault.by)} above the face of ${lamp}.`;
    case 'tray-over-edge':
      return `${tray(fault.thingId)} stands ${cm(fault.by)} over the edge.`;
    case 'trays-overlap':
      return `${tray(fault.thingId)} and ${tray(fault.otherId)} stand in the same place.`;
    case 'plants-too-tall':
      return `${tray(fault.thingId)} grows ${cm(fault.by)} into the shelf above.`;
    case 'shelf-overloaded':
      return `Watered, its trays weigh about ${against(fault.weight, fault.load)} ${kg}; the shelf is stated to carry ${weight(fault.load)} ${kg}.`;
    case 'hanger-overloaded':
      return `${lamp} weighs ${against(fault.weight, fault.load)} ${kg}; what it hangs by carries ${weight(fault.load)} ${kg}.`;
    case 'strip-overloaded':
      return `What is plugged in needs ${besideWords(fault.power, fault.allowed)} VA; the strip should carry at most ${Math.round(fault.allowed)} VA for hours on end. Follow local code; ask a licensed electrician.`;
  }
}

/** Each fault in words, those that read the same told once. */
export function faultsWords(faults: readonly Fault[], stand: BenchStand, unit: LengthUnit): string[] {
  const times = new Map<string, number>();
  for (const f of faults) {
    const words = faultWords(f, stand, unit);
    times.set(words, (times.get(words) ?? 0) + 1);
  }
  return [...times].map(([words, n]) => (n > 1 ? `${words} Found ${n} times.` : words));
}

/** Of a set-up of the check that is changed by hand, or by advice. */
export const KEEPS_POSITIONS = 'This set-up now keeps its positions. Find it under Stands from now on.';
