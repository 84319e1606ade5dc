import { createStore, type StoreApi } from 'zustand/vanilla';
import type { Problem } from '../../core/units/result';
import type { Site } from '../../core/site/stand/Site';
import { unsoundIn } from '../form/unsoundIn';

/** How many steps can be undone. */
const DEPTH = 200;

/** The open document, and the way back. */
export interface SiteState {
  readonly site: Site;
  /** The stand that the screen shows; part of undo, so that undoing a deletion shows what came back. */
  readonly activeId: string;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
  /** A hand holds something: changes do not become steps of their own until it lets go. */
  readonly inGesture: boolean;
  /** Brings a site in step with the day: dated plants are as tall as today. */
  readonly settle: Settle;
  /** The last change that was not made, because what came of it could not be kept and read again. */
  readonly refused: { readonly what: string; readonly problems: readonly Problem[] } | null;
}

interface Step {
  readonly site: Site;
  readonly activeId: string;
  /** What was done, in words that follow "Undo". */
  readonly what: string;
}

/** @param before  the site that was changed by hand; left out: nothing was */
type Settle = (site: Site, before?: Site) => Site;

export type SiteStore = StoreApi<SiteState>;

export const createSiteStore = (site: Site): SiteStore =>
  createStore(() => ({
    site,
    activeId: site.stands[0]?.id ?? '',
    past: [],
    future: [],
    inGesture: false,
    settle: (s) => s,
    refused: null,
  }));

/**
 * Replaces the site as one step, or as part of the gesture under way. A change that changes nothing is no step; one that makes a site
 * which could not be read back is not made (of a gesture that is found out when it ends).
 *
 * @returns whether it stands
 */
export function changeSite(store: SiteStore, what: string, change: (site: Site) => Site, activeId?: string): boolean {
  const state = store.getState();
  const site = state.settle(change(state.site), state.site);
  const active = activeId ?? state.activeId;
  if (site === state.site && active === state.activeId) return true;
  if (state.inGesture) {
    store.setState({ site, activeId: active });
    return true;
  }
  const problems = unsoundIn(state.site, site);
  if (problems.length > 0) {
    store.setState({ refused: { what, problems } });
    return false;
  }
  store.setState({
    site,
    activeId: active,
    past: [...state.past, { site: state.site, activeId: state.activeId, what }].slice(-DEPTH),
    future: [],
  });
  return true;
}

/** From now on every site is brought in step with a day; the open one at once, which is no step of its own. */
export function settleTo(store: SiteStore, settle: Settle): void {
  store.setState({ settle, site: settle(store.getState().site) });
}

/** From here until `endGesture` every change belongs to one step. */
export function beginGesture(store: SiteStore, what: string): void {
  const { site, activeId, past, inGesture } = store.getState();
  if (inGesture) return;
  store.setState({ inGesture: true, past: [...past, { site, activeId, what }].slice(-DEPTH) });
}

/** Lets go. A gesture that changed nothing leaves no step behind, and keeps what could be redone. */
export function endGesture(store: SiteStore): void {
  const { site, past, inGesture } = store.getState();
  if (!inGesture) return;
  const before = past.at(-1);
  const problems = before ? unsoundIn(before.site, site) : [];
  if (before && problems.length > 0)
    store.setState({ site: before.site, activeId: before.activeId, inGesture: false, past: past.slice(0, -1), refused: { what: before.what, problems } }); // prettier-ignore
  else if (before?.site === site) store.setState({ inGesture: false, past: past.slice(0, -1) });
  else store.setState({ inGesture: false, future: [] });
}

/**
 * Takes over what happened elsewhere. It is no step: every step of the way back and forward is put through the same change, so that
 * undoing what was done here leaves what was done there.
 *
 * @param rebase  puts the change to the site of a step
 */
export function adoptSite(store: SiteStore, site: Site, rebase: (site: Site) => Site): void {
  const { activeId, past, future, settle } = store.getState();
  // Steps share most of their parts; each is put through once.
  const rebased = new Map<Site, Site>();
  const through = (step: Step): Step => {
    const known = rebased.get(step.site) ?? rebase(step.site);
    rebased.set(step.site, known);
    return { ...step, site: known };
  };
  const next = settle(site);
  const active = next.stands.some((s) => s.id === activeId) ? activeId : (next.stands[0]?.id ?? '');
  store.setState({ site: next, activeId: active, past: past.map(through), future: future.map(through) });
}

/** The site of a step as it can stand now; null, and told, when too much changed elsewhere meanwhile. */
function siteOfStep(store: SiteStore, step: Step): Site | null {
  const problems = unsoundIn(store.getState().site, step.site);
  if (problems.length > 0) store.setState({ refused: { what: step.what, problems } });
  return problems.length > 0 ? null : store.getState().settle(step.site);
}

export function undo(store: SiteStore): void {
  const { site, activeId, past, future, inGesture } = store.getState();
  const step = past[past.length - 1];
  if (!step || inGesture) return;
  const before = siteOfStep(store, step);
  if (!before) return;
  store.setState({
    site: before,
    activeId: step.activeId,
    past: past.slice(0, -1),
    future: [{ site, activeId, what: step.what }, ...future],
  });
}

export function redo(store: SiteStore): void {
  const { site, activeId, past, future, inGesture } = store.getState();
  const step = future[0];
  if (!step || inGesture) return;
  const after = siteOfStep(store, step);
  if (!after) return;
  store.setState({
    site: after,
    activeId: step.activeId,
    past: [...past, { site, activeId, what: step.what }],
    future: future.slice(1),
  });
}

/** Shows another stand; not a step. */
export function showStand(store: SiteStore, id: string): void {
  if (store.getState().site.stands.some((s) => s.id === id)) store.setState({ activeId: id });
}
