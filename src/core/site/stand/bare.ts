import { readyClimate } from '../../sky/outdoors/climates';
import { USUAL_RHYTHM } from '../hang/VisitRhythm';
import { AS_SET } from '../timer/HoursPlan';
import type { Batch, Timer, Site, Stand } from './Site';

/** What a thing has before anybody says anything of it. */

export const UNDATED = { sown: null, leaves: null, log: [], plan: AS_SET } as const satisfies Partial<Batch>;

export const BARE_TIMER = { pause: null, rating: null, outlets: null } as const satisfies Partial<Timer>;

export const BARE_STAND = {
  strip: null,
  steadyOutlets: null,
  plugged: [],
  chart: null,
  calendar: null,
  window: null,
} as const satisfies Partial<Stand>;

export const BARE_SITE: Omit<Site, 'currency' | 'price_per_kWh'> = {
  stands: [],
  batches: [],
  timers: [],
  lamps: [],
  quiet: null,
  cheap: null,
  bands: [],
  ownLamps: [],
  spares: [],
  meters: [],
  crops: [],
  cropNotes: [],
  visits: USUAL_RHYTHM,
  timeZone: null,
  stated: [],
  place: null,
  climate: readyClimate('cloudy-coast'),
  windows: [],
  season: null,
  jobMarks: [],
  lampPrices: [],
  clinic: [],
  trials: [],
  safety: [],
  earlier: [],
};
