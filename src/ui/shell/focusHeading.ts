/** Gives the focus to the heading of the page, or to one with an id: what held it has gone, or the place is another one. */
export function focusHeading(id?: string): void {
  const heading = (id && document.getElementById(id)) || document.querySelector<HTMLElement>('main h1');
  if (!heading || document.querySelector('[role=dialog]')) return;
  heading.tabIndex = -1;
  heading.style.outline = 'none';
  heading.focus({ preventScroll: true });
}

/** How long a place may take to draw itself before its heading is waited for no more, in steps of 50 ms. */
const MOST_STEPS = 60;

/** The same as soon as the place has a heading, unless the person has gone on meanwhile. Returns what stops the waiting. */
export function focusHeadingWhenDrawn(): () => void {
  const before = document.activeElement;
  let steps = 0;
  const timer = setInterval(() => {
    const now = document.activeElement;
    const isElsewhere = now !== before && now !== document.body && now !== null;
    const isDrawn = document.querySelector('main h1') !== null;
    if (isDrawn && !isElsewhere) focusHeading();
    if (isDrawn || isElsewhere || ++steps > MOST_STEPS) clearInterval(timer);
  }, 50);
  return () => clearInterval(timer);
}

/**
 * The same once the page has been drawn anew, and only if what held the focus has gone with it.
 *
 * @param id  of a heading nearer by, which is taken where it is on the page
 */
export function focusHeadingIfLost(id?: string): void {
  setTimeout(() => {
    if (document.activeElement === null || document.activeElement === document.body) focusHeading(id);
  }, 50);
}
