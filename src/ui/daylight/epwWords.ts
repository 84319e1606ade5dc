import type { Problem } from '@/core/units/result';

/** Why a weather file is refused, with the line. */
export function epwWords({ code, at, found, expected }: Problem): string {
  const where = at ? `${at[0]!.toUpperCase()}${at.slice(1)}: ` : '';
  const shown = found === undefined ? '' : ` (it says ${String(found)})`;
  if (code === 'epw/no-location') return `${where}this is no EPW file, which begins with LOCATION.`;
  if (code === 'weather/no-column') return `${where}no column “${String(found)}”. The head line needs time and global_Wh_per_m2.`;
  if (code === 'weather/not-a-time') return `${where}not a time such as 2027-03-04 13:00${shown}.`;
  if (code === 'weather/too-few-days') return `It has ${String(found)} whole days; a month needs at least ${expected}.`;
  if (code === 'epw/hours') return `It has ${String(found)} hours; a year has 8760 or 8784.`;
  if (code === 'file/unreadable') return 'The device could not read the file. Try again.';
  if (code === 'epw/too-long' || code === 'file/too-large') return 'The file is too large for a year of hours.';
  if (code === 'epw/too-bright')
    return `${where}${String(found)} Wh/m² of global light is more than ${expected}, the most that can be. Is it in another unit?`;
  if (code === 'epw/no-light') return `${where}global light is missing${shown}.`;
  if (code === 'epw/not-a-date') return `${where}month and day can’t be read.`;
  return `${where}a number is missing or too large${shown}.`;
}
