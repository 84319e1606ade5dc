import { litresIn } from '../../units/volume';
import { plainFractions, readNumber, type DecimalSign } from '../../units/readNumber';
import { fail, ok, type Result } from '../../units/result';

/** What a feed is measured out in: powders in grams, liquids in millilitres. */
export type DoseUnit = 'g' | 'ml';

/**
 * Reads how a label says it is to be thinned: `2`, `2 ml/L`, `5 g in 10 L`, `1 tsp per gallon`, `½ tsp/gal`.
 *
 * @param unit     of the feed, and of a number without one, which is meant for a litre
 * @param decimal  of the person's own place, as in `readNumber`
 * @returns g or ml for a litre; `dose/powder-by-volume` for spoons of a powder, which weigh differently from feed to feed,
 *          `dose/liquid-by-weight` the other way round, `dose/not-a-dose` for anything else
 */
export function readDose(text: string, unit: DoseUnit, decimal: DecimalSign = '.'): Result<number> {
  const no = (code: string) => fail({ code, at: '', found: text });
  const parts = /^(.*?\d)\s*([a-zµ. ]*?)(?:\s*(?:\/|\bper\b|\bin\b|\bto\b|\ba\b|\bfor\b)\s*(.*?\d)?\s*([a-z. ]+))?$/i.exec(
    plainFractions(text).trim(),
  );
  const amount = parts && readNumber(parts[1]!, decimal);
  const into = parts?.[3] === undefined ? 1 : readNumber(parts[3], decimal);
  const water = parts?.[4] === undefined ? 1 : litresIn(parts[4]);
  if (amount === null || amount === undefined || into === null || !(into > 0) || water === null) return no('dose/not-a-dose');
  const said = parts![2]!.trim().toLowerCase();
  const grams = said === 'g' || said === 'gram' || said === 'grams' ? 1 : said === 'kg' ? 1000 : said === 'mg' ? 0.001 : null;
  const litres = said === '' ? null : litresIn(said);
  if (said !== '' && grams === null && litres === null) return no('dose/not-a-dose');
  if (unit === 'g' && litres !== null) return no('dose/powder-by-volume');
  if (unit === 'ml' && grams !== null) return no('dose/liquid-by-weight');
  const measured = said === '' ? amount : amount * (grams ?? litres! * 1000);
  return ok(measured / (into * water));
}
