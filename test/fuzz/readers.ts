import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readMapCells } from '../../src/core/things/lamp/fitToMap';
import { lampLibrary } from '../../src/core/things/lamp/lampLibrary';
import { tables } from '../../src/core/things/tables/libraryTables';
import { readIes } from '../../src/core/light/photometry/readIes';
import { readLdt } from '../../src/core/light/photometry/readLdt';
import { writeIes } from '../../src/core/light/photometry/writeIes';
import { guessColumns, readTable } from '../../src/core/measure/reading/readingTable';
import type { Result } from '../../src/core/units/result';
import { figuresOf } from '../../src/core/light/spectrum/figures';
import { readSpectrumCsv } from '../../src/core/light/spectrum/readSpectrumCsv';
import { emittersOf } from '../../src/core/things/lamp/emittersOf';
import { farFieldOf } from '../../src/core/light/photometry/farFieldOf';
import { fluxOfTable } from '../../src/core/light/photometry/fluxOfTable';
import { lightOf } from '../../src/core/light/ppfdAtPoint';
import { benchStandOf } from '../../src/core/answer/stand/benchStand';
import { createSimulatedPlug } from '../../src/core/plan/plug/simulatedPlug';
import { dayFrom, dayOf, readDay } from '../../src/core/units/day';
import { readClock } from '../../src/core/units/clock';
import { readLength } from '../../src/core/units/length';
import { readLight } from '../../src/core/units/light';
import { exportSite } from '../../src/store/files/exportSite';
import { linkOf, readLink } from '../../src/store/files/showLink';
import { journalCsv } from '../../src/store/files/journalCsv';
import { journalJson, readJournal, withJournal } from '../../src/store/files/journalFile';
import { mergeSite } from '../../src/store/files/mergeSite';
import { readSiteText } from '../../src/store/files/readSiteText';
import { readTableText } from '../../src/store/files/readTableText';
import { readMeterWorld } from '../../src/store/meter/readMeterWorld';
import { obey, readPlugClock, readPlugOrder } from '../../src/store/plug/readPlug';
import { readEpw } from '../../src/core/sky/outdoors/readEpw';
import { readDaylightText } from '../../src/store/daylight/answerDaylightText';
import { readSceneText } from '../../src/store/scene/answerSceneText';
import { readSettings } from '../../src/store/settings/readSettings';
import { startingSettings } from '../../src/store/settings/settingsStore';
import { readSite } from '../../src/store/form/readSite';
import { demoSite } from '../../src/store/site/demoSite';
import { emptySite } from '../../src/store/site/newSite';

/** One way in, with texts that it takes. `read` throws when what it took is not sound. */
export interface FuzzedReader {
  readonly name: string;
  readonly json: boolean;
  readonly samples: readonly string[];
  read(text: string): void | Promise<void>;
}

const root = join(__dirname, '..', '..');
const file = (path: string) => readFileSync(join(root, path), 'utf8');

/** Problems are named: each has a code and a place, and there is at least one. */
function value<T>(result: Result<T>): T | null {
  if (result.ok) return result.value;
  if (result.problems.length === 0) throw new Error('refused without a reason');
  for (const p of result.problems)
    if (!p.code || typeof p.at !== 'string') throw new Error(`a problem without a name: ${JSON.stringify(p)}`);
  return null;
}

const mustBe = (holds: boolean, what: string) => {
  if (!holds) throw new Error(what);
};

/** Every number in a thing is one. */
function finite(thing: unknown, at = ''): void {
  if (typeof thing === 'number') mustBe(Number.isFinite(thing), `${at} is ${thing}`);
  else if (ArrayBuffer.isView(thing)) Array.from(thing as unknown as ArrayLike<number>).forEach((n, i) => finite(n, `${at}[${i}]`));
  else if (typeof thing === 'object' && thing !== null) for (const [key, part] of Object.entries(thing)) finite(part, `${at}.${key}`);
}

function readsBack(text: string): void {
  const site = value(readSiteText(text));
  if (!site) return;
  finite(site, 'site');
  const again = readSite(JSON.parse(exportSite(site)));
  mustBe(again.ok, `does not read back: ${JSON.stringify(again.ok ? '' : again.problems)}`);
  mustBe(again.ok && exportSite(again.value) === exportSite(site), 'reads back as something else');
  // What the first screen does with it.
  for (const stand of site.stands) finite(benchStandOf(site, stand, tables).tiers.map((t) => t.lamps.map((l) => emittersOf(l.lamp, l.fitting))), 'bench'); // prettier-ignore
  mustBe(mergeSite(emptySite('en'), site).stands.length === site.stands.length, 'cannot be opened beside what is there');
}

const journalSite = demoSite('en-GB', dayFrom(2027, 2, 20));
/** What is taken of a journal can be kept and read again. */
function journalTaken(text: string): void {
  const journal = value(readJournal(text, { batches: journalSite.batches.map((b) => ({ ...b, log: [] })) }, () => 'fresh'));
  if (!journal) return;
  const kept = journal.added.filter((a, i, all) => all.findIndex((o) => o.entry.id === a.entry.id) === i);
  readsBack(
    exportSite(withJournal({ added: kept, known: 0 })({ ...journalSite, batches: journalSite.batches.map((b) => ({ ...b, log: [] })) })),
  );
}

const photometric = (result: ReturnType<typeof readIes>) => {
  const read = value(result);
  if (!read) return;
  finite(read, 'file');
  mustBe(read.lumens < 1e9, `${read.lumens} lm`);
  finite(fluxOfTable(read.table), 'flux');
  const { table, length, width, round } = read;
  const light = lightOf({ kind: 'photometric', x: 0, y: 0, z: 1, turn: 0, ppf: read.lumens, length, width, round, table });
  finite([light(0, 0, 0), light(0.5, 0.3, 0.9), light(0, 0, 1)], 'light');
};

const ldtSample = ['A maker', '2', '1', '4', '90', '3', '45', 'r', 'A bar', 'n', 'f', 'd', '1200', '60', '50', '1150', '40', '0', '0', '0', '0', '100', '90', '1', '0', '1', '1', 'LED', '1000', '4000', '80', '10', ...Array<string>(10).fill('0.5'), '0', '90', '180', '270', '0', '45', '90', '100', '60', '0'].join('\n'); // prettier-ignore

const iesSamples = () =>
  lampLibrary.slice(0, 6).map(({ name, power, length, width, ...lamp }) => {
    const table = farFieldOf(emittersOf({ name, power, length, width, ...lamp }, { x: 0, y: 0, face: 0, turn: 0 }));
    return writeIes({ name, lumens: lamp.ppf * 70, power, length, width, round: false, table });
  });

const spectrumSample = Array.from({ length: 81 }, (_, i) => `${380 + 5 * i},${(Math.exp(-(((i - 14) / 6) ** 2)) + 0.6 * Math.exp(-(((i - 44) / 14) ** 2))).toFixed(4)}`).join('\n'); // prettier-ignore

const siteSamples = () => [
  exportSite(demoSite('en-GB', dayFrom(2027, 2, 20))),
  ...[1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11].map((v) => file(`test/fixtures/site-version-${v}.json`)),
];

const meterWorld = () => JSON.stringify({ kindId: 'lux-basic', seed: 3, lampFactor: 0.9, meterFactor: 1.1, filter: 'sound', daylight: 5, noise: 0.01, sway_m: 0.002, scene: JSON.parse(file('docs/examples/shelf.json')) as unknown }); // prettier-ignore

/** Every way in that takes what others made. */
export const fuzzedReaders = (): readonly FuzzedReader[] => [
  { name: 'site file', json: true, samples: siteSamples(), read: readsBack },
  { name: 'site text', json: false, samples: siteSamples().slice(1), read: readsBack },
  {
    name: 'link',
    json: false,
    samples: ['demo-sill', 'demo-landing'].map((id) => {
      const link = linkOf(demoSite('en-GB', dayFrom(2027, 3, 15)), id, 'http://localhost');
      return link.ok ? new URL(link.value).hash : '';
    }),
    read: (text) => {
      const site = value(readLink(text));
      if (site) readsBack(exportSite(site));
    },
  },
  { name: 'journal', json: true, samples: [journalJson(journalSite)], read: journalTaken },
  { name: 'journal table', json: false, samples: [journalCsv(journalSite)], read: journalTaken },
  {
    name: 'scene',
    json: true,
    samples: [file('docs/examples/shelf.json')],
    read: (text) => finite(value(readSceneText(text))?.scene, 'scene'),
  },
  {
    name: 'window',
    json: true,
    samples: [file('docs/examples/window.json')],
    read: (text) => finite(value(readDaylightText(text))?.sills, 'window'),
  },
  {
    name: 'weather file',
    json: false,
    samples: [file('docs/examples/window.json').replace('{', 'LOCATION,a,b,c,d,1,52,0,0,1')],
    read: (text) => void value(readEpw(text)),
  },
  { name: 'meter', json: true, samples: [meterWorld()], read: (text) => finite(value(readMeterWorld(text))?.scene, 'world') },
  { name: 'plug clock', json: true, samples: ['{"day":"2027-02-13","minute":480}'], read: (text) => finite(value(readPlugClock(text))) },
  {
    name: 'plug order',
    json: true,
    samples: ['{"schedule":[{"from":"2027-02-13","on_min":360,"lit_min":960},{"from":"2027-03-01","on_min":360,"lit_min":840}],"clock":{"day":"2027-02-13","minute":480},"speed":60,"powered":true,"remembers":true}'], // prettier-ignore
    async read(text) {
      const order = value(readPlugOrder(text));
      if (!order) return;
      const plug = createSimulatedPlug(dayOf('2027-02-13'), 480, () => 1000);
      await obey(plug, order);
      finite(await plug.state(), 'plug');
    },
  },
  {
    name: 'settings',
    json: true,
    samples: [JSON.stringify(startingSettings('en-GB'))],
    read: (text) => finite(readSettings(JSON.parse(text), startingSettings('en-GB')), 'settings'),
  },
  { name: 'IES file', json: false, samples: iesSamples(), read: (text) => photometric(readIes(text)) },
  { name: 'LDT file', json: false, samples: [ldtSample], read: (text) => photometric(readLdt(text)) },
  {
    name: 'spectrum',
    json: false,
    samples: [spectrumSample, `nm;power\n${spectrumSample.replaceAll(',', ';').replaceAll('.', ',')}`],
    read(text) {
      const spectrum = value(readSpectrumCsv(text));
      if (!spectrum) return;
      const figures = figuresOf(spectrum);
      finite({ ...figures, redToFarRed: null, cct: null }, 'figures');
      mustBe(figures.luxPerUmol < 1e4, `${figures.luxPerUmol} lx/µmol`);
    },
  },
  { name: 'map', json: false, samples: ['120, 180, 120\n200, 310, 190\n120, 175, 122'], read: (text) => finite(value(readMapCells(text)), 'map') }, // prettier-ignore
  {
    name: 'readings',
    json: false,
    samples: ['x,y,z,reading,unit,time\n10,20,30,8500,lx,2027-02-13T08:00\n30,20,30,9100,lx,2027-02-13T08:02', '10;20;8500\n20;20;9100\n'],
    read(text) {
      const rows = value(readTableText(text));
      if (!rows) return;
      const table = value(readTable(rows, guessColumns(rows)));
      if (table) finite(table.readings, 'readings');
    },
  },
  {
    name: 'typed',
    json: false,
    samples: ['12 1/2 in', '5’11”', '1.234,5 cm', '0,285', '850 lx', '1.2klx', '23:30', '2027-02-13', '€ 0,30'],
    read(text) {
      const line = text.slice(0, 200);
      for (const decimal of ['.', ','] as const) {
        finite(value(readLength(line, 'cm', decimal)), 'length');
        finite(value(readLight(line, 'lx', decimal)), 'light');
      }
      for (const form of ['24', '12'] as const) finite(value(readClock(line, form)), 'clock');
      finite(value(readDay(line)), 'day');
    },
  },
];
