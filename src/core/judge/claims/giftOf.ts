import type { Efficacy, Ppf, Share } from '../../units/quantities';
import { oneOf, type Claims, type ClaimedTechnology } from './Claim';
import { MOST_EFFICACY } from './auditClaims';

/** The photons that a lamp makes, as well as its box tells. */
export interface Gift {
  readonly from: Ppf;
  readonly to: Ppf;
  readonly basis: 'ppf' | 'efficacy' | 'lumens' | 'power';
}

/** What lamps of a kind give for the power they draw; Nelson & Bugbee 2014 (PLoS ONE 9:e99010), LEDs since: Kusuma et al. 2020. */
const USUAL: Readonly<Record<ClaimedTechnology, readonly [Efficacy, Efficacy]>> = {
  led: [1.4, 3],
  fluorescent: [0.6, 1.1],
  filament: [0.2, 0.35],
};
/** Lumens of one µmol/s of white light, lamps and the sun: Thimijan & Heins 1983, white LEDs 64–79. */
const LUMENS_PER_UMOL = { from: 64, to: 82 };

/**
 * How many photons a lamp can honestly make by its box: as stated where that is possible, else from the power that it draws. Null where
 * neither flux nor power is known. Light that is claimed beyond what the power can give is not believed.
 */
export function giftOf(claims: Claims): Gift | null {
  const watts = oneOf(claims, 'drawnWatts') ?? tubesOf(claims);
  const most = watts === null ? Infinity : watts * MOST_EFFICACY;
  const ppf = oneOf(claims, 'ppf');
  if (ppf !== null && ppf <= most) return { from: ppf, to: ppf, basis: 'ppf' };
  const efficacy = oneOf(claims, 'efficacy');
  if (efficacy !== null && efficacy <= MOST_EFFICACY && watts !== null)
    return { from: watts * efficacy, to: watts * efficacy, basis: 'efficacy' };
  const lumens = oneOf(claims, 'lumensPerFixture') ?? lumensOfAll(claims);
  if (lumens !== null && !claims.isPink && lumens / LUMENS_PER_UMOL.to <= most)
    return { from: lumens / LUMENS_PER_UMOL.to, to: Math.min(most, lumens / LUMENS_PER_UMOL.from), basis: 'lumens' };
  if (watts === null) return null;
  const [from, to] = USUAL[claims.technology ?? 'led'];
  return { from: watts * from, to: watts * to, basis: 'power' };
}

function tubesOf(claims: Claims): number | null {
  const each = oneOf(claims, 'tubeWatts');
  return each === null ? null : each * (oneOf(claims, 'tubes') ?? 1);
}

/** Lumens that are known to be those of the whole lamp; null while it may be one tube of several. */
function lumensOfAll(claims: Claims): number | null {
  const tubes = oneOf(claims, 'tubes') ?? 1;
  const perTube = oneOf(claims, 'lumensPerTube');
  if (perTube !== null) return perTube * tubes;
  const bare = oneOf(claims, 'lumens');
  return bare !== null && tubes === 1 && bare !== oneOf(claims, 'kelvin') ? bare : null;
}

/** More cannot land on an area than a lamp makes: the share of an area that it can bring to a strength, at most 1. */
export function shareLit(gift: Gift, area_m2: number, ppfd: number): Share {
  return Math.min(1, gift.to / (area_m2 * ppfd));
}
