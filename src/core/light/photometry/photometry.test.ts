import fc from 'fast-check';
import { FloatType } from 'three';
import { IESLoader } from 'three/examples/jsm/loaders/IESLoader.js';
import { evenly } from '../../../../test/evenly';
import { emittersOf } from '../../things/lamp/emittersOf';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { spectrumOf } from '../spectrum/spectrumLibrary';
import type { Emitter } from '../emitters/Emitter';
import { lightOf } from '../ppfdAtPoint';
import { farFieldOf } from './farFieldOf';
import { fluxOfTable } from './fluxOfTable';
import { intensityTowards } from '../emitters/IntensityTable';
import { readIes } from './readIes';
import { readLdt } from './readLdt';
import { writeIes } from './writeIes';

const lampOf = (id: string) => lampLibrary.find((l) => l.id === id)!;
const write = (id: string) => {
  const lamp = lampOf(id);
  const table = farFieldOf(emittersOf(lamp, { x: 0, y: 0, face: 0, turn: 0 }));
  const lumens = lamp.ppf * spectrumOf(lamp.spectrumId).luxPerUmol;
  return {
    table,
    lumens,
    text: writeIes({ name: lamp.name, lumens, power: lamp.power, length: lamp.length, width: lamp.width, round: false, table }),
  };
};
const read = (text: string) => {
  const result = readIes(text);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.value;
};

test.each(lampLibrary.map((l) => [l.id]))('%s goes out as an IES file and comes back the same', (id) => {
  const { table, lumens, text } = write(id);
  const back = read(text);
  expect(fluxOfTable(table)).toBeWithin(1, { relative: 0.01 });
  expect(back.lumens).toBeWithin(lumens, { relative: 0.01 });
  for (const [a, b, c] of [[0, 0, 1], [0.5, 0.2, 0.8], [0.1, -0.9, 0.4], [-0.7, 0, 0.7], [0.3, 0.3, -0.9]] as const) // prettier-ignore
    expect(back.lumens * intensityTowards(back.table, a, b, c)).toBeWithin(lumens * intensityTowards(table, a, b, c), { absolute: 2e-4 * lumens }); // prettier-ignore
});

test.each([['t8-12-1'], ['led-board-65'], ['led-a-14-clamp'], ['led-shop-12-twin-42']])(
  'another reader finds the same values in the IES file of %s',
  (id) => {
    const lamp = lampLibrary.some((l) => l.id === id) ? id : lampLibrary[0]!.id;
    const { table, lumens, text } = write(lamp);
    const loader = new IESLoader() as IESLoader & { type: number };
    loader.type = FloatType as never;
    const data = (loader.parse(text.replace(/\r\n/g, '\n')) as unknown as { image: { data: Float32Array } }).image.data;
    const most = Math.max(...table.perFlux) * lumens;
    // That reader keeps the square of each value over the greatest; at the angles of the file nothing is between.
    for (const phi of [0, 20, 45, 75, 110, 170])
      for (const theta of [0, 30, 90, 180, 270, 345]) {
        const [g, c] = [(phi * Math.PI) / 180, (theta * Math.PI) / 180];
        const ours = (lumens * intensityTowards(table, Math.sin(g) * Math.cos(c), Math.sin(g) * Math.sin(c), Math.cos(g))) / most;
        expect(Math.sqrt(data[phi + theta * 180]!)).toBeWithin(ours, { absolute: 2e-3 });
      }
  },
);

/** A small file by hand: 1000 lm, intensity 100 at nadir falling to 0 at 90°, turned about the vertical. */
const ies = (
  change: Partial<{
    first: string;
    tilt: string;
    counts: string;
    dims: string;
    factors: string;
    angles: string;
    planes: string;
    candela: string;
    type: number;
    units: number;
    sep: string;
  }> = {},
) => {
  const {
    first = 'IESNA:LM-63-1995',
    tilt = 'TILT=NONE',
    counts = '3 1',
    dims = '0 0 0',
    factors = '1 1 20',
    angles = '0 45 90',
    planes = '0',
    candela = '100 80 0',
    type = 1,
    units = 2,
  } = change;
  return [first, '[LUMINAIRE] A lamp', tilt, `1 1000 1 ${counts} ${type} ${units} ${dims}`, factors, angles, planes, candela].join('\n');
};

test.each([
  ['1986, without a first line of its own', { first: 'A lamp of old' }],
  ['1991', { first: 'IESNA91' }],
  ['1995', {}],
  ['2002', { first: 'IESNA:LM-63-2002' }],
  ['2019', { first: 'IES:LM-63-2019', factors: '1 1.10001 20' }],
])('a file of %s is read', (_, change) => {
  const file = read(ies(change));
  expect(file.lumens * intensityTowards(file.table, 0, 0, 1)).toBeWithin(100, { relative: 1e-9 });
  expect(file.lumens * intensityTowards(file.table, 1, 0, 1)).toBeWithin(80, { relative: 1e-9 });
  expect(file.power).toBe(20);
});

test('however its lines are wrapped and its numbers parted, it is the same file', () => {
  const plain = read(ies());
  const [a, b, c, ...rest] = ies().split('\n');
  const mangled = [a, b, c, ...rest.join(' ').split(' ')].join('\r\n');
  const commas = [a, b, c, rest.join(' ').replace(/ /g, ' , ')].join('\r');
  expect(read(mangled)).toEqual(plain);
  expect(read(commas)).toEqual(plain);
});

test('tilt that is included counts as for a lamp hung level; multiplier, ballast and old second factor count', () => {
  const tilted = read(ies({ tilt: 'TILT=INCLUDE\n1\n3\n0 45 90\n0.9 0.8 0.7' }));
  expect(tilted.lumens).toBeWithin(0.9 * read(ies()).lumens, { relative: 1e-9 });
  expect(read(ies({ factors: '0.9 0.5 20' })).lumens).toBeWithin(0.45 * read(ies()).lumens, { relative: 1e-9 });
  expect(read(ies({ first: 'IESNA:LM-63-2002', factors: '0.9 0.5 20' })).lumens).toBeWithin(0.9 * read(ies()).lumens, { relative: 1e-9 });
});

test('feet, round openings and points', () => {
  expect(read(ies({ units: 1, dims: '0.5 4 0' }))).toMatchObject({
    length: expect.closeTo(1.2192, 4),
    width: expect.closeTo(0.1524, 4),
    round: false,
  });
  expect(read(ies({ dims: '-0.3 -0.3 0' }))).toMatchObject({ length: 0.3, width: 0.3, round: true });
  expect(read(ies())).toMatchObject({ length: 0, width: 0 });
});

test.each([
  ['a quarter', '3 3', '0 45 90', ['100 80 0', '100 60 0', '100 40 0'], 4],
  ['a half', '3 3', '0 90 180', ['100 80 0', '100 40 0', '100 60 0'], 2],
  ['a half about the other axis', '3 3', '90 180 270', ['100 40 0', '100 60 0', '100 40 0'], 2],
  ['the whole turn', '3 5', '0 90 180 270 360', ['100 80 0', '100 40 0', '100 60 0', '100 40 0', '100 80 0'], 1],
])('%s of the planes stands for all', (_, counts, planes, rows) => {
  const file = read(ies({ counts, planes, candela: rows.join('\n') }));
  const at45 = (along: number, across: number) => file.lumens * intensityTowards(file.table, along, across, 1);
  expect(at45(0, 1)).toBeWithin(40, { relative: 1e-9 });
  expect(at45(0, -1)).toBeWithin(40, { relative: 1e-9 });
  expect(fluxOfTable(file.table)).toBeWithin(1, { relative: 1e-9 });
});

test.each([
  ['no IES file', 'hello', 'ies/no-tilt', 'line 1'],
  ['more light than a stadium', ies({ candela: '1e300 80 0' }), 'ies/too-bright', 'candela values'],
  ['an opening of a mile', ies({ dims: '1600 1 0' }), 'ies/size', 'luminous opening'],
  ['another version', ies({ first: 'IESNA:LM-63-2050' }), 'ies/unknown-version', 'line 1'],
  ['tilt in a file of its own', ies({ tilt: 'TILT=LAMP.TLT' }), 'ies/tilt-file', 'line 3'],
  ['type B', ies({ type: 2 }), 'ies/type', 'line 4'],
  ['type A', ies({ type: 3 }), 'ies/type', 'line 4'],
  ['a word', ies({ candela: '100 many 0' }), 'ies/not-a-number', 'line 8'],
  ['a file cut short', ies({ candela: '100 80' }), 'ies/ends-early', 'the end'],
  ['numbers left over', ies({ candela: '100 80 0 7' }), 'ies/too-much', 'line 8'],
  ['counts that would exhaust us', ies({ counts: '1999 1999' }), 'ies/too-many-values', 'line 4'],
  ['half an angle count', ies({ counts: '3.5 1' }), 'ies/count', 'line 4'],
  ['angles that go back', ies({ angles: '0 90 45' }), 'ies/not-rising', 'vertical angles'],
  ['negative light', ies({ candela: '100 -80 0' }), 'ies/negative', 'candela values'],
  ['no light', ies({ candela: '0 0 0' }), 'ies/dark', 'candela values'],
  [
    'planes that stand for no symmetry',
    ies({ counts: '3 2', planes: '0 45', candela: '100 80 0 100 80 0' }),
    'ies/symmetry',
    'horizontal angles',
  ],
])('%s is refused, by name and place', (_, text, code, at) => {
  const result = readIes(text);
  expect(result.ok ? [] : result.problems).toEqual([expect.objectContaining({ code, at })]);
});

/** A EULUMDAT file by hand: 1000 lm, planes from across the lamp. */
function ldt(symmetry: number, c: readonly number[], rows: readonly string[], change: Record<number, string> = {}): string {
  const head = [
    'A maker',
    '2',
    String(symmetry),
    String(c.length),
    String(360 / c.length),
    '3',
    '45',
    'r',
    'A bar',
    'n',
    'f',
    'd',
    '1200',
    '60',
    '50',
    '1150',
    '40',
    '0',
    '0',
    '0',
    '0',
    '100',
    '90',
    '1',
    '0',
    '1',
  ];
  const lines = [
    ...head,
    '1',
    'LED',
    '1000',
    '4000',
    '80',
    '20',
    ...new Array<string>(10).fill('0.5'),
    ...c.map(String),
    '0',
    '45',
    '90',
    ...rows.flatMap((r) => r.split(' ')),
  ];
  for (const [line, text] of Object.entries(change)) lines[Number(line) - 1] = text;
  return lines.join('\r\n');
}
const quarters = [0, 90, 180, 270];

test.each([
  ['none', 0, quarters, ['100 80 0', '100 40 0', '100 60 0', '100 40 0']],
  ['about the vertical', 1, quarters, ['100 60 0']],
  ['about the plane across', 2, quarters, ['100 80 0', '100 40 0', '100 60 0']],
  ['about the plane along', 3, quarters, ['100 40 0', '100 60 0', '100 40 0']],
  ['about both', 4, quarters, ['100 80 0', '100 40 0']],
])('a EULUMDAT file with symmetry %s is read and turned to our axes', (_, symmetry, c, rows) => {
  const result = readLdt(ldt(symmetry, c, rows));
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  const file = result.value;
  const at45 = (along: number, across: number) => file.lumens * intensityTowards(file.table, along, across, 1);
  expect(at45(1, 0)).toBeWithin(symmetry === 1 ? 60 : 40, { relative: 1e-9 }); // C 90 of the file is along the lamp
  expect(file).toMatchObject({ length: 1.15, width: 0.04, round: false, power: 20, lampLumens: 1000 });
  expect(fluxOfTable(file.table)).toBeWithin(1, { relative: 1e-9 });
});

test.each([
  ['a word for a number', ldt(1, quarters, ['100 60 0'], { 4: 'four' }), 'ldt/not-a-number', 'line 4'],
  ['another symmetry', ldt(7, quarters, ['100 60 0']), 'ldt/symmetry', 'line 3'],
  ['a file cut short', ldt(0, quarters, ['100 60 0']), 'ldt/not-a-number', expect.stringMatching(/^line/) as unknown as string],
  ['no flux', ldt(1, quarters, ['100 60 0'], { 29: '0' }), 'ldt/no-flux', 'line 29'],
  ['more light than a stadium', ldt(1, quarters, ['1e300 60 0']), 'ldt/too-bright', expect.stringMatching(/^line/) as unknown as string],
  ['a length below nothing', ldt(1, quarters, ['100 60 0'], { 16: '-1150' }), 'ldt/size', 'line 16'],
])('%s is refused', (_, text, code, at) => {
  const result = readLdt(text);
  expect(result.ok ? null : result.problems[0]).toMatchObject({ code, at });
});

test('laid over its opening, a diffuse far field is a diffuse panel, right close to it', () => {
  const panel: Emitter = { kind: 'rect', x: 0, y: 0, z: 0.1, ppf: 40, length: 0.4, width: 0.2, turn: 0, cosinePower: 1 };
  const table = farFieldOf([panel], 1, 30);
  const laid: Emitter = { kind: 'photometric', x: 0, y: 0, z: 0.1, ppf: 40, length: 0.4, width: 0.2, round: false, turn: 0, table };
  fc.assert(
    fc.property(evenly(-0.35, 0.35), evenly(-0.25, 0.25), (x, y) => {
      expect(lightOf(laid)(x, y, 0)).toBeWithin(lightOf(panel)(x, y, 0), { relative: 0.01 });
    }),
    { numRuns: 60 },
  );
});

test('straight down is read from a table that begins a hair beside it', () => {
  const text = ies({ angles: '0.00000001 45 90' });
  expect(intensityTowards(read(text).table, 0, 0, 1)).toBeWithin(intensityTowards(read(ies()).table, 0, 0, 1), { relative: 1e-3 });
});
