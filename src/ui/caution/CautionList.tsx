'use client';
import { CircleAlert, Info, TriangleAlert, ChevronDown } from 'lucide-react';
import { Collapsible } from 'radix-ui';
import { memo, useMemo } from 'react';
import { cautionsFor } from '@/core/answer/caution/cautionsFor';
import type { Caution } from '@/core/things/caution/Caution';
import { cautionLibrary, generalNote } from '@/core/things/caution/cautionLibrary';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { useSite } from '../shell/WorkspaceContext';

const ICONS = { danger: TriangleAlert, warning: CircleAlert, info: Info };

/** The cautions that apply to a stand, dangers in full, the rest behind one press. */
export function CautionList({ stand }: { stand: BenchStand }) {
  const stated = useSite((s) => s.site.stated);
  const ids = useMemo(() => cautionsFor(stand, stated, cautionLibrary).map((c) => c.id), [stand, stated]);
  return <Cautions ids={ids.join(' ')} />;
}

/** By their names in one text: a hand that moves something seldom changes which they are. */
const Cautions = memo(function Cautions({ ids }: { ids: string }) {
  const all = ids.split(' ').flatMap((id) => cautionLibrary.find((c) => c.id === id) ?? []);
  const dangers = all.filter((c) => c.severity === 'danger');
  const others = all.filter((c) => c.severity !== 'danger');
  return (
    <section aria-labelledby="cautions" className="space-y-2">
      <h2 id="cautions" className="text-lg font-semibold">
        Cautions
      </h2>
      <ul className="space-y-2">
        {dangers.map((c) => (
          <Line key={c.id} caution={c} />
        ))}
      </ul>
      <Collapsible.Root>
        <Collapsible.Trigger className="group flex min-h-9 items-center gap-1 font-semibold text-verdigris max-md:min-h-11">
          {others.length} more for these lamps and crops
          <ChevronDown size={17} className="group-data-[state=open]:rotate-180" aria-hidden />
        </Collapsible.Trigger>
        <Collapsible.Content>
          <ul className="space-y-2">
            {others.map((c) => (
              <Line key={c.id} caution={c} />
            ))}
          </ul>
        </Collapsible.Content>
      </Collapsible.Root>
      <p className="text-sm text-soft">{generalNote}</p>
    </section>
  );
});

function Line({ caution }: { caution: Caution }) {
  const Icon = ICONS[caution.severity];
  return (
    <li className="flex gap-2">
      <Icon size={18} className={caution.severity === 'danger' ? 'mt-0.5 shrink-0 text-copper' : 'mt-0.5 shrink-0 text-soft'} aria-hidden />
      <p className="text-sm">
        <strong className="font-semibold">{caution.title}.</strong> {caution.text}
      </p>
    </li>
  );
}
