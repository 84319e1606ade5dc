import type { LitTimes } from '../../units/LitTimes';
import type { Climate } from '../../sky/outdoors/climates';
import type { Place } from '../../sky/outdoors/outdoorsAt';
import type { AtWindow, Window } from '../window/Window';
import type { JobMark } from '../today/JobMark';
import type { ClinicCase } from '../clinic/ClinicCase';
import type { SafetyMark } from '../safety/SafetyMark';
import type { Trial } from '../trial/Trial';
import type { SeasonPlan } from '../season/SeasonPlan';
import type { Stated } from './Stated';
import type { Crop, StageName } from '../../things/crop/Crop';
import type { Daylight } from './Daylight';
import type { Logged } from './Logged';
import type { KeptChart } from '../hang/KeptChart';
import type { VisitRhythm } from '../hang/VisitRhythm';
import type { HoursPlan } from '../timer/HoursPlan';
import type { Day } from '../../units/day';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Ageing } from '../../things/lamp/ageing';
import type { Enclosure } from './Enclosure';
import type { Hanger } from './Hanger';
import type { Fit } from '../reading/Fit';
import type { OwnMeter } from '../reading/OwnMeter';
import type { PricePeriod } from '../../units/PricePeriod';
import type { Rotation } from './Rotation';
import type { Travel } from '../../things/lamp/Travel';
import type { Reading } from '../reading/Reading';
import type { HungLamp, OwnLamp } from '../lamp/OwnLamp';
import type { Dli, Kilograms, Metres, Radians, Share, Watts } from '../../units/quantities';

/** Everything a person keeps: their stands, what grows on them, the hours, and lamps of their own. */
export interface Site {
  readonly currency: string;
  readonly price_per_kWh: number;
  readonly stands: readonly Stand[];
  readonly batches: readonly Batch[];
  readonly timers: readonly Timer[];
  /** Lamps typed from their box; those of the library are known by their id. */
  readonly lamps: readonly Lamp[];
  /** When the household wants no light, minutes of the day; null: whenever. */
  readonly quiet: { readonly from_min: number; readonly to_min: number } | null;
  /** When power costs less, and how much it costs then; null: it costs the same all day. */
  readonly cheap: { readonly from_min: number; readonly to_min: number; readonly price_per_kWh: number } | null;
  /** Further prices of power, of some hours or days: the first that fits counts, before the cheap hours. */
  readonly bands: readonly PricePeriod[];
  /** Lamps that are things of their own, with their hours, their price and what is wrong with them. */
  readonly ownLamps: readonly OwnLamp[];
  /** Lamps of which it is only known how many lie in the cupboard: what advice may hang up without anything being bought. */
  readonly spares: readonly { readonly lampId: string; readonly count: number }[];
  /** Light meters of the household. */
  readonly meters: readonly OwnMeter[];
  /** Crops of the person's own, most of them copies that were changed. */
  readonly crops: readonly Crop[];
  /** What the person found out about crops, the oldest first. */
  readonly cropNotes: readonly CropNote[];
  /** When somebody comes by the plants. */
  readonly visits: VisitRhythm;
  /** Of the household, such as `Europe/Lisbon`; null: the machine's own. */
  readonly timeZone: string | null;
  /** What is so in the household and no drawing shows. */
  readonly stated: readonly Stated[];
  /** Where on the earth the household is; null: not stated. */
  readonly place: Place | null;
  readonly climate: Climate;
  readonly windows: readonly Window[];
  /** What is to be sown, when, for when; null: nothing is planned. */
  readonly season: SeasonPlan | null;
  /** What has become of the jobs of the last weeks. */
  readonly jobMarks: readonly JobMark[];
  /** What lamps cost, one by one, and when that was so. */
  readonly lampPrices: readonly LampPrice[];
  /** Plants that looked wrong, the oldest first. */
  readonly clinic: readonly ClinicCase[];
  /** Comparisons of trays, the oldest first. */
  readonly trials: readonly Trial[];
  /** Cautions that were seen to, stand by stand. */
  readonly safety: readonly SafetyMark[];
  /** How tiers were set before they were set otherwise, while plants stood there that somebody follows. */
  readonly earlier: readonly EarlierTier[];
}

/** The price of one lamp of a kind, on a day. */
export interface LampPrice {
  readonly lampId: string;
  readonly price: number;
  readonly day: Day;
}

export const OUTCOMES = ['good', 'fair', 'poor'] as const;

/** A note on a crop, and how it came out; null: only a note. */
export interface CropNote {
  readonly id: string;
  readonly cropId: string;
  readonly day: Day;
  readonly outcome: (typeof OUTCOMES)[number] | null;
  readonly text: string;
}

export const STAND_KINDS = ['rack', 'shelf', 'bench', 'box', 'sill', 'niche', 'other'] as const;
export type StandKind = (typeof STAND_KINDS)[number];

/** A rack, shelf, bench, box or sill. */
export interface Stand {
  readonly id: string;
  readonly name: string;
  readonly kind: StandKind;
  /** Where lamps and trays are is worked out from how many there are; false from the first time that a hand moves one on the bench. */
  readonly autoArranged: boolean;
  /** The highest first. */
  readonly tiers: readonly Tier[];
  /** Thickness of a shelf. */
  readonly shelf: Metres;
  /** What the power strip of the stand may carry, as it says; null: not stated. */
  readonly strip: Watts | null;
  /** Outlets of the strip that are always live; null: not stated. */
  readonly steadyOutlets: number | null;
  /** What is plugged in beside the lamps. */
  readonly plugged: readonly Plugged[];
  /** The hang chart as the person put it up; null: none yet. */
  readonly chart: KeptChart | null;
  /** The visits of its calendar as it was last written, and how often it was; null: never. */
  readonly calendar: { readonly sequence: number; readonly days: readonly Day[] } | null;
  /** The window that it stands at; null: none. */
  readonly window: AtWindow | null;
}

export const PLUGGED_KINDS = ['fan', 'mat', 'pump', 'other'] as const;

/** A thing with a plug: on the timed side of a timer, or on an outlet that is always live (null). */
export interface Plugged {
  readonly id: string;
  readonly kind: (typeof PLUGGED_KINDS)[number];
  readonly name: string;
  readonly power: Watts;
  readonly timerId: string | null;
}

/** One level of a stand. x runs along its width from the left, y along its depth from the front, z up from its floor. */
export interface Tier {
  readonly id: string;
  readonly width: Metres;
  readonly depth: Metres;
  readonly enclosure: Enclosure;
  /** Steps in which the shelf itself can be hung; null: it can't be moved. */
  readonly notch: Metres | null;
  /** What its shelf may carry, as stated; null: not stated. */
  readonly load: Kilograms | null;
  readonly ageing: Ageing;
  readonly fittings: readonly Fitting[];
  readonly trays: readonly Tray[];
  readonly timerId: string;
  /** What comes in by day, as stated: it counts rather than what a window gives; null: not stated. */
  readonly daylight: Daylight | null;
  /** How its trays turn or change places; null: they stay. */
  readonly rotation: Rotation | null;
  /** What its window gives on the day that is shown, the mean over its trays; left out: it stands at none. Never kept: it follows from window and date. */
  readonly sun?: Daylight;
  /** The same of each tray, where it stood. */
  readonly suns?: Readonly<Record<string, TraySun>>;
  /** What meters showed under these lamps, the oldest first. */
  readonly readings: readonly Reading[];
  /** What they were found to say of lamps and sides, the oldest first; the last one counts. */
  readonly fits: readonly Fit[];
}

/** The daylight of a tray, and where in its tier that was worked out. */
export interface TraySun extends Pick<Tray, 'x' | 'y' | 'turned'> {
  readonly daylight: Daylight | null;
}

/** The daylight that counts on a tier: as stated, else what its window gives. */
export const daylightOf = ({ daylight, sun }: Pick<Tier, 'daylight' | 'sun'>): Daylight | null => daylight ?? sun ?? null;

/** The daylight that counts on a tray of a tier; one that was moved since is taken to have the tier's, until its own is worked out. */
export function daylightOfTray(tier: Pick<Tier, 'daylight' | 'sun' | 'suns'>, { id, x, y, turned }: TrayPlace): Daylight | null {
  const own = tier.suns?.[id];
  const here = own?.x === x && own.y === y && own.turned === turned;
  return here ? (tier.daylight ?? own.daylight) : daylightOf(tier);
}
type TrayPlace = Pick<Tray, 'id' | 'x' | 'y' | 'turned'>;

/** A lamp where it hangs: the middle of its face, and the height of its face above the tier's floor; of a tilted one that of its lowest edge. */
export interface Fitting {
  readonly id: string;
  readonly lampId: string;
  readonly x: Metres;
  readonly y: Metres;
  readonly face: Metres;
  readonly turn: Radians;
  /** Turned about its own length, so that it looks towards its own back (to the left of its length); left out: hung level. */
  readonly tilt?: Radians;
  /** On a rail; left out: it hangs still. */
  readonly travel?: Travel;
  readonly hanger: Hanger;
  /** Setting of its dimmer; left out: full. Counts only while the lamp that hangs here can be dimmed. */
  readonly dim?: Share;
  /** What is known of the very lamp on the day that is shown; left out: nothing but its kind. Never kept: it follows from `ownLamps`. */
  readonly own?: HungLamp;
}

/** A container where it stands; x and y of its middle. `turned` puts its length along the depth. */
export interface Tray {
  readonly id: string;
  /** Of the container table; null for a size of the person's own. */
  readonly containerId: string | null;
  readonly length: Metres;
  readonly width: Metres;
  readonly height: Metres;
  /** Where plants stand, inside the walls. */
  readonly insideLength: Metres;
  readonly insideWidth: Metres;
  readonly x: Metres;
  readonly y: Metres;
  readonly turned: boolean;
  /** Upturned trays or boxes under it: so many, each so high. */
  readonly risers: number;
  readonly riserHeight: Metres;
  /** Of the container table: a clear dome or lid over it; null: none. */
  readonly coverId: string | null;
  /** What the person calls it; empty: by its crop. */
  readonly label: string;
  readonly batchId: string;
}

/**
 * What of a tier was otherwise until a day; what is left out was as it was afterwards. What a stand is, its sides and sizes, is taken to
 * have been so all along.
 */
export interface EarlierTier {
  readonly tierId: string;
  /** From this day on it is as it is now, or as the next of these says. */
  readonly until: Day;
  readonly lit_min?: number;
  readonly fittings?: readonly Fitting[];
  readonly trays?: readonly Tray[];
}

/** Plants of one crop sown together. */
export interface Batch {
  readonly id: string;
  readonly cropId: string;
  readonly stage: StageName;
  /** Height of the leaves above the compost as measured; null: from the crop's curve. Of a dated batch: of today. */
  readonly height: Metres | null;
  /** When it was sown, or came here; null: stage and height are what the person says, whatever the day. */
  readonly sown: Day | null;
  /** Until when it is to stay; null: until its curve ends. */
  readonly leaves: Day | null;
  /** What was seen of it, in the order in which it was written. */
  readonly log: readonly Logged[];
  /** How its hours are to go. */
  readonly plan: HoursPlan;
  /** Days since emergence on the day that is shown; left out: not known. Never kept: it follows from the dates. */
  readonly age?: number;
  /** What its trays got before the last of them was taken away; left out: they stand, or nobody knows. */
  readonly grownIn?: GrownIn;
}

/** The light that a batch was grown in, the mean of all its days; of one without a date as it stood last. */
export interface GrownIn {
  /** Mean of its trays, lamps and daylight. */
  readonly dli: Dli;
  /** Of its plants, all trays together. */
  readonly area_m2: number;
}

/** A timer and the lamp's day. */
export interface Timer extends LitTimes {
  readonly id: string;
  /** What the timer may carry, as it says; null: not stated. */
  readonly rating: Watts | null;
  /** Outlets that follow it; null: not stated. */
  readonly outlets: number | null;
}
