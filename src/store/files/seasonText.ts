import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import type { SeasonPlan } from '../../core/site/season/SeasonPlan';
import type { Site } from '../../core/site/stand/Site';
import { cropOf } from '../../core/site/crop/cropOf';
import { tables } from '../../core/things/tables/libraryTables';
import { fail, ok, type Result } from '../../core/units/result';
import { SeasonPlanFile, seasonOf, seasonProblems, writeSeason } from '../form/PlannedFile';
import { problemsOf } from '../form/problemsOf';
import { readJson } from '../form/readJson';

const FORMAT = 'copper-noon/season';
const MOST_LETTERS = 2_000_000;
const MAX_DEPTH = 8;

/** A season as JSON: docs/season.md. */
export const seasonJson = (season: SeasonPlan): string =>
  `${JSON.stringify({ format: FORMAT, version: 1, season: writeSeason(season) }, null, 2)}\n`;

/** Reads a season that was written before. Every problem is reported at once, each with its place; nothing is stored here. */
export function readSeasonText(text: string, site: Pick<Site, 'crops'>): Result<SeasonPlan> {
  if (text.length > MOST_LETTERS) return fail({ code: 'file/too-large', at: '', found: text.length, expected: String(MOST_LETTERS) });
  const json = readJson(text, MAX_DEPTH);
  if (!json.ok) return json;
  const { format, version, season } = (typeof json.value === 'object' && json.value !== null ? json.value : {}) as Record<string, unknown>;
  if (format !== FORMAT) return fail({ code: 'season/foreign', at: 'format', found: format, expected: FORMAT });
  if (version !== 1) return fail({ code: 'season/newer', at: 'version', found: version, expected: '1' });
  if (typeof season !== 'object' || season === null || Array.isArray(season)) return fail({ code: 'site/missing', at: 'season' });
  const file = plainToInstance(SeasonPlanFile, season);
  const errors = validateSync(file, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  if (errors.length > 0) return fail(...errors.flatMap((e) => problemsOf(e, 'site')));
  const broken = seasonProblems(file, (id) => cropOf(site, id, tables) !== undefined);
  return broken.length > 0 ? fail(...broken) : ok(seasonOf(file));
}
