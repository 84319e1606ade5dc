/** Gives the focus to the heading of the page: what held it has gone, or the place is another one. */
export function focusHeading(): void {
  const heading = document.querySelector<HTMLElement>('main h1');
  if (!heading || document.querySelector('[role=dialog]')) return;
  heading.tabIndex = -1;
  heading.style.outline = 'none';
  heading.focus({ preventScroll: true });
}
