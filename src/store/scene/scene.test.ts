import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import line from '../../../test/cases/light-line.json';
import box from '../../../test/cases/light-box.json';
import { createLightApi } from '../../workers/light/light.answers';
import { answerSceneText, readSceneText } from './answerSceneText';

const example = readFileSync('docs/examples/shelf.json', 'utf8');
type Json = Record<string, unknown>;
const withChange = (change: (scene: Json) => void) => {
  const scene = JSON.parse(example) as Json;
  change(scene);
  return JSON.stringify(scene);
};
const problems = (text: string) => {
  const said = answerSceneText(text);
  return said.ok ? [] : said.problems.map((p) => `${p.code} ${p.at}`);
};
const answer = (text: string) => {
  const said = answerSceneText(text);
  if (!said.ok) throw new Error(JSON.stringify(said.problems));
  return said.answer;
};

test('the example of the documentation is answered whole', () => {
  const { points, trays, maps, slices, falloffs, balance } = answer(example);
  const point = points[0]!;
  expect(point.lamps.reduce((sum, l) => sum + l.share, 0)).toBeWithin(1, { relative: 1e-9 });
  expect(point.ppfd.low).toBeLessThan(point.ppfd.value);
  expect(point.ppfd.high).toBeGreaterThan(point.ppfd.value);
  expect(point.reflectedShare).toBeGreaterThan(0.05);
  expect(point.lux / point.ppfd.value).toBeWithin(point.luxPerUmol, { relative: 1e-9 });
  // The mixture's own factor lies between those of its lamps (70 and 71 lx/µmol).
  expect(point.luxPerUmol).toBeGreaterThan(69.9);
  expect(point.luxPerUmol).toBeLessThan(71.1);
  expect(trays[0]!.mean.value).toBeGreaterThan(trays[0]!.weakest.ppfd);
  expect(trays[0]!.shareOfPpf).toBeLessThan(1);
  expect(maps[0]).toMatchObject({ columns: 25, rows: 11 });
  expect(slices[0]!.ppfd).toHaveLength(25 * 9);
  expect(falloffs[0]!.rows[0]!.ppfd).toBeGreaterThan(falloffs[0]!.rows[11]!.ppfd);
  expect(balance.absorbed + balance.left).toBeWithin(balance.emitted, { relative: 1e-9 });
});

test('the worker and the command line say the same as the door for scripts', async () => {
  const question = readSceneText(example);
  if (!question.ok) throw new Error('the example is refused');
  const expected = JSON.parse(JSON.stringify(answer(example))) as Json;
  expect(JSON.parse(JSON.stringify(createLightApi().field(question.value)))).toEqual(expected);
  const said = execFileSync('node', ['-r', './scripts/typescript.cjs', 'scripts/field.ts', '-'], { input: example, encoding: 'utf8' });
  expect(JSON.parse(said)).toMatchObject({ ok: true, answer: expected });
}, 120_000);

test('scenes of the reference cases give the reference numbers', () => {
  const tube = line.cases.find((c) => c.id === 'line/tube/L0.55/x/h0.10')!;
  const lamp = tube.scene.luminaires[0]!;
  const [x, y, z] = lamp.center as [number, number, number];
  const scene = {
    format: 'copper-noon/scene',
    version: 1,
    lamps: [{ id: 'a', kind: 'tube', x_m: x, y_m: y, z_m: z, length_m: lamp.length, ppf_umol_per_s: lamp.ppf }],
    ask: { points: tube.receivers!.map(([rx, ry, rz]) => ({ x_m: rx, y_m: ry, z_m: rz })) },
  };
  answer(JSON.stringify(scene)).points.forEach((p, i) =>
    expect(p.ppfd.value).toBeWithin((tube.expected as number[])[i]!, { relative: 1e-6 }),
  );

  const white = box.cases.find((c) => c.id === 'box/tent/grey/points')!;
  const b = white.scene.box!;
  const panel = white.scene.luminaires[0]! as unknown as { center: [number, number, number]; size: [number, number]; ppf: number };
  const tent = {
    format: 'copper-noon/scene',
    version: 1,
    lamps: [{ id: 'a', kind: 'rect', x_m: panel.center[0], y_m: panel.center[1], z_m: panel.center[2], length_m: panel.size[0], width_m: panel.size[1], ppf_umol_per_s: panel.ppf }], // prettier-ignore
    tiers: [
      {
        x_m: 0,
        y_m: 0,
        z_m: 0,
        width_m: b.width,
        depth_m: b.depth,
        height_m: b.height,
        faces: Object.fromEntries(
          ([['floor', 'floor'], ['ceiling', 'ceiling'], ['left', 'x0'], ['right', 'x1'], ['front', 'y0'], ['back', 'y1']] as const).map(([name, key]) => [name, { reflectance: b.rho[key] }]), // prettier-ignore
        ),
      },
    ],
    ask: { points: (white.receivers as unknown as number[][]).map(([rx, ry, rz]) => ({ x_m: rx, y_m: ry, z_m: rz })) },
  };
  answer(JSON.stringify(tent)).points.forEach((p, i) =>
    expect(p.ppfd.value).toBeWithin((white.expected as number[])[i]!, { relative: 0.02 }),
  );
});

test('a tilted lamp, diodes and an IES file are lamps as well', () => {
  const ies = 'IESNA:LM-63-1995\nTILT=NONE\n1 1000 1 3 1 1 2 0 0 0\n1 1 20\n0 45 90\n0\n100 80 0';
  const scene = (lamp: Json) =>
    JSON.stringify({
      format: 'copper-noon/scene',
      version: 1,
      lamps: [{ id: 'a', x_m: 0, y_m: 0, z_m: 1, ...lamp }],
      ask: { points: [{ x_m: 0, y_m: 0, z_m: 0 }, { x_m: 0, y_m: 0.5, z_m: 0 }] }, // prettier-ignore
    });
  const at = (lamp: Json) => answer(scene(lamp)).points.map((p) => p.ppfd.value);
  expect(at({ kind: 'ies', ies })[0]).toBeWithin(100 / 71, { relative: 1e-3 }); // 100 cd over 1 m², 71 lx for each µmol
  const [below, aside] = at({ kind: 'point', ppf_umol_per_s: 10, beam_deg: 30, tilt_deg: 26.565 }) as [number, number];
  expect(aside).toBeGreaterThan(2 * below); // it looks at (0, 0.5, 0)
  expect(at({ kind: 'rect', ppf_umol_per_s: 10, length_m: 0.3, width_m: 0.3, diodes: { columns: 6, rows: 6 } })[0]).toBeWithin(
    at({ kind: 'rect', ppf_umol_per_s: 10, length_m: 0.3, width_m: 0.3 })[0]!,
    { relative: 0.01 },
  );
  const level = at({ kind: 'library', libraryId: 't8-12-2refl' });
  expect(at({ kind: 'library', libraryId: 't8-12-2refl', tilt_deg: 0.001 })[0]).toBeWithin(level[0]!, { relative: 1e-3 });
  expect(at({ kind: 'library', libraryId: 't8-12-2refl', tilt_deg: 30 })[1]).toBeGreaterThan(level[1]!);
});

test('the housing of a lamp keeps away light that comes down from the ceiling', () => {
  const pale = { reflectance: 0.9 };
  const scene = (body: Json) =>
    JSON.stringify({
      format: 'copper-noon/scene',
      version: 1,
      lamps: [{ id: 'a', kind: 'point', isotropic: true, x_m: 0.5, y_m: 0.5, z_m: 0.4, ppf_umol_per_s: 20, ...body }],
      tiers: [{ x_m: 0, y_m: 0, z_m: 0, width_m: 1, depth_m: 1, height_m: 0.6, faces: { ceiling: pale } }],
      ask: { points: [{ x_m: 0.5, y_m: 0.5, z_m: 0 }] },
    });
  const [bare, housed] = [{}, { body: { length_m: 0.5, width_m: 0.5, height_m: 0.05 } }].map((b) => answer(scene(b)).points[0]!);
  expect(housed!.reflectedShare).toBeLessThan(0.5 * bare!.reflectedShare);
  expect(housed!.ppfd.value * (1 - housed!.reflectedShare)).toBeWithin(bare!.ppfd.value * (1 - bare!.reflectedShare), { relative: 1e-6 });
});

test.each([
  ['what is no JSON', 'hello', 'file/not-json'],
  ['a list', '[]', 'scene/not-an-object'],
  ['another format', '{"format":"x"}', 'scene/foreign format'],
  ['a newer version', withChange((s) => void Object.assign(s, { version: 2 })), 'scene/newer version'],
  ['brackets without end', '['.repeat(40) + ']'.repeat(40), 'file/too-deep'],
  ['a field that is not ours', withChange((s) => void Object.assign(s, { extra: 1 })), 'scene/whitelistValidation extra'],
  ['a lamp without flux', withChange((s) => void delete (s.lamps as Json[])[0]!.ppf_umol_per_s), 'scene/missing lamps[0].ppf_umol_per_s'],
  ['an unknown lamp', withChange((s) => void ((s.lamps as Json[])[1]!.libraryId = 'x')), 'scene/missing lamps[1].libraryId'],
  ['an unknown spectrum', withChange((s) => void ((s.lamps as Json[])[0]!.spectrum = 'x')), 'scene/isIn lamps[0].spectrum'],
  ['a face that makes light', withChange((s) => void ((s.tiers as Json[])[0]!.faces = { floor: { reflectance: 0.9, transmittance: 0.3 } })), 'scene/more-than-all tiers[0].faces.floor'], // prettier-ignore
  ['the same id twice', withChange((s) => void ((s.lamps as Json[])[1]!.id = 'front')), 'scene/id-twice lamps[1].id'],
  ['an empty tray', withChange((s) => void ((s.trays as Json[])[0]!.x1_m = 0)), 'scene/empty trays[0].x1_m'],
  ['a tray without depth', withChange((s) => void ((s.trays as Json[])[0]!.y1_m = 0)), 'scene/empty trays[0].y1_m'],
  [
    'more cells than we will compute',
    withChange((s) => void (((s.ask as Json).maps as Json[])[0]!.cell_m = 0.001)),
    'scene/too-many-cells ask',
  ],
  [
    'more ways of light than we will follow',
    withChange((s) => {
      s.lamps = Array.from({ length: 20 }, (_, i) => ({ id: `l${i}`, kind: 'rect', x_m: 0, y_m: 0, z_m: 1, length_m: 0.4, width_m: 0.4, ppf_umol_per_s: 50, diodes: { columns: 40, rows: 40 } })); // prettier-ignore
      s.ask = { maps: [{ x0_m: 0, x1_m: 5, y0_m: 0, y1_m: 5, z_m: 0, cell_m: 0.01 }] };
    }),
    'scene/too-much-work ask',
  ],
  ['a number that is none', example.replace('"y_m": 0.2', '"y_m": "near"'), 'scene/isNumber lamps[0].y_m'],
])('%s is refused, by field', (_, text, expected) => expect(problems(text).join(', ')).toContain(expected));

test('a slice is as large as its sides are long, however high it stands', () => {
  const text = withChange((s) => {
    s.ask = { slices: [{ x0_m: 0, x1_m: 1, z0_m: 9, z1_m: 9.1, y_m: 0.2, cell_m: 0.001 }] };
  });
  expect(problems(text)).toEqual([]);
});

test('between mirrors every image of a lamp is a way to follow', () => {
  const scene = (specular: number) => {
    const wall = { reflectance: 0.9, transmittance: 0, specular };
    return withChange((s) => {
      s.tiers = [{ x_m: 0, y_m: 0, z_m: 0, width_m: 5, depth_m: 5, height_m: 2, faces: Object.fromEntries(['floor', 'left', 'right', 'front', 'back'].map((f) => [f, wall])) }]; // prettier-ignore
      s.lamps = Array.from({ length: 20 }, (_, i) => ({ id: `l${i}`, kind: 'rect', x_m: 1, y_m: 1, z_m: 1, length_m: 0.4, width_m: 0.4, ppf_umol_per_s: 50, diodes: { columns: 8, rows: 8 } })); // prettier-ignore
      s.trays = [];
      s.things = [];
      s.ask = { maps: [{ x0_m: 0, x1_m: 5, y0_m: 0, y1_m: 5, z_m: 0.1, cell_m: 0.01 }] };
    });
  };
  const refused = (specular: number) => {
    const read = readSceneText(scene(specular));
    return read.ok ? [] : read.problems.map((p) => p.code);
  };
  expect(refused(0)).toEqual([]);
  expect(refused(0.8)).toEqual(['scene/too-much-work']);
});

test('numbers that no computer can hold are refused by the name of their field', () => {
  for (const huge of ['1e999', '-1e999']) {
    const text = example.replace(/"x_m": *[-\d.]+/, `"x_m": ${huge}`);
    expect(text).not.toBe(example);
    expect(problems(text).length).toBeGreaterThan(0);
    expect(problems(text).join()).toContain('x_m');
  }
});

test('a ring that has no room to shine is refused; one that has gives all its light', () => {
  const scene = (holeRadius_m: number) =>
    withChange(
      (s) => (s.lamps = [{ id: 'a', kind: 'disc', x_m: 0.5, y_m: 0.2, z_m: 0.3, radius_m: 0.1, ppf_umol_per_s: 20, holeRadius_m }]),
    );
  expect(problems(scene(0.099))).toEqual(['scene/hole lamps[0].holeRadius_m']);
  expect(answer(scene(0.08)).balance.emitted).toBeWithin(20, { relative: 1e-9 });
  const middle = (hole: number) => answer(scene(hole)).maps[0]!.ppfd;
  expect(middle(0.08)).not.toEqual(middle(0));
});

test('a lamp that travels gives its mean over time: as much as a lamp at every place of its way would; a body may not', () => {
  const lamp = { id: 'a', kind: 'point', x_m: 0.5, y_m: 0.2, z_m: 0.3, ppf_umol_per_s: 20 };
  const scene = (lamps: object[]) => withChange((s) => (s.lamps = lamps as typeof s.lamps));
  const mapOf = (lamps: object[]) => answer(scene(lamps)).maps[0]!.ppfd;
  const n = 60;
  const row = Array.from({ length: n }, (_, i) => ({
    ...lamp,
    id: `a${i}`,
    x_m: 0.5 + 0.4 * ((i + 0.5) / n - 0.5),
    ppf_umol_per_s: 20 / n,
  }));
  const [moving, still] = [mapOf([{ ...lamp, travelX_m: 0.4 }]), mapOf(row)];
  expect(moving.length).toBeGreaterThan(100);
  const most = Math.max(...still);
  moving.forEach((v, i) => expect(v).toBeWithin(still[i]!, { absolute: 0.01 * most }));
  const body = { length_m: 0.1, width_m: 0.1, height_m: 0.05 };
  expect(problems(scene([{ ...lamp, travelY_m: 0.4, body }]))).toEqual(['scene/body-travels lamps[0].body']);
  expect(problems(scene([{ ...lamp, travelX_m: 5 }]))).toEqual(['scene/max lamps[0].travelX_m']);
});
