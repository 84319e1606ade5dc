import type { PlaceRank } from '@/core/answer/daylight/suits';
import { photoperiodOf } from '@/core/judge/dli/LightDay';
import type { LampsAtPlace } from '@/core/plan/daylight/lampsAtPlaces';
import type { Dli } from '@/core/units/quantities';
import { showHours } from '@/core/units/clock';
import { trayNameIn } from '../bench/benchWords';
import { dliNumber } from '../drawing/lightWords';
import { percent } from '../verdict/words';
import type { TrayAtWindow } from './useDaylight';

/** A tray's name among those before a window: as on the bench, and by its tier where another tier has the like. */
export function nameAtWindow(tray: TrayAtWindow, trays: readonly TrayAtWindow[]): string {
  return trayNameIn({ tiers: [...new Set(trays.map((t) => t.tier))] }, tray.tray.id);
}

/** Light from other tiers that is worth telling. */
const WORTH_TELLING = 0.05;

/** Where the light of a place comes from, and how much it is. */
export function placeLightWords({ least, most }: Pick<PlaceRank, 'least' | 'most'>, lamps: LampsAtPlace | null, hasSun: boolean): string {
  if (lamps?.isTooTall) return hasSun ? sunWords(least, most) : '';
  if (!lamps && !hasSun) return 'No light is known to come here.';
  const spill =
    lamps && lamps.spillShare >= WORTH_TELLING
      ? lamps.spillShare > 0.995
        ? ', all of it from other tiers'
        : `, ${percent(lamps.spillShare)} of it from other tiers`
      : '';
  const byLamps = lamps ? `Lamps ${dliNumber(lamps.dli)} mol/m²/day in ${showHours(Math.round(lamps.hours * 60))}${spill}.` : '';
  if (!hasSun) return byLamps;
  return `${byLamps}${byLamps ? ' With the sun ' : ''}${sunWords(least, most)}`;
}

const sunWords = (least: Dli, most: Dli) => `${dliNumber(least)} mol in the darkest month, ${dliNumber(most)} in the brightest.`;

/** Why a plant may not stand there as the lamps are; empty where it may. */
export const whyNotWords = ({ isTooTall, isTooNear, isTooLong, times }: LampsAtPlace): string =>
  [
    isTooTall
      ? 'It is too tall for this tier as the lamps hang.'
      : isTooNear
        ? 'Its leaves would be too near the lamp: raise the lamp first.'
        : '',
    isTooLong ? `${showHours(photoperiodOf({ ...times, daylight: null }) * 60)} is a longer day than it tolerates.` : '',
  ]
    .filter(Boolean)
    .join(' ');
