import type { LightMap, Rect } from '../../light/field/Grid';
import { shareWhere, shareWithin } from '../../light/field/statsOver';
import { betweenNine } from '../../site/stand/nineSpots';
import type { Stage } from '../../things/crop/Crop';
import type { Share } from '../../units/quantities';
import { MOL_SECONDS } from '../dli/dli';
import { clearDayOf, daylightDli, usualBesideLamps, type LightDay } from '../dli/LightDay';
import { shareOfEven } from './loss';
import { bearingOf, scorches, scorchingPpfd } from './scorch';

const EVERYWHERE: readonly Share[] = Array<Share>(9).fill(1);

/** Of the area of a tray, cell by cell, how much is within the band on a day, lamps and the daylight that falls there together. */
export function shareInBandOf(map: LightMap, rects: readonly Rect[], stage: Stage, day: LightDay): Share {
  const nine = day.daylight?.course?.nine;
  const more = daylightDli(day);
  const [rect] = rects;
  if (!nine || more === 0 || rects.length !== 1 || !rect) return shareOfEven(stage, day, (low, high) => shareWithin(map, rects, low, high));
  const k = (day.lit_min / 60) * MOL_SECONDS;
  const beside = day.lit_min > 0 ? usualBesideLamps(day) : 0;
  const clearDay = clearDayOf(day);
  const mildPpfd = scorches(clearDay, bearingOf(stage)) ? scorchingPpfd(bearingOf(stage)) : Infinity;
  const clear = day.daylight?.course?.nineClear ?? EVERYWHERE;
  const at = (of: readonly number[], x: number, y: number) =>
    betweenNine(of, (x - rect.x0) / (rect.x1 - rect.x0), (y - rect.y0) / (rect.y1 - rect.y0));
  return shareWhere(map, rects, (ppfd, x, y) => {
    const times = at(nine, x, y);
    const dose = ppfd * k + more * times;
    if (dose < stage.dliMin || dose > stage.dliMax || clearDay.noonPpfd * at(clear, x, y) > mildPpfd) return false;
    return day.lit_min <= 0 || ppfd + beside * times <= stage.ppfdMax;
  });
}
