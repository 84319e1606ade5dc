import type { Problem } from '@/core/units/result';

const FIELD: Readonly<Record<string, string>> = {
  name: 'The name',
  length: 'The length',
  width: 'The width',
  hole: 'The hole of the coil',
  diodes: 'The number of diodes',
  emitters: 'The number of tubes',
  power: 'The watts',
  cct: 'The colour temperature',
  beam_deg: 'The beam angle',
  lumens: 'The lumens',
  ppf: 'The PPF',
  efficacy: 'The efficacy',
  ppfd: 'The PPFD',
  map: 'The map',
  photometry: 'The photometric file',
};

/** What is wrong with a lamp's box, or with a file about a lamp, and how to mend it. */
export function lampProblemWords({ code, at, found, expected }: Problem): string {
  const field = FIELD[at] ?? at;
  const seen = found === undefined ? '' : ` (${String(found)})`;
  switch (code) {
    case 'box/empty':
      return `${field} is missing.`;
    case 'box/no-figure':
      return `${field} is to count, but there is no figure for it. Put it in, or let another one count.`;
    case 'box/no-file':
      return 'Open its photometric file first (.ies or .ldt).';
    case 'box/impossible':
      return `${field} can’t be: ${Number(found).toFixed(1)} µmol for each joule, and physics allows ${expected} at most in this colour. Check watts and light against the box.`;
    case 'ies/no-tilt':
      return 'It is not an IES file: there is no line TILT=.';
    case 'ies/unknown-version':
      return `It names a version of the IES format that is not known here${seen}.`;
    case 'ies/tilt-file':
      return `Its tilt is in a file of its own${seen}, which is not here. Ask for the file with TILT=NONE.`;
    case 'ies/type':
      return `It is of type ${String(found)}, measured about another axis; only type C is read.`;
    case 'ies/ends-early':
    case 'ldt/ends-early':
      return 'It ends before all its numbers are there. Was it cut short?';
    case 'ies/too-much':
      return `From ${at} on there are more numbers than it says it has.`;
    case 'ies/symmetry':
    case 'ldt/symmetry':
      return `${at}: its planes${seen} stand for no known symmetry.`;
    case 'ies/dark':
    case 'ldt/dark':
    case 'ldt/no-flux':
      return 'It says that the lamp gives no light.';
    case 'ies/too-bright':
    case 'ldt/too-bright':
      return `It says that the lamp gives more light than a stadium has (at most ${expected} are read). Are its factors right?`;
    case 'file/unreadable':
      return `Your device could not read it${seen}. Is it still there, and may it be read? Try again, or copy it elsewhere first.`;
    case 'spectrum/does-not-cover':
      return `It must cover 400–700 nm in two columns, wavelength and power; here is ${String(found)}.`;
    case 'spectrum/not-rising':
      return `${at}: the wavelengths go back${seen}.`;
    case 'spectrum/dark':
      return 'It has next to no power between 400 and 700 nm, where plants use light.';
    case 'map/uneven':
      return `${at}: ${String(found)} cells where the rows above have ${expected}.`;
    case 'map/empty':
      return 'There are no numbers in it yet.';
    case 'file/too-large':
      return `It is too large (${Math.round(Number(found) / 1e5) / 10} MB; at most ${Number(expected) / 1e6}).`;
    case 'box/range':
      return `${field} should be ${expected}.`;
    default:
      return `${field || 'It'} can’t be read${seen}${expected ? `: ${expected} is wanted` : ''}.`;
  }
}
