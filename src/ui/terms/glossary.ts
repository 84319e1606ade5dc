/** The words of the field, each explained once, for the places where it stands and for the page that lists them all. */

export const TERM_IDS = [
  'ppfd',
  'dli',
  'ppf',
  'umol',
  'photoperiod',
  'lux',
  'foot-candle',
  'lumen',
  'colour-temperature',
  'spectrum',
  'red-far-red',
  'efficacy',
  'beam-angle',
  'uniformity',
  'reflectance',
  'fall-off',
  'canopy',
  'target-range',
  'uncertainty',
  'calibration',
  'fading',
  'clearance',
  'leggy',
  'emergence',
  'true-leaves',
  'potting-on',
  'hardening-off',
  'damping-off',
  'bolting',
  'continuous-light',
  'tier',
  'riser',
  'hang-chart',
  'power-factor',
] as const;
export type TermId = (typeof TERM_IDS)[number];

/** Where a picture that moves shows a term. */
export type LivePicture = 'distance' | 'bucket' | 'beam' | 'colours';

export interface GlossaryTerm {
  readonly id: TermId;
  readonly name: string;
  /** What the letters stand for. */
  readonly long?: string;
  readonly unit?: string;
  /** What it is, in two or three plain sentences. */
  readonly plain: string;
  /** A number to hold on to. */
  readonly typical?: string;
  readonly source?: string;
  readonly live?: LivePicture;
  readonly group: 'light' | 'lamps' | 'meters' | 'plants' | 'racks';
}

const of = (group: GlossaryTerm['group'], id: TermId, name: string, plain: string, more: Partial<Omit<GlossaryTerm, 'id' | 'name' | 'plain' | 'group'>> = {}): GlossaryTerm => ({ id, name, plain, group, ...more }); // prettier-ignore

export const GLOSSARY: readonly GlossaryTerm[] = [
  of(
    'light',
    'ppfd',
    'PPFD',
    'How much light for growth falls on a spot right now: the number of light particles (photons) that plants can use, for each square metre and second. It is high under the lamp and falls towards the edges and with distance.',
    {
      long: 'photosynthetic photon flux density',
      unit: 'µmol/m²/s',
      typical: 'Seedlings 100–300; a bright window in winter 30–100; summer sun at noon about 2000.',
      source: 'McCree 1972, Agric. Meteorol. 9: photons of 400–700 nm',
      live: 'distance',
    },
  ),
  of(
    'light',
    'dli',
    'DLI',
    'All the light of one day, added up. Rain is a good picture: PPFD is how hard it rains, DLI is how much stands in the bucket in the evening. Plants are planned by it: too little and they stretch, too much and they burn.',
    {
      long: 'daily light integral',
      unit: 'mol/m²/day',
      typical: 'Lettuce 11–17, tomato seedlings 10–20, pothos 0.5–5. DLI = PPFD × hours × 0.0036.',
      source: 'Faust & Logan 2018, HortScience 53',
      live: 'bucket',
    },
  ),
  of(
    'light',
    'ppf',
    'PPF',
    'All the light for growth that a lamp sends out, wherever it goes. How much of it lands on the tray depends on distance, beam and walls.',
    {
      long: 'photosynthetic photon flux',
      unit: 'µmol/s',
      typical: 'A household bulb of 9 W: about 12. A shop light of 42 W: about 80.',
    },
  ),
  of(
    'light',
    'umol',
    'µmol and mol',
    'Photons are counted in bundles, as eggs are in dozens. One µmol is 602 thousand million million of them (6.02 × 10¹⁷); one mol is a million µmol.',
    {
      unit: 'µmol, mol',
      typical: 'A summer day outdoors brings 40–60 mol to each square metre.',
      source: 'SI Brochure, 9th ed. (2019)',
    },
  ),
  of(
    'light',
    'photoperiod',
    'Photoperiod',
    'How long the day is for the plant, by lamp and by daylight together: all hours but the longest dark part, since plants measure the night. Some flower, bulb or rest by it, and most need a dark part.',
    {
      unit: 'h',
      typical: '14–16 h for most seedlings.',
    },
  ),
  of(
    'light',
    'continuous-light',
    'Continuous light',
    'Light for all 24 hours. A few days after emergence do no harm in most crops; weeks of it injure tomato and aubergine.',
    {
      source: 'Velez-Ramirez et al. 2014, Nat. Commun. 5:4549',
    },
  ),
  of(
    'meters',
    'lux',
    'Lux',
    'Brightness as the human eye sees it. Green counts most, deep red and blue hardly at all, so lux turns into PPFD only for a known kind of light.',
    {
      unit: 'lx',
      typical: 'White LED: about 70 lx for each µmol/m²/s. Sun: 54. Red and blue lamp: about 14.',
      source: 'Thimijan & Heins 1983, HortScience 18:818–822',
      live: 'colours',
    },
  ),
  of('meters', 'foot-candle', 'Foot-candle', 'The same as lux, in US units.', { unit: 'fc', typical: '1 fc = 10.76 lx.' }),
  of(
    'meters',
    'calibration',
    'Calibration',
    'Readings of a meter correct what the label says: lamp output, wall reflectance and, of spots, the beam. After it the numbers are yours, with less uncertainty.',
  ),
  of(
    'meters',
    'uncertainty',
    'Uncertainty',
    'How far off a number may be. The range that is shown holds nine times in ten. Labels are often 10–20 % off; one reading at the leaves narrows it most.',
  ),
  of('lamps', 'lumen', 'Lumen', 'All the light of a lamp as the eye sees it. Boxes give it because it sells; plants count photons.', {
    unit: 'lm',
    typical: 'White LED: about 70 lm for each µmol/s.',
  }),
  of(
    'lamps',
    'colour-temperature',
    'Colour temperature',
    'How warm or cool white light looks. It says little about how much light there is.',
    {
      unit: 'K',
      typical: '2700 K warm white, 4000 K neutral, 6500 K like daylight. All of them grow seedlings.',
    },
  ),
  of(
    'lamps',
    'spectrum',
    'Spectrum',
    'How the light is shared among colours. Blue shortens stems; far-red and too little blue lengthen them. For seedlings the amount matters first.',
    {
      source: 'Snowden et al. 2016, PLoS ONE 11:e0163121',
    },
  ),
  of(
    'lamps',
    'red-far-red',
    'Red to far-red ratio',
    'Under other leaves red is missing and far-red is left. A plant that sees little red beside far-red takes it for shade and stretches.',
    {
      typical: 'Sun 1.1; under leaves 0.1; white LED above 7; incandescent bulb 0.7.',
      source: 'Smith 1982, Annu. Rev. Plant Physiol. 33',
    },
  ),
  of(
    'lamps',
    'efficacy',
    'Efficacy',
    'How much light for growth a lamp makes from each joule of electricity. More is cheaper to run for the same light.',
    {
      unit: 'µmol/J',
      typical: 'Incandescent 0.3, fluorescent 0.9, LED shop light 1.5–2, best LED panels 3. More than 5.85 is impossible.',
    },
  ),
  of(
    'lamps',
    'beam-angle',
    'Beam angle',
    'How wide a lamp spreads its light: the angle within which it is at least half as strong as in the middle. A narrow beam is strong in the middle and leaves the edges in the dark.',
    {
      unit: '°',
      typical: 'Bare LED strips 120°, reflector bulbs 40–100°.',
      live: 'beam',
    },
  ),
  of('lamps', 'fading', 'Fading', 'Lamps get weaker with the hours they burn, and dust takes its part. Plan for the end of their life.', {
    typical: 'Fluorescent tubes lose 10–20 % in 10 000 h; LEDs 10 % in 20 000–30 000 h.',
  }),
  of(
    'lamps',
    'power-factor',
    'Power factor',
    'Small drivers and ballasts draw more current than their watts say. Strips and timers must carry volts times amperes (VA), not watts alone.',
    {
      unit: 'W/VA',
      typical: '0.5–0.6 for cheap LED bulbs, above 0.9 for good drivers.',
    },
  ),
  of(
    'light',
    'fall-off',
    'Fall-off with distance',
    'A small lamp at twice the distance gives a quarter of the light (inverse square). A long bar or a wide panel close above the tray hardly falls off at all: the rule does not hold there.',
    {
      live: 'distance',
    },
  ),
  of(
    'light',
    'uniformity',
    'Uniformity',
    'The weakest spot of a tray divided by its mean. 1 is perfectly even; below 0.6 the edges grow visibly behind. It rises as the lamp is raised, while the light gets weaker.',
  ),
  of(
    'light',
    'reflectance',
    'Reflectance',
    'The share of light that a wall sends back. White walls close to the tray bring light to its edges.',
    {
      unit: '%',
      typical: 'White paint or card 80–90 %, crumpled foil 70 %, mirror film 90 %, wood 30–50 %, black 5 %.',
    },
  ),
  of(
    'light',
    'target-range',
    'Target range',
    'The DLI in which a crop grows well at its stage, from research, bulletins or growers’ consensus; which of these is shown with it. Above its middle flowers and fruit do better.',
  ),
  of(
    'plants',
    'canopy',
    'Canopy',
    'The leaf tops, all together. Distances and PPFD are measured there, not at the shelf, and the canopy moves up as plants grow.',
  ),
  of('plants', 'clearance', 'Clearance', 'The distance that a lamp must keep from leaves because of its heat and for moving air.', {
    typical: 'LED bar 5 cm, fluorescent 5–10 cm, incandescent 40 cm.',
  }),
  of(
    'plants',
    'leggy',
    'Leggy',
    'Stems too long, thin and pale, because the plant looks for light. Most often the light is too weak or came too late; warmth, crowding and shade do it too.',
  ),
  of(
    'plants',
    'emergence',
    'Emergence',
    'The day on which seedlings break through the compost. The lamp must be on before: stems stretch within a day in the dark.',
  ),
  of(
    'plants',
    'true-leaves',
    'True leaves',
    'The leaves after the first pair, which came out of the seed. With two of them most seedlings are potted on.',
  ),
  of('plants', 'potting-on', 'Potting on', 'Moving a plant into a larger pot before its roots fill the old one.'),
  of(
    'plants',
    'hardening-off',
    'Hardening off',
    'Getting plants used to sun, wind and cool nights, a few more hours outdoors each day, for a week or two.',
  ),
  of(
    'plants',
    'damping-off',
    'Damping off',
    'A fungus that fells seedlings at the soil line in wet, cool, still air. Dry the surface, move the air, sow thinner.',
  ),
  of('plants', 'bolting', 'Bolting', 'Flowering too early, in some crops because days are long: lettuce, spinach, pak choi.'),
  of('racks', 'tier', 'Tier', 'One level of a rack: a shelf with the lamps above it.'),
  of('racks', 'riser', 'Riser', 'A box or an upturned tray under a tray, to bring low plants nearer to a lamp that cannot be moved.'),
  of(
    'racks',
    'hang-chart',
    'Hang chart',
    'A dated list of which lamps to raise or lower and which hours to set, so that every tray stays in its target range until the next visit.',
  ),
];

export const termOf = (id: TermId): GlossaryTerm => GLOSSARY.find((t) => t.id === id)!;

/** Where growers disagree: the question, the schools, and what is known. */
export const DISAGREEMENTS: readonly {
  readonly question: string;
  readonly schools: string;
  readonly known: string;
  readonly source?: string;
}[] = [
  {
    question: 'How much light?',
    schools: 'So many lumens for each tray; a fixed distance; so much DLI.',
    known: 'DLI is the measure. The others are shown beside it, with where they part from it.',
  },
  {
    question: 'Light day and night for the first days?',
    schools: 'Yes, for three to five days after emergence; never.',
    known:
      'Short spells do no harm in most crops and help dim lamps while stems stretch most. Weeks of it injure tomato and aubergine and gain little over 18 hours.',
    source: 'Hillman 1956; Velez-Ramirez et al. 2014, Nat. Commun. 5:4549',
  },
  {
    question: 'How many hours after that?',
    schools: '12–14; 16; 18–20.',
    known: 'It follows from the DLI that is needed divided by the PPFD that is there, and never more than the crop tolerates.',
  },
  {
    question: 'A gentle start?',
    schools: 'Seedlings get less light at first; seedlings get the full amount at once.',
    known: 'Both work. The full amount keeps stems shortest.',
  },
  {
    question: 'Which colour?',
    schools: '5000–6500 K only; any white; red and blue; full spectrum.',
    known:
      'Blue shortens stems; far-red and too little blue lengthen them. For seedlings the amount matters first; flowers and fruit gain from red; under white light you see what is wrong.',
    source: 'Snowden et al. 2016, PLoS ONE 11:e0163121',
  },
  {
    question: 'How near?',
    schools: 'Nearly touching; a hand’s width; 30 cm or more; where the meter says.',
    known: 'All are right, for different lamps. Compute it or measure it.',
  },
];
