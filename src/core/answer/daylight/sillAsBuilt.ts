import type { Aperture, Beside } from '../../sky/window/Aperture';
import { glass } from '../../sky/window/Glass';
import { comesBack } from '../../sky/window/Inside';
import { sillOf, type Sill } from '../../sky/window/sillLight';
import { passedBy, type Window } from '../../site/window/Window';
import type { Metres } from '../../units/quantities';

/** A place before a window: from the glass, across from its middle to the right looking out, over its lower edge. */
export interface BeforeWindow {
  readonly depth: Metres;
  readonly along: Metres;
  readonly over: Metres;
}

/** Nearer to the glass no leaf is taken to be: a window is no point. */
export const NEAREST_PANE: Metres = 0.02;

/**
 * A place before a window, made ready, without what was measured there.
 *
 * @param lintels, beside  edges and blocks between it and the window, as in `Aperture`
 */
export function sillAsBuilt(
  window: Window,
  at: BeforeWindow,
  lintels: Aperture['lintels'] = [],
  open = 1,
  beside: readonly Beside[] = [],
): Sill {
  const depth = Math.max(NEAREST_PANE, at.depth);
  const top = window.height - at.over;
  const roof = window.overhang;
  const aperture: Aperture = {
    depth,
    left: -window.width / 2 - at.along,
    right: window.width / 2 - at.along,
    bottom: -at.over,
    top,
    reveal: window.reveal,
    lintels: roof ? [...lintels, { away: depth + window.reveal + roof.out, over: top + roof.above }] : lintels,
    horizon: window.horizon,
    beside,
  };
  const passes = (1 - window.frame) * passedBy(window);
  const room = window.inside && comesBack(window.inside, window.width * window.height, window.sill + window.height / 2);
  return sillOf(aperture, window.facing, glass(window.panes), passes * open, room);
}
