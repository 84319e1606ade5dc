import { dayFrom } from '../../core/units/day';
import type { HangChart } from '../../core/plan/hang/HangChart';
import { createBenchLookStore } from './benchStore';
import { sitePreview } from './sitePreview';
import type { DayState } from '../day/dayStore';
import { createSettingsStore } from '../settings/settingsStore';
import { demoSite } from '../site/demoSite';
import { beginGesture, changeSite, createSiteStore, endGesture } from '../site/siteStore';
import { createChartStore } from './chartStore';
import { followChart } from './followChart';
import { createStore } from 'zustand/vanilla';
import { until } from '../../../test/until';

const TODAY = dayFrom(2027, 2, 28);
const chart = (standId: string, day: number): HangChart => ({
  standId,
  from: TODAY,
  until: TODAY + 30,
  visits: [{ day, lamps: [], dims: [], risers: [], hours: [], last: TODAY + 30, after: [], before: [] }],
  limits: [],
  trips: [],
  clockChanges: [],
  rounds: 9,
});
const later = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));

/** @param worked  when a chart is worked out */
function world(worked: () => Promise<void> = () => later(5)) {
  const sites = createSiteStore(demoSite('en-GB', TODAY));
  const stores = {
    sites,
    looks: createBenchLookStore(),
    days: createStore<DayState>(() => ({ today: TODAY })),
    settings: createSettingsStore('en-GB'),
    charts: createChartStore(),
  };
  const asked: string[] = [];
  const stop = followChart(stores, {
    lightOfStand: async () => ({ tiers: {} }),
    chartOf: async (question, _light, progress) => {
      asked.push(question.standId);
      progress(0.6, [{ day: question.from, lamps: [], dims: [], risers: [], hours: [] }]);
      await worked();
      return chart(question.standId, question.from + asked.length);
    },
  });
  return { ...stores, asked, stop };
}

test('a chart is made once, again when something changes that it follows from, and not for a new name', async () => {
  let finish = () => undefined as void;
  const worked = new Promise<void>((done) => (finish = done));
  const { sites, charts, asked, stop } = world(() => worked);
  await until(() => charts.getState().working === 0.6);
  expect(charts.getState()).toMatchObject({ working: 0.6, soFar: { standId: 'demo-rack', visits: [{ day: TODAY }] }, chart: null });
  finish();
  await until(() => charts.getState().working === null);
  expect(charts.getState()).toMatchObject({ working: null, soFar: null, chart: { standId: 'demo-rack' } });
  changeSite(sites, 'price', (s) => ({ ...s, currency: 'USD' }));
  await later(350);
  expect(asked).toHaveLength(1);
  changeSite(sites, 'rhythm', (s) => ({ ...s, visits: { ...s.visits, rhythm: 'daily' } }));
  await until(() => asked.length === 2);
  stop();
});

test('while a hand holds something nothing is asked; many changes ask once; another stand is another chart', async () => {
  const { sites, looks, charts, asked, stop } = world();
  await until(() => charts.getState().chart !== null);
  beginGesture(sites, 'drag');
  changeSite(sites, 'drag', (s) => ({ ...s, quiet: { from_min: 0, to_min: 60 } }));
  await later(350);
  expect(asked).toHaveLength(1);
  endGesture(sites);
  for (let i = 1; i < 6; i++) changeSite(sites, 'hours', (s) => ({ ...s, quiet: { from_min: i, to_min: 60 } }));
  await until(() => asked.length === 2);
  await later(350);
  expect(asked).toHaveLength(2);
  looks.setState({ standId: 'demo-sill' });
  await until(() => charts.getState().chart?.standId === 'demo-sill');
  stop();
});

test('what fails is said, and asked again with the next change', async () => {
  const sites = createSiteStore(demoSite('en-GB', TODAY));
  const charts = createChartStore();
  let fails = true;
  const stop = followChart(
    {
      sites,
      looks: createBenchLookStore(),
      days: createStore<DayState>(() => ({ today: TODAY })),
      settings: createSettingsStore('en-GB'),
      charts,
    },
    {
      lightOfStand: async () => ({ tiers: {} }),
      chartOf: async ({ standId }) => {
        if (fails) throw new Error('died');
        return chart(standId, TODAY);
      },
    },
  );
  await until(() => charts.getState().failed !== null);
  expect(charts.getState()).toMatchObject({ failed: 'died', working: null });
  fails = false;
  changeSite(sites, 'price', (s) => ({ ...s, currency: 'USD' }));
  await until(() => charts.getState().chart !== null);
  expect(charts.getState()).toMatchObject({ failed: null, chart: { standId: 'demo-rack' } });
  stop();
});

test('a later day is shown with its plants grown, the same object for the same day, and today is the site itself', () => {
  const site = demoSite('en-GB', TODAY);
  expect(sitePreview(site, null, null)).toBe(site);
  const shown = sitePreview(site, null, TODAY + 10);
  expect(sitePreview(site, null, TODAY + 10)).toBe(shown);
  const leek = (s: typeof site) => s.batches.find((b) => b.cropId === 'leek' && b.sown !== null)!;
  // Leek on its 20th and 30th day, by its table: 8 cm on the 14th, 13 cm on the 28th, 17 cm on the 42nd.
  expect(leek(site).height!).toBeWithin(0.08 + (6 / 14) * 0.05, { absolute: 1e-9 });
  expect(leek(shown).height!).toBeWithin(0.13 + (2 / 14) * 0.04, { absolute: 1e-9 });
});
