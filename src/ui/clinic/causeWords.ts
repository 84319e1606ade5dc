import type { Cause, ClinicTest, Treatment } from '@/core/judge/clinic/Cause';
import type { Crop } from '@/core/things/crop/Crop';
import { mayBrush } from '@/core/things/crop/mayBrush';

interface CauseSaid {
  readonly name: string;
  /** What it does to plants, and how it comes about. */
  readonly what: string;
}

export const CAUSE_WORDS: Readonly<Record<Cause, CauseSaid>> = {
  'light-too-weak': {
    name: 'Too little light',
    what: 'The leaves get less than the crop needs. The stem stretches towards the lamp, and leaves stay pale.',
  },
  'hours-too-few': {
    name: 'Too few hours',
    what: 'The light is strong enough, but the day is too short to add up to the DLI that they need.',
  },
  'light-on-late': {
    name: 'Light came too late',
    what: 'After emergence the seedlings stood in the dark. The part below the seed leaves stretched then; what grew later is short.',
  },
  'uneven-coverage': {
    name: 'Uneven light',
    what: 'This spot gets too little, though the middle of the tray is fine. Plants lean to the middle.',
  },
  'one-sided-light': {
    name: 'Light from one side',
    what: 'A window or a lamp at one end gives most of the light. Plants lean towards it.',
  },
  'wrong-spectrum': {
    name: 'Wrong spectrum',
    what: 'Without blue, or with much far-red, stems and leaf stalks stretch even in enough light.',
  },
  'too-warm': {
    name: 'Too warm for this light',
    what: 'Warm air, above all at night, makes stems grow faster than the light can fill them.',
  },
  'mat-left-on': { name: 'Heat mat left on', what: 'Warm compost after emergence stretches the stem. The mat is for germination only.' },
  crowding: { name: 'Too crowded', what: 'Neighbours shade each other and race upwards.' },
  'still-air': { name: 'Still air', what: 'Stems that nothing moves stay thin and soft.' },
  overwatering: { name: 'Too wet', what: 'Roots without air cannot take up water or nutrients: plants wilt and turn pale in wet compost.' },
  underwatering: { name: 'Too dry', what: 'Leaves lose more water than the roots find.' },
  'light-too-strong': {
    name: 'Too much light',
    what: 'DLI or PPFD is above what these leaves tolerate: they bleach, turn their edges up, and stay small.',
  },
  'sudden-change': {
    name: 'Sudden change of light',
    what: 'Leaves made in weak light burn in strong light. New leaves will be used to it.',
  },
  'hot-spot': { name: 'Hot spot under the lamp', what: 'Only the strongest spot is above the limit; the rest of the tray is fine.' },
  'lamp-heat': { name: 'Heat of the lamp', what: 'A hot lamp stands too close to the leaves.' },
  'continuous-light-injury': {
    name: 'No darkness',
    what: 'Some crops, such as tomato and eggplant, turn yellow when lamps burn day and night.',
  },
  'nitrogen-short': {
    name: 'Nitrogen is short',
    what: 'The plant moves nitrogen from its lowest leaves to the new ones; the lowest turn pale first.',
  },
  'iron-or-ph': {
    name: 'Iron is short, or the pH too high',
    what: 'The youngest leaves turn yellow between green veins. Often there is iron, but hard water or wet roots lock it up.',
  },
  'magnesium-short': { name: 'Magnesium is short', what: 'Older leaves turn yellow between green veins.' },
  'phosphorus-short': { name: 'Phosphorus is short', what: 'Leaves are small and dark, purple below, though the roots are warm.' },
  'cold-roots': { name: 'Cold roots', what: 'In cold compost roots cannot take up phosphorus: purple undersides, and no growth.' },
  overfed: { name: 'Too much feed', what: 'Salts in the compost draw water out of the roots: dark leaves, crisp edges, a white crust.' },
  'damping-off': { name: 'Damping-off', what: 'A fungus rots the stem at the soil line. It spreads in wet compost and still air.' },
  'tip-burn-calcium': {
    name: 'Tip burn',
    what: 'Inner leaves grow faster than calcium reaches them, in strong light and still, damp air.',
  },
  'cold-draught': { name: 'Cold draught', what: 'Cold air damages leaves, often on one side only.' },
  oedema: { name: 'Oedema', what: 'Roots take up more water than the leaves can give off; cells burst into corky blisters.' },
  'normal-for-kind': { name: 'Nothing wrong: it is like that', what: 'This is how this kind looks.' },
  'old-leaf-ageing': {
    name: 'An old leaf ends its life',
    what: 'The oldest leaves, seed leaves first, yellow and fall. The rest grows well.',
  },
  'root-bound': { name: 'Pot too small', what: 'Roots circle and have used up what was there.' },
  'transplant-shock': { name: 'Just potted on', what: 'Roots need some days to settle. It passes.' },
  'lamp-ageing': { name: 'The lamp has faded', what: 'Lamps lose light over the years, unseen by the eye.' },
  'timer-fault': { name: 'The timer does not keep its hours', what: 'The lamp did not burn as planned.' },
  'dry-air': { name: 'Dry air', what: 'Tips and edges dry out, though the compost is moist.' },
  'long-days': { name: 'Day too long for it', what: 'Day length tells some plants to bolt, to bulb or not to flower.' },
  'intended-blackout': {
    name: 'The stretch was planned',
    what: 'Shoots that are kept dark at first are pale and tall. They green up in the light.',
  },
  'too-cold': { name: 'Too cold', what: 'Growth slows down.' },
  'seed-coat': { name: 'Seed coat stuck', what: 'The cap of the seed holds the seed leaves together.' },
};

const TREATMENT_WORDS: Readonly<Record<Treatment, string>> = {
  bury: 'Pot it deeper, up to the seed leaves',
  restart: 'Sow again: this crop does not recover from long stems',
  'take-cuttings': 'Cut off the tops and root them',
  trim: 'Cut back the long growth',
  'raise-lamp': 'Raise the lamp',
  'lower-lamp': 'Lower the lamp',
  'add-lamp': 'Add a lamp',
  'spread-lamps': 'Move the lamps apart, or hang one nearer to the edge',
  'add-hours': 'Give more hours',
  'fewer-hours': 'Give fewer hours',
  dim: 'Dim the lamp',
  shade: 'Shade for some days',
  reacclimate: 'Get it used to strong light over a week',
  rotate: 'Turn the tray, or let trays change places, every few days',
  'move-to-centre': 'Move it to the middle',
  'move-from-centre': 'Move it out of the strongest spot',
  'light-other-side': 'Give light from the other side, or a white card behind',
  'mat-off': 'Take it off the mat',
  cool: 'Keep it cooler, above all at night',
  warm: 'Keep it warmer',
  thin: 'Thin to one plant per cell',
  air: 'Let air move with a small fan',
  'vent-cover': 'Take the cover off',
  feed: 'Feed weakly',
  flush: 'Rinse the compost with plain water',
  'stop-feed': 'Stop feeding for two weeks',
  'water-less': 'Let the surface dry before you water again',
  'water-more': 'Water now, until the tray is heavy',
  'bottom-water': 'Water from below',
  'pot-on': 'Pot on',
  'change-spectrum': 'Use a white lamp',
  'fix-timer': 'Set the timer right',
  'replace-lamp': 'Replace the lamp, or hang it lower until then if there is room',
  'lower-ph': 'Water with rain water, or lower the pH; give iron if it stays yellow',
  'raise-humidity': 'Raise the humidity',
  'move-from-draught': 'Move it out of the draught',
  'mist-cap': 'Mist the cap, wait an hour, and lift it off gently',
  none: 'Do nothing',
};

/**
 * What mends a cause in a crop: some of it is said otherwise where it would do harm, or would not be the reason.
 *
 * @param isAlone  the plant has its pot for itself
 */
export function treatmentWords(
  treatment: Treatment,
  cause: Cause,
  crop: Pick<Crop, 'fed' | 'airMovementBenefit' | 'latin'>,
  isAlone: boolean,
): string {
  if (treatment === 'thin' && isAlone) return 'Give it room: no leaf of a neighbour over its own';
  if (treatment === 'restart' && cause === 'damping-off') return 'Sow again what has fallen, in fresh compost and a clean tray';
  if (treatment === 'air' && cause === 'still-air' && mayBrush(crop)) return `${TREATMENT_WORDS.air}, or brush the dry tops daily`;
  if (!crop.fed && treatment === 'none' && cause.endsWith('-short')) return 'Do not feed it: it is grown without';
  if (!crop.fed && treatment === 'flush') return 'Rinse the compost with rain water';
  if (!crop.fed && treatment === 'lower-ph') return 'Water with rain water only';
  return TREATMENT_WORDS[treatment];
}

interface TestSaid {
  readonly act: string;
  /** The same for a plant that stands alone in its pot and has no other half; left out where that changes nothing. */
  readonly one?: string;
  /** What it would mean if the changed half does better. */
  readonly ifBetter: string;
}

const TEST_WORDS: Readonly<Record<ClinicTest, TestSaid>> = {
  'lower-lamp-half': {
    act: 'Bring half of the tray nearer to the lamp: stand it on an upturned tray. Leave the other half.',
    one: 'Bring it nearer to the lamp: stand it on an upturned pot.',
    ifBetter: 'it was the light',
  },
  'raise-lamp-half': {
    act: 'Move half of the tray farther from the lamp. Leave the other half.',
    one: 'Move it farther from the lamp.',
    ifBetter: 'the light or the heat was too strong',
  },
  'longer-day-half': {
    act: 'Give half of the tray two hours more. Leave the other half.',
    one: 'Give it two hours more.',
    ifBetter: 'the day was too short',
  },
  'shorter-day-half': {
    act: 'Cover half of the tray four hours earlier. Leave the other half.',
    one: 'Cover it four hours earlier.',
    ifBetter: 'the day was too long',
  },
  'swap-positions': {
    act: 'Let the bad plants change places with good ones from the middle.',
    one: 'Let it change places with a plant that does well.',
    ifBetter: 'it was the place, not the plants',
  },
  'turn-tray': { act: 'Turn the tray end for end.', one: 'Turn it half round.', ifBetter: 'the light comes from one side' },
  'measure-spot': {
    act: 'Measure the light at this very spot, at the tops of the leaves.',
    ifBetter: 'the plan was wrong about the light',
  },
  'mat-off-half': {
    act: 'Take half of the tray off the mat. Leave the other half.',
    one: 'Take it off the mat.',
    ifBetter: 'it was the mat',
  },
  'cool-half': {
    act: 'Put half of the tray somewhere cooler, in the same light. Leave the other half.',
    one: 'Put it somewhere cooler, in the same light.',
    ifBetter: 'it was the warmth',
  },
  'warm-half': {
    act: 'Put half of the tray somewhere warmer, in the same light. Leave the other half.',
    one: 'Put it somewhere warmer, in the same light.',
    ifBetter: 'it was the cold',
  },
  'thin-half': {
    act: 'Thin half of the tray. Leave the other half.',
    one: 'Move it a hand’s breadth away from its neighbours.',
    ifBetter: 'it was crowded',
  },
  'fan-half': {
    act: 'Let air move over half of the tray. Leave the other half.',
    one: 'Let air move over it.',
    ifBetter: 'the air stood still',
  },
  'feed-half': { act: 'Feed half of the tray weakly. Leave the other half.', one: 'Feed it weakly.', ifBetter: 'it was hungry' },
  'flush-half': {
    act: 'Rinse half of the tray with plain water. Leave the other half.',
    one: 'Rinse its compost with plain water.',
    ifBetter: 'there was too much feed',
  },
  'dry-down-half': {
    act: 'Let half of the tray dry until its surface is pale. Leave the other half.',
    one: 'Let it dry until its surface is pale.',
    ifBetter: 'it was too wet',
  },
  'water-half': { act: 'Water half of the tray well. Leave the other half.', one: 'Water it well.', ifBetter: 'it was too dry' },
  'shade-half': {
    act: 'Shade half of the tray with one sheet of thin paper. Leave the other half.',
    one: 'Shade it with one sheet of thin paper.',
    ifBetter: 'the light was too strong',
  },
  'swap-lamp-half': {
    act: 'Put half of the tray under another lamp, at the same PPFD. Leave the other half.',
    one: 'Put it under another lamp, at the same PPFD.',
    ifBetter: 'it was the lamp',
  },
  'lower-ph-half': {
    act: 'Water half of the tray with rain water. Leave the other half.',
    one: 'Water it with rain water.',
    ifBetter: 'the pH was too high',
  },
  'blind-off-window': { act: 'Keep the window dark for a day or two; leave the lamp.', ifBetter: 'the window pulled them' },
  'check-timer': { act: 'Look at the lamp when the timer should switch it on, and when off.', ifBetter: 'the timer was wrong' },
  'look-at-new-leaves': { act: 'Change nothing. Look at the new growth.', ifBetter: 'the cause is over' },
  'pot-on-half': { act: 'Pot on half of the plants. Leave the other half.', one: 'Pot it on.', ifBetter: 'the pots were too small' },
  'cover-off-half': {
    act: 'Take the cover off half of the plants. Leave the other half.',
    one: 'Take its cover off.',
    ifBetter: 'it was the air under the cover',
  },
  'compare-kind': { act: 'Hold it beside another plant of the same kind, or a picture of it.', ifBetter: 'the kind looks like this' },
  'move-from-draught': {
    act: 'Move half of the plants out of the draught. Leave the other half.',
    one: 'Move it out of the draught.',
    ifBetter: 'it was the cold air',
  },
};

/** What is done to find out, and what it would mean. @param isAlone  the plant has its pot for itself */
export function testWords(test: ClinicTest, isAlone: boolean): Pick<TestSaid, 'act' | 'ifBetter'> {
  const { act, one, ifBetter } = TEST_WORDS[test];
  return { act: (isAlone && one) || act, ifBetter };
}
