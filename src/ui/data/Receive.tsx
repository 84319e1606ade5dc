'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Site } from '@/core/site/stand/Site';
import type { Problem } from '@/core/units/result';
import { readArchive } from '@/store/files/archive';
import { mergeSite } from '@/store/files/mergeSite';
import { bringTogether } from '@/store/handover/bringTogether';
import { bundleKeyOf, openBundle } from '@/store/handover/bundle';
import { putAt } from '@/store/saved/merge';
import { changeSite, undo } from '@/store/site/siteStore';
import { siteHoldsWords } from '../files/holdsWords';
import { problemWords } from '../files/problemWords';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { clashValueWords, clashWords } from './clashWords';

interface Came {
  readonly id: string;
  readonly site: Site;
  readonly photosLeft: number;
  /** The state from which both devices parted; null: they know none. */
  readonly ancestor: Site | null;
}
type State =
  | { readonly is: 'asking' }
  | { readonly is: 'refused'; readonly problem: Problem | null }
  | { readonly is: 'came'; readonly came: Came }
  | { readonly is: 'done'; readonly words: string };

/** What another device hands over: fetched once, opened with the key of the address, and taken as the person says. */
export function Receive() {
  const { sites, photos, sharedStates, snapshots } = useWorkspace();
  const mine = useSite((s) => s.site);
  const [state, setState] = useState<State>({ is: 'asking' });
  /** Of the clashes, by the way to them, those where the other device's value is wanted. */
  const [theirs, setTheirs] = useState<ReadonlySet<string>>(new Set());
  const came = state.is === 'came' ? state.came : null;
  // With what is here now: it may go on changing in another window.
  const together = useMemo(() => {
    const { settle } = sites.getState();
    return came?.ancestor ? bringTogether(settle(came.ancestor), mine, settle(came.site)) : null;
  }, [came, mine, sites]);
  const begun = useRef(false);

  useEffect(() => {
    if (begun.current) return;
    begun.current = true;
    const [id, key] = window.location.hash.slice(1).split('.');
    // The key shall not stay in the history.
    window.history.replaceState(window.history.state, '', window.location.pathname);
    async function fetchIt(): Promise<State> {
      const secret = bundleKeyOf(key ?? '');
      if (!id || !secret) return { is: 'refused', problem: null };
      const answer = await fetch(`/api/handover/${encodeURIComponent(id)}`);
      if (!answer.ok) return { is: 'refused', problem: { code: 'handover/gone', at: 'id' } };
      const bundle = openBundle(new Uint8Array(await answer.arrayBuffer()), secret);
      if (!bundle.ok) return { is: 'refused', problem: bundle.problems[0]! };
      const { note, archive } = bundle.value;
      const read = await readArchive(new Blob([archive]), photos);
      if (!read.ok) return { is: 'refused', problem: read.problems[0]! };
      const known = await sharedStates.names();
      const common = known.find((name) => note.known.includes(name));
      const ancestor = common === undefined ? null : await sharedStates.read(common);
      return { is: 'came', came: { id: note.id, site: read.value.site, photosLeft: note.photosLeft, ancestor } };
    }
    fetchIt().then(setState, () => setState({ is: 'refused', problem: { code: 'handover/gone', at: 'id' } }));
  }, [photos, sharedStates]);

  async function take(came: Came, what: string, site: Site, words: string) {
    const isSafe = await snapshots.take(sites.getState().site, 'before').then(() => true, () => false); // prettier-ignore
    if (!isSafe)
      return say('No backup could be made, so nothing has changed. Free some storage or export everything first, then try again.');
    if (!changeSite(sites, what, () => site, site.stands.some((s) => s.id === sites.getState().activeId) ? undefined : site.stands[0]?.id))
      return;
    await sharedStates.add(came.id, came.site);
    setState({ is: 'done', words });
    say(words, { label: 'Undo', run: () => undo(sites) });
  }

  return (
    <div className="mx-auto w-full max-w-2xl space-y-5 px-5 py-6">
      <header className="space-y-1">
        <p>
          <Link href="/settings/data" className="text-soft underline underline-offset-4">
            Your data
          </Link>
        </p>
        <h1 className="text-2xl font-semibold">From another device</h1>
      </header>
      {state.is === 'asking' && <p role="status">Fetching …</p>}
      {state.is === 'refused' && (
        <div role="alert" className="space-y-3">
          <p>
            {state.problem
              ? problemWords(state.problem)
              : 'This address has no key in it. Scan the code of the other device, or copy its address whole, with all that stands behind #.'}
          </p>
          <p className="text-soft">Nothing here has changed.</p>
        </div>
      )}
      {state.is === 'done' && (
        <div className="space-y-3">
          <p role="status">{state.words} A backup of what was here before is under Your data.</p>
          <Link href="/today" className="font-semibold underline underline-offset-4">
            To Today
          </Link>
        </div>
      )}
      {state.is === 'came' && (
        <section className="space-y-4" aria-label="What came">
          <p>
            It holds <b>{siteHoldsWords(state.came.site)}</b>. Here you have {siteHoldsWords(mine)}.
          </p>
          {state.came.photosLeft > 0 && <p className="text-soft">{state.came.photosLeft} photos stayed on the other device.</p>}
          {together && (
            <div className="space-y-3 rounded-md border border-line bg-sheet p-4">
              <h2 className="text-lg font-semibold">Put both together</h2>
              <p>Both devices shared this data before. What was done on each since then is kept, nothing twice.</p>
              {together.clashes.length > 0 && (
                <fieldset className="space-y-2">
                  <legend className="font-semibold">
                    {together.clashes.length === 1 ? 'One thing was' : `${together.clashes.length} things were`} changed on both. Choose
                    which stays:
                  </legend>
                  {together.clashes
                    .map((clash) => [clash, clash.path.join('/')] as const)
                    .map(([clash, at]) => (
                      <div key={at} className="border-t border-line pt-2">
                        <p>{clashWords(clash, mine)}</p>
                        <div className="flex flex-wrap gap-x-6">
                          {(['mine', 'theirs'] as const).map((whose) => (
                            <label key={whose} className="flex min-h-11 items-center gap-2">
                              <input
                                type="radio"
                                className="size-5"
                                name={`clash-${at}`}
                                checked={theirs.has(at) === (whose === 'theirs')}
                                onChange={() => setTheirs((t) => new Set(whose === 'theirs' ? [...t, at] : [...t].filter((k) => k !== at)))}
                              />
                              {whose === 'mine' ? 'Here' : 'There'}: {clashValueWords(clash[whose])}
                            </label>
                          ))}
                        </div>
                      </div>
                    ))}
                </fieldset>
              )}
              <Button
                kind="main"
                onClick={() => {
                  const { site, clashes } = together;
                  const chosen = clashes.reduce((s, c) => (theirs.has(c.path.join('/')) ? putAt(s, c.path, c.theirs) : s), site);
                  void take(state.came, 'put both together', chosen, 'What was done on both devices is put together.');
                }}
              >
                Put together
              </Button>
            </div>
          )}
          <div className="flex flex-wrap gap-3">
            <Button
              kind={together ? 'plain' : 'main'}
              onClick={() => void take(state.came, 'take what came', state.came.site, 'You have what the other device has.')}
            >
              Use it instead of what is here
            </Button>
            {!together && (
              <Button
                onClick={() => void take(state.came, 'add what came', mergeSite(mine, state.came.site), 'Its set-ups stand beside yours.')}
              >
                Add its set-ups to mine
              </Button>
            )}
            <Link href="/settings/data" className="inline-flex min-h-11 items-center px-3 font-semibold underline underline-offset-4">
              Take nothing
            </Link>
          </div>
          <p className="text-sm text-soft">A backup of what is here is made first, and Undo takes it back.</p>
        </section>
      )}
    </div>
  );
}
