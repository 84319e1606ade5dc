import { latestLogged } from '../../site/growth/latestLogged';
import { airLately } from '../../site/growth/airLately';
import type { ClinicCase } from '../../site/clinic/ClinicCase';
import { plantAreaOf } from '../../site/stand/footprint';
import type { LightMap, Rect } from '../../light/field/Grid';
import type { SignPlace, Circumstances, Happening } from '../../judge/clinic/Circumstances';
import { isSign } from '../../judge/clinic/signs';
import { dayAtPlace, daylightDli, photoperiodOf, receivedOf, type Received } from '../../judge/dli/LightDay';
import type { TrayLight } from '../../answer/bench/BenchQuestion';
import type { TrayInPlace } from '../../answer/bench/traysInPlace';
import type { BenchTier, BenchTray } from '../../answer/stand/benchStand';
import { clearanceOf } from '../../things/lamp/clearanceOf';
import { ageingOf } from '../../site/ownLamps/ageingOf';
import type { Day } from '../../units/day';
import type { Dli, Metres, Ppfd } from '../../units/quantities';

/** The nine places of a tray: mean PPFD of each, row by row from the back left. */
export function ninths({ map }: Pick<TrayLight, 'map'>, area: Rect): Ppfd[] {
  const at = (i: number) => {
    const [column, row] = [i % 3, 2 - Math.floor(i / 3)];
    const third = (from: number, to: number, n: number) => [from + ((to - from) * n) / 3, from + ((to - from) * (n + 1)) / 3] as const;
    const [x0, x1] = third(area.x0, area.x1, column);
    const [y0, y1] = third(area.y0, area.y1, row);
    return meanOver(map, { x0, x1, y0, y1 });
  };
  return Array.from({ length: 9 }, (_, i) => at(i));
}

/** What each of the nine places of a tray gets in a day, lamps and the daylight that falls there together. */
export const receivedAtNinths = (tray: Pick<BenchTray, 'tray' | 'day'>, light: Pick<TrayLight, 'map'>): Received[] =>
  ninths(light, plantAreaOf(tray.tray)).map((ppfd, i) =>
    receivedOf({ weakest: ppfd, mean: ppfd, strongest: ppfd }, dayAtPlace(tray.day, ((i % 3) + 0.5) / 3, (2.5 - Math.floor(i / 3)) / 3)),
  );

export const dliOfNinths = (tray: Pick<BenchTray, 'tray' | 'day'>, light: Pick<TrayLight, 'map'>): Dli[] =>
  receivedAtNinths(tray, light).map((r) => r.mean);

function meanOver({ area, columns, rows, ppfd }: LightMap, { x0, x1, y0, y1 }: Rect): Ppfd {
  const [dx, dy] = [(area.x1 - area.x0) / columns, (area.y1 - area.y0) / rows];
  let sum = 0;
  let count = 0;
  let nearest = 0;
  let least = Infinity;
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const [x, y] = [area.x0 + (c + 0.5) * dx, area.y0 + (r + 0.5) * dy];
      const value = ppfd[c + columns * r]!;
      if (x >= x0 && x < x1 && y >= y0 && y < y1) {
        sum += value;
        count++;
      }
      const away = Math.hypot(x - (x0 + x1) / 2, y - (y0 + y1) / 2);
      if (away < least) [least, nearest] = [away, value];
    }
  // A place smaller than a cell has the light of the nearest one.
  return count > 0 ? sum / count : nearest;
}

const CORNERS = [0, 2, 6, 8];
const SIDES = [
  [0, 1, 2],
  [6, 7, 8],
  [0, 3, 6],
  [2, 5, 8],
];

/** What nine places that were pressed are called. */
export function signPlaceOf(places: readonly number[]): SignPlace {
  if (places.length === 0 || places.length >= 7) return 'all';
  if (places.includes(4)) return places.length <= 5 ? 'centre' : 'all';
  if (places.length === 1) return CORNERS.includes(places[0]!) ? 'corner' : 'edge';
  if (places.every((p) => CORNERS.includes(p))) return 'corner';
  return SIDES.some((side) => places.every((p) => side.includes(p))) ? 'one-side' : 'edge';
}

/** A pH is as it was for so many days. */
const AS_IT_WAS = 30;
/** Changes of longer ago show no more, days. */
export const LATELY_days = 10;
const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;

/** What was otherwise lately where plants stand that look wrong. */
export interface Lately {
  /** The light by which they are judged: as it is today, or as it was. */
  readonly at: TrayInPlace;
  /** Their light was made a good deal stronger before they looked wrong. */
  readonly isRaised: boolean;
}

/**
 * Gathers what the plan, the log and the person know of plants that look wrong, at the very places where they look worst. What the person
 * says goes before what the plan says. What nobody knows is null.
 */
export function circumstancesOf(
  kase: ClinicCase,
  today: TrayInPlace,
  day: Day,
  lately: Lately = { at: today, isRaised: false },
): Circumstances {
  const { stand, tier, tray } = today;
  const { at } = lately;
  const { told } = kase;
  const { crop, stage, batch } = tray;
  const nine = at.light ? ninths(at.light, plantAreaOf(at.tray.tray)) : null;
  const doses = at.light ? dliOfNinths(at.tray, at.light) : null;
  const worst = kase.places.length > 0 ? kase.places : [0, 1, 2, 3, 4, 5, 6, 7, 8];
  const ppfd = nine ? mean(worst.map((p) => nine[p]!)) : null;
  const others = (wanted: readonly number[]) => {
    const there = doses && kase.places.length > 0 ? wanted.filter((p) => !kase.places.includes(p)).map((p) => doses[p]!) : [];
    return there.length > 0 ? mean(there) : null;
  };
  const dli = doses ? mean(worst.map((p) => doses[p]!)) : null;
  // Heat acts within hours: the nearest that the lamps were counts, whatever light is shown.
  const faces = [...new Set([today, at])].flatMap(({ tier: t, tray: y }) => t.lamps.map((l) => l.fitting.face - y.canopy));
  const since = kase.since ?? kase.opened;
  const logged = batch.log.filter((l) => l.day <= since && l.day > since - LATELY_days);
  // What was written down lately goes where the person has not said anything in the case itself.
  const air = airLately(batch, day);
  const ph = latestLogged(batch.log, day, (l) => l.solution?.ph != null && l.day > day - AS_IT_WAS)?.solution?.ph;
  const fed = latestLogged(batch.log, day, (l) => l.what === 'fed');
  const ageDays = batch.age ?? null;
  const fan = stand.stand.plugged.some((p) => p.kind === 'fan');
  const changes = new Set<Happening>(told.happened ?? []);
  if (logged.some((l) => l.what === 'potted-on')) changes.add('potted-on');
  if (logged.some((l) => l.what === 'moved')) changes.add('moved');
  if (lately.isRaised) changes.add('stronger-light');
  const later = crop.containerPath.filter((p) => ageDays !== null && p.fromDay + LATELY_days < ageDays).at(-1);
  return {
    crop,
    stage: stage.stage,
    ageDays,
    place: signPlaceOf(kase.places),
    signs: kase.signs.filter(isSign),
    light: {
      dli,
      ppfd,
      hours: at.tier.lamps.length > 0 || at.tray.day.daylight ? photoperiodOf(at.tray.day) : null,
      hoursPlanned: null,
      dliMin: stage.dliMin,
      dliTarget: stage.dliTarget,
      dliMax: stage.dliMax,
      ppfdMax: stage.ppfdMax,
      longestDay: tray.limits.longestDay,
      elsewhere: { centre: others([4]), edge: others([1, 3, 5, 7]), corner: others(CORNERS) },
      dliWhenNew: null,
      lampHours: longestUsed(tier),
      spectrum: spectrumOf(at.tier),
      clearance: faces.length > 0 ? Math.max(0, Math.min(...faces)) : null,
      lowerBy: roomToLamps(tier, tray),
      isHot: told.isLampHot ?? tier.lamps.some((l) => !l.lamp.coolSurface),
      leafTemperature: null,
      daysInDark: told.daysInDark ?? null,
      windowShare: dli === null || dli === 0 ? null : Math.min(1, daylightDli(at.tray.day) / dli),
      isBlackout: false,
    },
    air: {
      day: told.day_C ?? air.high,
      night: told.night_C ?? air.low,
      hasFan: told.hasFan ?? (fan ? true : null),
      humidity: told.humidity_percent ?? air.humidity,
      isDraughty: told.isDraughty ?? null,
    },
    roots: {
      temperature: told.compost_C ?? null,
      isMatOn: told.isMatOn ?? null,
      water: told.water ?? null,
      ph: told.ph ?? ph ?? null,
      isHardWater: null,
      isPotSmall:
        told.isPotSmall ??
        (later && tray.tray.containerId !== null
          ? later.containerId !== tray.tray.containerId && isBehind(crop.containerPath, tray.tray.containerId, later.fromDay)
          : null),
    },
    isCrowded: told.isCrowded ?? (batch.log.some((l) => l.what === 'thinned') ? false : null),
    feed: told.fed ? { strength: told.fed, daysAgo: null } : fed ? { strength: 'weak', daysAgo: day - fed.day } : null,
    changes: [...changes],
    isOfSuchKind: told.isOfSuchKind ?? false,
  };
}

/** How much nearer the lamps of a tier may come to a tray, by their heat and the air that they need; below zero: they are too near. */
export const roomToLamps = (tier: BenchTier, tray: BenchTray): Metres | null =>
  tier.lamps.length > 0 ? Math.min(...tier.lamps.map((l) => l.fitting.face - tray.canopy - clearanceOf(l.lamp))) : null;

/** Whether a container comes earlier in a crop's life than a day. */
function isBehind(
  path: readonly { readonly containerId: string; readonly fromDay: number }[],
  containerId: string,
  fromDay: number,
): boolean | null {
  const own = path.find((p) => p.containerId === containerId);
  return own ? own.fromDay < fromDay : null;
}

/** Of the lamp that gives most. */
function spectrumOf(tier: BenchTier): Circumstances['light']['spectrum'] {
  const ids = tier.lamps.map((l) => l.lamp.spectrumId);
  if (ids.length === 0) return null;
  if (ids.every((id) => /blurple|pink|red-blue/.test(id))) return 'red-blue';
  if (ids.every((id) => /hps|incandescent|halogen/.test(id))) return 'far-red';
  return 'white';
}

/** Hours of the oldest lamp over a tier, as far as they are known. */
function longestUsed({ tier }: BenchTier): number | null {
  const known = tier.fittings.flatMap((f) => ageingOf(tier, f).used_h ?? []);
  return known.length > 0 ? Math.max(...known) : tier.ageing.used_h;
}
