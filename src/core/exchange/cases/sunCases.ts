import { outdoorsAt, dayOfYear, type Moment } from '../../sky/outdoors/outdoorsAt';
import {
  GROUND_ALBEDO,
  nearness,
  OVERCAST_UPRIGHT,
  ppfdOf,
  SOLAR_CONSTANT_W_per_m2,
  UMOL_PER_J,
  type Outdoors,
} from '../../sky/outdoors/skies';
import { refractionOf } from '../../sky/sun/refraction';
import { sunDay } from '../../sky/sun/sunDay';
import { sunPosition } from '../../sky/sun/sunPosition';
import { sunComesIn, type Aperture } from '../../sky/window/Aperture';
import { evenGlass } from '../../sky/window/Glass';
import { sillLight, sillOf } from '../../sky/window/sillLight';
import { viewOf } from '../../sky/window/viewOf';
import { answerAll, momentOf, numberOf, wordOf, type CaseAnswer, type Case } from './Case';

const RAD = Math.PI / 180;
const DAY_ms = 86_400_000;
const FACES = { N: 0, E: 90, S: 180, W: 270 } as const;
const FACE_NAMES = ['N', 'E', 'S', 'W'] as const;
const SKIES = ['clear', 'overcast'] as const;
/** The window of the cases. */
const WINDOW = { side: 1.2, transmittance: 0.65 } as const;

const latitude = (given: Case) => numberOf(given, 'lat', -90, 90) * RAD;
const longitude = (given: Case) => (given.lon === undefined ? 0 : numberOf(given, 'lon', -180, 180) * RAD);
const midnight = (given: Case) => Math.floor(momentOf(given, 'date') / DAY_ms) * DAY_ms;

/** Sum of something over a day of UTC, per second: at the middle of so many equal parts. */
function overDay(start_ms: number, parts: number, of: (at_ms: number) => number): number {
  let sum = 0;
  for (let i = 0; i < parts; i++) sum += of(start_ms + ((i + 0.5) / parts) * DAY_ms);
  return (sum * DAY_ms) / 1000 / parts;
}
const TEN_MINUTES = 144;
const ONE_MINUTE = 1440;

/** Answers questions about sun, skies and windows, by the sections of their file. */
export function sunCases(file: Readonly<Record<string, unknown>>): Record<string, CaseAnswer> {
  const sections: Record<string, (given: Case) => CaseAnswer> = { positions, days, light, instants, panes, sill, views, beams };
  return Object.assign(
    {},
    ...Object.entries(sections).map(([name, answer]) => {
      const cases = file[name];
      return typeof cases === 'object' && cases !== null ? answerAll(cases as Record<string, unknown>, answer) : {};
    }),
  ) as Record<string, CaseAnswer>;
}

function positions(given: Case): CaseAnswer {
  const { elevation, azimuth } = sunPosition(momentOf(given, 'utc'), latitude(given), longitude(given));
  const lifted = (elevation + refractionOf(elevation)) / RAD;
  const [el, az] = [elevation / RAD, azimuth / RAD];
  return {
    elevation: el,
    azimuth: az,
    elevation_refracted: el < -0.6 ? null : lifted,
    elevation_refracted_noaa: lifted,
    noaa_elevation: el,
    noaa_azimuth: az,
  };
}

function days(given: Case): CaseAnswer {
  const [start, lat, lon] = [midnight(given), latitude(given), longitude(given)];
  const day = sunDay(start, lat, lon);
  const n = dayOfYear(start);
  const precise = overDay(start + (day.highest_min - 720) * 60_000, ONE_MINUTE, (at) => {
    const { elevation, distance_au } = sunPosition(at, lat, lon);
    return (Math.max(0, Math.sin(elevation)) * SOLAR_CONSTANT_W_per_m2) / distance_au ** 2;
  });
  return {
    day_of_year: n,
    noon_elevation: day.highest / RAD,
    highest_minute_utc: day.highest_min,
    state: day.state,
    sunrise_minute_utc: day.rise_min,
    sunset_minute_utc: day.set_min,
    day_length_h: day.length,
    noaa_state: day.state,
    noaa_sunrise_minute_utc: day.rise_min,
    noaa_sunset_minute_utc: day.set_min,
    geometric_day_length_h_cooper: halfDay(lat, cooper(n)) * (24 / Math.PI),
    geometric_day_length_h_spencer: halfDay(lat, spencer(n).declination) * (24 / Math.PI),
    h0_MJ_cooper: beyondAir(lat, cooper(n), nearness(n)),
    h0_MJ_spencer: beyondAir(lat, spencer(n).declination, spencer(n).nearness),
    h0_MJ_precise: precise / 1e6,
  };
}

/** Declination by Cooper 1969, Solar Energy 12:333–346. */
const cooper = (n: number) => 23.45 * RAD * Math.sin((2 * Math.PI * (284 + n)) / 365);

/** Declination and nearness by Spencer 1971, Search 2:172. */
function spencer(n: number): { declination: number; nearness: number } {
  const g = (2 * Math.PI * (n - 1)) / 365;
  return {
    declination:
      0.006918 -
      0.399912 * Math.cos(g) +
      0.070257 * Math.sin(g) -
      0.006758 * Math.cos(2 * g) +
      0.000907 * Math.sin(2 * g) -
      0.002697 * Math.cos(3 * g) +
      0.00148 * Math.sin(3 * g),
    nearness: 1.00011 + 0.034221 * Math.cos(g) + 0.00128 * Math.sin(g) + 0.000719 * Math.cos(2 * g) + 0.000077 * Math.sin(2 * g),
  };
}

/** From noon to sunset of a sun without width or air, as an angle. */
const halfDay = (lat: number, declination: number) => Math.acos(Math.min(1, Math.max(-1, -Math.tan(lat) * Math.tan(declination))));

/** A day's sum on level ground outside of the air, MJ m⁻². Source: Duffie & Beckman (2013), eq. 1.10.3 */
function beyondAir(lat: number, declination: number, near: number): number {
  const w = halfDay(lat, declination);
  const sum = Math.cos(lat) * Math.cos(declination) * Math.sin(w) + w * Math.sin(lat) * Math.sin(declination);
  return (DAY_ms / 1000 / Math.PI / 1e6) * SOLAR_CONSTANT_W_per_m2 * near * sum;
}

function light(given: Case): CaseAnswer {
  const start = midnight(given);
  const place = { latitude: latitude(given), longitude: longitude(given) };
  const sum = (parts: number, of: (moment: Moment) => number) => overDay(start, parts, (at) => of(outdoorsAt(at, place))) / 1e6;
  let peak = 0;
  const global = sum(TEN_MINUTES, ({ clear }) => {
    peak = Math.max(peak, clear.global);
    return clear.global;
  });
  return {
    clear_ghi_MJ: global,
    clear_dhi_MJ: sum(TEN_MINUTES, (m) => m.clear.diffuse),
    clear_dli_mol: global * UMOL_PER_J,
    clear_dli_mol_1min: sum(ONE_MINUTE, (m) => ppfdOf(m.clear.global)),
    clear_peak_ppfd: ppfdOf(peak),
    overcast_dli_mol: sum(TEN_MINUTES, (m) => ppfdOf(m.overcast.global)),
    overcast_dli_mol_1min: sum(ONE_MINUTE, (m) => ppfdOf(m.overcast.global)),
  };
}

/** Power on an upright face outdoors, W m⁻². */
function onFace({ sun }: Moment, { global, diffuse, beam }: Outdoors, face: keyof typeof FACES, upright: number) {
  const cos = Math.cos(sun.elevation) * Math.cos(sun.azimuth - FACES[face] * RAD);
  return { beam: beam * Math.max(0, cos), sky: upright * diffuse, ground: (GROUND_ALBEDO / 2) * global };
}

function instants(given: Case): CaseAnswer {
  const at = momentOf(given, 'utc');
  const moment = outdoorsAt(at, { latitude: latitude(given), longitude: longitude(given) });
  const { sun, clear, overcast } = moment;
  const beyond = SOLAR_CONSTANT_W_per_m2 * nearness(dayOfYear(at)) * Math.sin(sun.elevation);
  const faces = FACE_NAMES.flatMap((face) => {
    const on = onFace(moment, clear, face, 0.5);
    return [
      [`pane_${face}`, on.beam + on.sky + on.ground],
      [`pane_${face}_beam`, on.beam],
    ];
  });
  return {
    elevation: sun.elevation / RAD,
    azimuth: sun.azimuth / RAD,
    ghi: clear.global,
    kt: beyond > 0 ? clear.global / beyond : 0,
    diffuse_fraction: clear.global > 0 ? clear.diffuse / clear.global : 1,
    dhi: clear.diffuse,
    dni: clear.beam,
    ppfd: ppfdOf(clear.global),
    overcast_ghi: overcast.global,
    ...Object.fromEntries(faces),
  };
}

function panes(given: Case): CaseAnswer {
  const [start, face, sky] = [midnight(given), wordOf(given, 'face', FACE_NAMES), wordOf(given, 'sky', SKIES)];
  const place = { latitude: latitude(given), longitude: longitude(given) };
  const sum = (parts: number, what: 'beam' | 'sky' | 'ground') =>
    overDay(start, parts, (at) => {
      const moment = outdoorsAt(at, place);
      return onFace(moment, moment[sky], face, sky === 'clear' ? 0.5 : OVERCAST_UPRIGHT)[what];
    }) / 1e6;
  const of = (parts: number) => sum(parts, 'beam') + sum(parts, 'sky') + sum(parts, 'ground');
  const total = of(TEN_MINUTES);
  return {
    beam_MJ: sum(TEN_MINUTES, 'beam'),
    sky_MJ: sum(TEN_MINUTES, 'sky'),
    ground_MJ: sum(TEN_MINUTES, 'ground'),
    total_MJ: total,
    dli_mol: total * UMOL_PER_J,
    dli_mol_1min: of(ONE_MINUTE) * UMOL_PER_J,
  };
}

const openWindow = (depth: number, left: number, right: number, height: number, over: number): Aperture => ({
  depth,
  left,
  right,
  bottom: -over,
  top: height - over,
  reveal: 0,
  lintels: [],
  horizon: [],
});

function sill(given: Case): CaseAnswer {
  const [start, face, sky] = [midnight(given), wordOf(given, 'face', FACE_NAMES), wordOf(given, 'sky', SKIES)];
  const place = { latitude: latitude(given), longitude: longitude(given) };
  const half = WINDOW.side / 2;
  const aperture = openWindow(numberOf(given, 'depth_m', 0.01, 100), -half, half, WINDOW.side, 0);
  const at = sillOf(aperture, FACES[face] * RAD, evenGlass(WINDOW.transmittance), 1, null);
  const day = (parts: number) => {
    const sums = { up: 0, beam: 0, facing: 0, minutes: 0, peak: 0 };
    overDay(start, parts, (ms) => {
      const now = sillLight(outdoorsAt(ms, place), at)[sky];
      const seconds = DAY_ms / 1000 / parts;
      sums.up += (now.up * seconds) / 1e6;
      sums.beam += (now.beam * seconds) / 1e6;
      sums.facing += (now.facing * seconds) / 1e6;
      if (now.beam > 0) sums.minutes += seconds / 60;
      sums.peak = Math.max(sums.peak, now.up);
      return 0;
    });
    return sums;
  };
  const [coarse, fine] = [day(TEN_MINUTES), day(ONE_MINUTE)];
  const outdoors = overDay(start, TEN_MINUTES, (ms) => ppfdOf(outdoorsAt(ms, place)[sky].global)) / 1e6;
  return {
    dli_mol: coarse.up,
    beam_mol: coarse.beam,
    sky_mol: coarse.up - coarse.beam,
    ground_mol: 0,
    beam_minutes: coarse.minutes,
    peak_ppfd: coarse.peak,
    share_of_outdoor_horizontal: outdoors > 0 ? coarse.up / outdoors : null,
    dli_mol_1min: fine.up,
    beam_mol_1min: fine.beam,
    beam_minutes_1min: fine.minutes,
    facing_window_dli_mol: coarse.facing,
    facing_window_dli_mol_1min: fine.facing,
  };
}

function views(given: Case): CaseAnswer {
  const n = (field: string, from?: number, to?: number) => numberOf(given, field, from, to);
  const { up, facing } = viewOf(
    openWindow(
      n('depth_m', 0.001, 1000),
      n('left_m'),
      n('right_m'),
      n('height_m', 0),
      given.point_above_sill_m === undefined ? 0 : n('point_above_sill_m'),
    ),
  );
  return { uniform: up.uniform, overcast: up.overcast, facing_uniform: facing.uniform, facing_overcast: facing.overcast };
}

function beams(given: Case): CaseAnswer {
  const n = (field: string, from?: number, to?: number) => numberOf(given, field, from, to);
  const half = n('width_m', 0) / 2;
  const height = n('height_m', 0);
  const depth = n('depth_m', 0.001, 1000);
  const turned = ((((n('azimuth') - n('face_azimuth') + 180) % 360) + 360) % 360) - 180;
  const elevation = n('elevation', -90, 90);
  const lit = sunComesIn(openWindow(depth, -half, half, height, 0), turned * RAD, elevation * RAD);
  if (Math.abs(turned) >= 90) return { lit };
  const across = depth * Math.tan(turned * RAD);
  const up = (depth * Math.tan(elevation * RAD)) / Math.cos(turned * RAD);
  return { lit, ray_lateral_m: across, ray_height_m: up, margin_m: Math.min(half - Math.abs(across), up, height - up) };
}
