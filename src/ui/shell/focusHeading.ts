/** Gives the focus to the heading of the page: what held it has gone, or the place is another one. */
export function focusHeading(): void {
  const heading = document.querySelector<HTMLElement>('main h1');
  if (!heading || document.querySelector('[role=dialog]')) return;
  heading.tabIndex = -1;
  heading.style.outline = 'none';
  heading.focus({ preventScroll: true });
}

/** The same once the page has been drawn anew, and only if what held the focus has gone with it. */
export function focusHeadingIfLost(): void {
  setTimeout(() => {
    if (document.activeElement === null || document.activeElement === document.body) focusHeading();
  }, 50);
}
