import type { Claim, ClaimKind, Claims, ClaimedTechnology } from './Claim';

/** Longer texts are cut: a box says less. */
export const MOST_CLAIM_LETTERS = 4000;

/**
 * Reads the figures out of what a box or an advert says: English, metric and US units. A figure is known by its unit first and by the words
 * beside it second; what has no unit that is known is left out. Nothing is guessed: a figure that could be two things is given as the one
 * that its words name, and can be corrected.
 *
 * @param text what stands there; anything beyond MOST_LETTERS is not read
 */
export function readClaims(text: string): Claims {
  const said = text.slice(0, MOST_CLAIM_LETTERS).replace(/[‐‑–]/g, '-').replace(/\s+/g, ' ');
  const taken: [number, number][] = [];
  const found: { kind: Kind; value: number; words: string; at: number }[] = [];
  for (const { pattern, read } of FORMS)
    for (const match of said.matchAll(pattern)) {
      const from = match.index;
      const to = from + match[0].length;
      if (taken.some(([a, b]) => from < b && to > a)) continue;
      const figures = read(match, { before: said.slice(Math.max(0, from - 48), from), after: said.slice(to, to + 36), all: said });
      if (figures?.length === 0) continue;
      taken.push([from, to]);
      found.push(...(figures ?? []).map((f) => ({ ...f, words: match[0].trim(), at: from })));
    }
  return {
    figures: powersNamed(found.sort((a, b) => a.at - b.at)),
    technology: technologyOf(said),
    isPink: /\b(pink|purple|blurple|red[ -]?(and|\/|&|\+)?[ -]?blue)\b/i.test(said) && !/\bwhite\b/i.test(said),
    isOfSun: /\b(full|direct|noon|midday|summer)[ -]?sun(light|shine)?\b|\bsunlight\b/i.test(said),
    lessCostsMore: lessCostsMore(said),
  };
}

interface Around {
  readonly before: string;
  readonly after: string;
  readonly all: string;
}
/** Power whose kind nothing beside it tells. */
type Kind = ClaimKind | 'watts';
/** None: the words are for a later form to read; null: they are no figure of any kind, to nobody. */
type Read = (match: RegExpMatchArray, around: Around) => { kind: Kind; value: number }[] | null;
interface Form {
  readonly pattern: RegExp;
  readonly read: Read;
}

const N = String.raw`(?<![\d.,])(\d{1,3}(?:[ ,']\d{3})+(?:\.\d+)?|\d+(?:[.,]\d+)?)`;
const MICROMOL = String.raw`(?:[uµμ] ?mol(?:e?s)?|micro-?mol(?:e?s)?)`;
const PER_M2 = String.raw`(?: ?\/ ?| per | |·|\*|-)?(?:m ?(?:2|²|\^2|-2|⁻²)|sq(?:uare)? ?m(?:et(?:er|re))?)`;
const PER_S = String.raw`(?: ?\/ ?| per |·|\*| )?(?:s(?:ec(?:ond)?)?)(?:\^?-1|⁻¹)?`;
const WORD: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  eight: 8,
  ten: 10,
  twelve: 12,
  single: 1,
  twin: 2,
  double: 2,
  both: 2,
};
const COUNT = String.raw`(?<![\w.])(\d+|one|two|three|four|five|six|eight|ten|twelve|single|twin|double)`;
const LENGTH = String.raw`(mm|cm|m|in(?:ch(?:es)?)?|"|ft|feet|foot|')`;
const METRES: Readonly<Record<string, number>> = { mm: 0.001, cm: 0.01, m: 1, i: 0.0254, '"': 0.0254, f: 0.3048, "'": 0.3048 };
const SHARES: Readonly<Record<string, number>> = {
  half: 1 / 2,
  'a half': 1 / 2,
  'a third': 1 / 3,
  'two thirds': 2 / 3,
  'a quarter': 1 / 4,
  quarter: 1 / 4,
  'three quarters': 3 / 4,
  'a fifth': 1 / 5,
  'a tenth': 1 / 10,
};
const SHARE = String.raw`((?:a |two |three )?(?:half|thirds?|quarters?|fifth|tenth)|\d+(?:\.\d+)? ?%)`;

const form = (source: string, read: Read): Form => ({ pattern: new RegExp(source, 'gi'), read });
const only =
  (kind: ClaimKind, factor = 1): Read =>
  (m) => [{ kind, value: number(m[1]!) * factor }];
const number = (words: string) => WORD[words.toLowerCase()] ?? Number(plain(words));
const plain = (words: string) =>
  words
    .replace(/[ ']/g, '')
    .replace(/,(?=\d{3}(?:\D|$))/g, '')
    .replace(',', '.');
/** Of what comes by the hundred and thousand, and in no thousandths: a dot before three digits parts these, as in `25.000 h`. */
const whole = (words: string): number => (/^[1-9]\d{0,2}\.\d{3}$/.test(words) ? 1000 : 1) * number(words);
/** Of what may have thousandths, such figures below ten alone: `1.200 µmol/m²/s` is no light. */
const wholeFromFew = (words: string): number => (/^[1-9]\.\d{3}$/.test(words) ? whole(words) : number(words));
const metres = (unit: string) => METRES[unit.toLowerCase()] ?? METRES[unit[0]!.toLowerCase()]!;
const share = (words: string) => {
  const clean = words.toLowerCase().trim();
  return clean.endsWith('%') ? Number(clean.slice(0, -1)) / 100 : (SHARES[clean] ?? SHARES[`a ${clean}`] ?? NaN);
};
/** Whether one of these words stands in the same clause. */
const near = (clause: string, words: RegExp) => words.test(clause);
const clauseBefore = ({ before }: Around) => before.split(/[;:]|\. |, (?=\d)/).at(-1)!;
const clauseAfter = ({ after }: Around) => after.split(/[;,]|\. /)[0]!;

/** In the order in which they are tried: longer units first. A form takes its words, and no later one reads them again. */
const FORMS: readonly Form[] = [
  form(String.raw`${N} ?${MICROMOL}(?: ?\/ ?| per )j(?:oule)?\b`, only('efficacy')),
  form(String.raw`${N} ?(?:lm|lumens?)(?: ?\/ ?| per )w(?:att)?\b`, only('lumensPerWatt')),
  form(String.raw`(?:factor(?: of)?|[x×*]) ?(0\.0\d+)`, only('luxFactor')),
  form(String.raw`${N} ?w(?:atts?)?(?: ?\/ ?| per |-per-)(?:sq(?:uare)?\.? ?(ft|foot|feet|m(?:et(?:er|re))?)|(m) ?[2²])(?!\w)`, (m) => [
    { kind: 'wattsPerArea', value: number(m[1]!) / (/^f/i.test(m[2] ?? '') ? 0.3048 ** 2 : 1) },
  ]),
  form(String.raw`${N} ?${MICROMOL}${PER_M2}(?:${PER_S}\b|-?s-?1)?`, (m, around) => [
    { kind: strengthKind(around), value: wholeFromFew(m[1]!) },
  ]),
  // Said to be a strength, though without an area: the rule of the kind decides, so both are kept.
  form(String.raw`\bppfd\b(?: of|:| is| =)? ?${N} ?${MICROMOL}(?: ?\/ ?| per )s\b`, (m) => [
    { kind: 'ppfd', value: number(m[1]!) },
    { kind: 'ppf', value: number(m[1]!) },
  ]),
  form(String.raw`${N} ?${MICROMOL}(?: ?\/ ?| per )s(?:ec(?:ond)?)?\b(?: ppfd)?`, (m, around) =>
    /ppfd/i.test(m[0]) || /\bppfd\b[^a-z]*$/i.test(around.before)
      ? [
          { kind: 'ppfd', value: number(m[1]!) },
          { kind: 'ppf', value: number(m[1]!) },
        ]
      : [{ kind: 'ppf', value: number(m[1]!) }],
  ),
  form(String.raw`\bppf(?: of|:| is| =)? ?${N}(?! ?m)`, only('ppf')),
  form(String.raw`\bppfd(?: of|:| is| =)? ?${N}`, (m, around) => [{ kind: strengthKind(around), value: wholeFromFew(m[1]!) }]),
  // At a place, and of no second: what a meter shows there.
  form(String.raw`${N} ?${MICROMOL}\b(?= ?(?:at|@) ?\d)`, (m, around) => [{ kind: strengthKind(around), value: wholeFromFew(m[1]!) }]),
  form(String.raw`${N} ?mol\b(?:${PER_M2})?(?: ?\/ ?(?:d|day)| a day| per day)?`, only('dli')),
  form(String.raw`\bdli(?: of|:| is| =)? ?${N}`, only('dli')),
  form(String.raw`${N} ?(?:k|kelvin)\b(?! ?(?:wh|lm|lumen|h\b|hour))`, (m, around) => {
    const value = whole(m[1]!);
    if (isCalledBrightness(around))
      return [
        { kind: 'kelvin', value },
        { kind: 'lumens', value },
      ];
    return value >= 1000 ? [{ kind: 'kelvin', value }] : [];
  }),
  // Tape: of a metre or foot of it. Without its length nobody knows how much that is.
  form(String.raw`${N} ?(w(?:atts?)?|lm|lumens?)(?: ?\/ ?| per )(m(?:et(?:er|re))?|ft|foot)\b(?! ?[2²^])`, (m, { all }) => {
    const length = lengthOfTape(all);
    const value = (number(m[1]!) / metres(m[3]!)) * (length ?? 0);
    return length === null ? null : [{ kind: /^w/i.test(m[2]!) ? 'drawnWatts' : 'lumens', value: Math.round(value * 1e6) / 1e6 }];
  }),
  form(String.raw`${N} ?(?:k )?(?:lm|lumens?)\b`, (m, around) => {
    const beside = `${clauseBefore(around)} ${clauseAfter(around)}`;
    const kind = near(beside, /\b(per|each|a|every) (tube|lamp|bulb)|\beach\b|tubes? of/i)
      ? 'lumensPerTube'
      : near(beside, /\b(per|each|a|whole|entire) (fixture|fitting|unit|panel)|in (all|total)|together/i)
        ? 'lumensPerFixture'
        : 'lumens';
    return [{ kind, value: / ?k (?:lm|lumens?)/i.test(m[0]) ? number(m[1]!) * 1000 : whole(m[1]!) }];
  }),
  form(String.raw`${N} ?(?:fc|foot-? ?candles?)\b`, only('footCandles')),
  form(String.raw`${N} ?(?:lux|lx)\b`, only('lux')),
  form(
    String.raw`${COUNT} ?(?:[x×]|diodes?(?: of| at| x)?|leds?(?: of| at| x)?|chips?(?: of| at| x)?) ?${N} ?w(?:atts?)?\b( tubes?)?`,
    (m, { all, after }) =>
      m[3] || /^ ?(?:t\d|tubes?|fluoresc)/i.test(after)
        ? [
            { kind: 'tubes', value: number(m[1]!) },
            { kind: 'tubeWatts', value: number(m[2]!) },
          ]
        : /diode|led|chip/i.test(all)
          ? [
              { kind: 'diodes', value: number(m[1]!) },
              { kind: 'diodeWatts', value: number(m[2]!) },
            ]
          : [],
  ),
  form(String.raw`${COUNT} (?:pcs |pieces )?(?:of )?(?:${N} ?w(?:att)? )(?:diodes?|leds?|chips?)\b`, (m) => [
    { kind: 'diodes', value: number(m[1]!) },
    { kind: 'diodeWatts', value: number(m[2]!) },
  ]),
  form(String.raw`${COUNT} (?:diodes|leds|chips)\b`, only('diodes')),
  form(String.raw`${COUNT}[ -]?(?:x )?(?:(?:t\d{1,2}|fluorescent|led|cool|warm|white|daylight) ){0,4}tubes?\b`, only('tubes')),
  form(String.raw`${N} ?kwh\b`, () => []),
  form(String.raw`${N} ?(?:c|ct|cents?|¢|p|pence)? ?(?:\/ ?| per | a )kwh\b`, (m) => [
    { kind: 'pricePerKWh', value: number(m[1]!) / (/\d ?(?:c|ct|cents?|¢|p|pence) ?(?:\/| per| a)/i.test(m[0]) ? 100 : 1) },
  ]),
  form(
    String.raw`(?:[$€£] ?)?${N} ?(cents?|c|ct|¢|p|pence)?(?: dollars?| euros?| ?[$€£])? ?(?:a|per|every|each|\/) ?(day|month|year)\b`,
    (m) => [{ kind: COST[m[3]!.toLowerCase()]!, value: number(m[1]!) / (m[2] ? 100 : 1) }],
  ),
  form(String.raw`(?:[$€£] ?${N}|${N} ?(?:dollars?|euros?|pounds|[$€£]))`, (m) => [{ kind: 'purchase', value: number(m[1] ?? m[2]!) }]),
  form(String.raw`${N} ?(?:v|volts?)\b`, only('volts')),
  form(String.raw`${N} ?(?:a|amps?|amperes?)\b(?! (?:day|month|year|week|lamp|tube|bulb|tray|panel))`, only('amps')),
  form(String.raw`${N} ?(?:± ?\d+ ?% ?)?[- ]?w(?:atts?)?\b`, (m, around) => wattsOf(wholeFromFew(m[1]!), around)),
  form(String.raw`${N} ?years?\b`, only('lifeYears')),
  form(String.raw`${N} ?(k)? ?(?:h|hrs?|hours?)\b(?: ?(?:a|per|\/|each) ?day)?`, (m) => {
    const value = m[2] ? number(m[1]!) * 1000 : whole(m[1]!);
    return [{ kind: value > 24 ? 'lifeHours' : 'hours', value }];
  }),
  form(String.raw`from ${N} ?${LENGTH}? to ${N} ?${LENGTH}`, (m) => [
    { kind: 'distance', value: number(m[1]!) * metres(m[2] ?? m[4]!) },
    { kind: 'distanceAfter', value: number(m[3]!) * metres(m[4]!) },
  ]),
  form(String.raw`${N} ?${LENGTH}? ?(?:x|×|by) ?${N} ?${LENGTH}`, (m) => [
    { kind: 'side', value: number(m[1]!) * metres(m[2] ?? m[4]!) },
    { kind: 'side', value: number(m[3]!) * metres(m[4]!) },
  ]),
  form(String.raw`${N} ?(?:sq(?:uare)?\.? ?(m(?:et(?:er|re)s?)?|ft|foot|feet)|(m|ft) ?[2²])(?=\W|$)`, (m) => [
    { kind: 'area', value: number(m[1]!) * (/^f/i.test(m[2] ?? m[3]!) ? 0.3048 ** 2 : 1) },
  ]),
  form(String.raw`${N} ?${LENGTH}(?=[ ,.;)]|$)`, (m, { before, after }) => {
    const value = number(m[1]!) * metres(m[2]!);
    if (/^ ?(?:long|wide|panel|tube|bar|fixture|strip|shop)/i.test(after)) return [{ kind: 'sourceSize', value }];
    return near(before.slice(-24), /\b(at|from|distance|height|hang|hung|above|away)\b/i) ||
      /^ ?(?:away|above|high|distance|from|below|under|off)/i.test(after)
      ? [{ kind: 'distance', value }]
      : [];
  }),
  form(String.raw`(?:lose|loses|lost|losing) ${SHARE}`, (m) => [{ kind: 'shareKept', value: 1 - share(m[1]!) }]),
  form(String.raw`(?:keep|keeps|left with|leaves|drops? to|falls? to|only) ${SHARE}`, (m) => [{ kind: 'shareKept', value: share(m[1]!) }]),
  form(
    String.raw`(?:${N} times|${SHARE}|(twice|double|thrice)) (?:of )?(?:the |as much )?(?:power|electricity|energy|consumption|watt(?:age|s))`,
    (m) => [{ kind: 'timesPower', value: m[1] ? number(m[1]) : m[2] ? share(m[2]) : /thrice/i.test(m[3]!) ? 3 : 2 }],
  ),
];
const COST: Readonly<Record<string, ClaimKind>> = { day: 'costPerDay', month: 'costPerMonth', year: 'costPerYear' };

const CENTRE = /\b(cent(?:re|er)|middle|peak|max(?:imum)?|up to|directly (?:under|below))\b/i;

function strengthKind(around: Around): ClaimKind {
  const beside = `${clauseBefore(around)} ${clauseAfter(around)}`;
  return near(beside, CENTRE) && !near(beside, /\b(mean|average|avg)\b/i) ? 'ppfdCentre' : 'ppfd';
}

/** Whether a colour is called brightness by the words right beside it, and nothing tells how bright the lamp is. */
function isCalledBrightness({ before, after, all }: Around): boolean {
  return (
    !/\d ?(?:k )?(?:lm|lumens?)\b/i.test(all) &&
    (/\b(?:bright\w*|lumens?|output|intens\w*|power)(?: of| is| as| up to|:)? ?$/i.test(before) ||
      /^ ?(?:(?:of|in|super|ultra|extra|very|high|full|total) ){0,2}(?:bright|lumens?\b|output|intens|power\b)/i.test(after))
  );
}

/** How long a tape is said to be; null where nothing says it. */
function lengthOfTape(said: string): number | null {
  const match = new RegExp(String.raw`${N}[ -]?(m(?:et(?:er|re)s?)?|ft|foot|feet)\b(?! ?[2²^])`, 'i').exec(said);
  return match ? number(match[1]!) * metres(match[2]!) : null;
}

function wattsOf(value: number, around: Around): { kind: Kind; value: number }[] {
  const before = clauseBefore(around);
  const after = clauseAfter(around);
  if (
    near(after, /^ ?(?:\(?(?:eq|equiv)|replace)/i) ||
    near(before, /\b(equiv\w*|equals?|replac\w*|like an?|as bright as|compar\w*)\b[^,;]*$/i)
  )
    return [{ kind: 'claimedWatts', value }];
  if (
    near(
      before,
      /(draw\w*|consum\w*|actual\w*|input|at the (?:wall|plug)|meter\b.*|uses?|measured|power:?|takes) ?(?:is |of |says |only )?$/i,
    ) ||
    /^ ?\(?(?:draw|consum|actual|at the (?:wall|plug)|measured|input)/i.test(after)
  )
    return [{ kind: 'drawnWatts', value }];
  if (/^ ?(?:tubes?|t\d|per tube|each)\b/i.test(after)) return [{ kind: 'tubeWatts', value }];
  if (/^ ?(?:diodes?|chips?)\b/i.test(after)) return [{ kind: 'diodeWatts', value }];
  return [{ kind: 'watts', value }];
}

/** Power of no name beside power drawn is a claim; where none is said to be drawn, it is what is drawn. */
function powersNamed(figures: readonly { kind: Kind; value: number; words: string }[]): Claim[] {
  const isDrawnKnown = figures.some((f) => f.kind === 'drawnWatts' || f.kind === 'diodeWatts');
  return figures.map(({ kind, value, words }) => ({
    kind: kind !== 'watts' ? kind : isDrawnKnown ? 'claimedWatts' : 'drawnWatts',
    value,
    words,
  }));
}

function technologyOf(said: string): ClaimedTechnology | null {
  if (/\b(incandescent|filament|halogen)\b/i.test(said)) return 'filament';
  if (/\b(fluorescent|cfl|t5|t8|t12|compact)\b/i.test(said)) return 'fluorescent';
  if (/\b(leds?|diodes?)\b/i.test(said)) return 'led';
  return null;
}

/** “The 80 W one costs more”, where a stronger one is named. */
function lessCostsMore(said: string): boolean {
  const named = /(\d+(?:\.\d+)?) ?w(?:att)?s?(?: one| lamp| panel| tube| bulb)? (?:costs|uses|burns) more/i.exec(said);
  if (!named) return false;
  const watts = [...said.matchAll(/(\d+(?:\.\d+)?) ?w(?:atts?)?\b/gi)].map((m) => Number(m[1]));
  return Math.max(...watts) > Number(named[1]);
}
