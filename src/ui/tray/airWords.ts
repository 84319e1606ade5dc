interface WarmAir {
  readonly when: 'day' | 'night';
  readonly seen: string;
  readonly likes: string;
  readonly isDim: boolean;
}

/** What warm air and the light do to stems, and what to do first. */
export function warmAirWords({ when, seen, likes, isDim }: WarmAir): string {
  const found = `${when === 'night' ? 'Nights' : 'Days'} of ${seen} are warm for this crop: ${likes} is right once it is up.`;
  return isDim
    ? `${found} Warmth and weak light together stretch stems most (Erwin & Heins 1995). Give more light first, or make the ${when}s cooler.`
    : `${found} Stems grow longer in warm ${when}s, even in enough light (Erwin & Heins 1995).`;
}
