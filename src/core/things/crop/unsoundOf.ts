import type { Crop } from './Crop';

/** What types alone do not say of a crop: places where its figures contradict each other; none for a sound one. */
export function unsoundOf({ stages, heightByDay, germination }: Crop): string[] {
  const bad: string[] = [];
  const dated = stages.filter((s) => s.fromDay !== null).length;
  if (dated > 0 && dated < stages.length) bad.push('stages[].fromDay');
  if (new Set(stages.map((s) => s.stage)).size < stages.length) bad.push('stages[].stage');
  stages.forEach((s, i) => {
    if (!(s.dliMin <= s.dliTarget && s.dliTarget <= s.dliMax)) bad.push(`stages[${i}].dliTarget`);
    if (s.hoursMin > s.hoursMax) bad.push(`stages[${i}].hoursMax`);
    const before = stages[i - 1]?.fromDay ?? null;
    if (s.fromDay !== null && before !== null && s.fromDay <= before) bad.push(`stages[${i}].fromDay`);
  });
  heightByDay.forEach((h, i) => {
    if (i > 0 && h.day <= heightByDay[i - 1]!.day) bad.push(`heightByDay[${i}].day`);
  });
  if (germination) {
    const { temperature: t, days } = germination;
    if (days.last < days.first) bad.push('germination.lastDay');
    if (!(t.least <= t.best && t.best <= t.most)) bad.push('germination.best_C');
  }
  return bad;
}
