'use client';
import clsx from 'clsx';
import { useMemo } from 'react';
import { lampsAMonth } from '@/core/plan/buying/bill';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { showMoney } from '@/core/units/money';
import { useLightOfStands } from '../hours/useLightOfStand';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { dliNumber } from '../drawing/lightWords';
import { useSize } from '../drawing/useSize';
import { Link } from '../parts/Link';
import { SAYS_WORDS, trayName } from './benchWords';
import { colourOfResult } from '../verdict/resultColours';
import { sideBySide } from './sideBySide';
import { StandPicture } from './StandPicture';
import { judgedTrays, useBenchLook } from './useBench';
import { toldShare } from '../verdict/words';
import { Select } from '../parts/Select';

/** Two stands side by side, as it is and as it might be, with what differs. */
export function Compare() {
  const { benchLooks } = useWorkspace();
  const site = useSite((s) => s.site);
  const look = useBenchLook();
  const here = site.stands.find((s) => s.id === look.standId) ?? site.stands.find((s) => !s.autoArranged) ?? site.stands[0];
  const other = site.stands.find((s) => s.id === look.otherId && s !== here) ?? site.stands.find((s) => s !== here);
  const [left, right] = [other, here];
  if (!left || !right)
    return (
      <section className="m-auto max-w-md space-y-4 p-6 text-center">
        <h1 className="text-2xl font-semibold">Nothing to compare yet.</h1>
        <p>
          Make a variant of a stand on the{' '}
          <Link href="/bench" className="font-semibold underline underline-offset-4">
            bench
          </Link>
          , change it, and hold the two side by side here.
        </p>
      </section>
    );
  return (
    <div className="mx-auto w-full max-w-6xl px-4 py-5 md:px-6">
      <h1 className="mb-3 text-2xl font-semibold">Side by side</h1>
      <Pair
        key={`${left.id} ${right.id}`}
        ids={[left.id, right.id]}
        onChoose={(side, id) => benchLooks.setState(side === 0 ? { otherId: id, standId: right.id } : { standId: id, otherId: left.id })}
      />
    </div>
  );
}

function Pair({ ids, onChoose }: { ids: readonly [string, string]; onChoose(side: 0 | 1, id: string): void }) {
  const site = useSite((s) => s.site);
  const { lengthUnit } = useSettings();
  const { ref, width } = useSize<HTMLDivElement>();
  const both = useMemo(
    () =>
      ids.map((id) =>
        benchStandIn(
          site,
          site.stands.find((s) => s.id === id)!,
        ),
      ) as [BenchStand, BenchStand],
    [ids, site],
  );
  const lights = useLightOfStands(both, 'front');
  const judged = both.map((stand) => stand.tiers.map((t) => judgedTrays(t, lights.get(stand)?.tiers[t.tier.id] ?? null)));
  const costs = both.map((stand) => lampsAMonth(site, stand.tiers));
  const column = width < 600 ? width : Math.floor((width - 16) / 2); // one below the other on a phone
  return (
    <div className="space-y-4">
      <div ref={ref} className="grid gap-4 md:grid-cols-2">
        {both.map((stand, i) => (
          <div key={i} className="min-w-0">
            <Select
              aria-label={i === 0 ? 'Left stand' : 'Right stand'}
              className="mb-2 w-full text-lg"
              value={stand.stand.id}
              onChange={(e) => onChoose(i as 0 | 1, e.target.value)}
            >
              {site.stands.map((s) => (
                <option key={s.id} value={s.id} disabled={s.id === ids[1 - i]}>
                  {s.name}
                </option>
              ))}
            </Select>
            <div className="night overflow-hidden rounded-md bg-night text-night-ink">
              {width > 0 && <StandPicture stand={stand} answer={lights.get(stand) ?? null} width={column} height={400} unit={lengthUnit} />}
            </div>
          </div>
        ))}
      </div>
      {both.some((stand) => !lights.has(stand)) ? (
        <p role="status" className="text-soft">
          Working out the light of both…
        </p>
      ) : (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="What differs">
          <table className="w-full text-left" data-testid="differences">
            <caption className="pb-1 text-left text-lg font-semibold">What differs</caption>
            <thead className="text-sm text-soft">
              <tr>
                <th className="font-normal">tier, tray</th>
                <th className="pl-3 text-right font-normal">weakest</th>
                <th className="pl-3 text-right font-normal">strongest</th>
                <th className="pl-3 text-right font-normal">in range</th>
                <th className="pl-4 font-normal">result</th>
              </tr>
            </thead>
            <tbody>
              {sideBySide(judged[0]!, judged[1]!, (j) => j.tray.called).map(({ key, tier, a, b }) => (
                <tr key={key} className="border-t border-line">
                  <td className="py-1">
                    <span className="text-soft">{tier}</span> {trayName((b ?? a)!.tray)}
                  </td>
                  <Cell a={a?.verdict.weakest.value} b={b?.verdict.weakest.value} show={dliNumber} />
                  <Cell a={a?.verdict.strongest.value} b={b?.verdict.strongest.value} show={dliNumber} />
                  <Cell a={a && 100 * toldShare(a.verdict)} b={b && 100 * toldShare(b.verdict)} show={(v) => `${Math.round(v)} %`} />
                  <td className="pl-4">
                    {a ? SAYS_WORDS[a.verdict.says] : 'not there'}
                    {a?.verdict.says !== b?.verdict.says && (
                      <span className={clsx('font-semibold', b ? colourOfResult(b.verdict.says) : 'text-copper')}>
                        {' '}
                        → {b ? SAYS_WORDS[b.verdict.says] : 'not there'}
                      </span>
                    )}
                  </td>
                </tr>
              ))}
              <tr className="border-t border-line font-semibold">
                <td className="py-1">cost a month</td>
                <td colSpan={4} className="text-right" data-testid="cost-difference">
                  {showMoney(costs[0]!, site.currency)} → {showMoney(costs[1]!, site.currency)}
                </td>
              </tr>
            </tbody>
          </table>
        </div>
      )}
    </div>
  );
}

/** A number on the left and what it becomes on the right; alone where they are the same, or where one stand has no such tray. */
function Cell({ a, b, show }: { a: number | undefined; b: number | undefined; show(v: number): string }) {
  const [from, to] = [a, b].map((v) => (v === undefined ? null : show(v)));
  const both = from !== null && to !== null && from !== to;
  return <td className="pl-3 text-right whitespace-nowrap">{both ? <>{from} → <strong className="font-semibold">{to}</strong></> : (to ?? from)}</td>; // prettier-ignore
}
