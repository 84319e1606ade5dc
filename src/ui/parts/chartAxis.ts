import type { Colours } from '../theme/useColours';

const FONT = { family: 'Barlow Semi Condensed' };

/** The look that every axis of a chart shares: quiet lines, a title that names the unit. */
export const chartAxis = (title: string, colours: Colours) => ({
  title: { display: true, text: title, color: colours.soft, font: FONT },
  ticks: { color: colours.soft, font: FONT },
  grid: { color: colours.line },
});
