'use client';
import { useRouter } from 'next/navigation';
import { RadioGroup } from 'radix-ui';
import { useEffect, useMemo, useState } from 'react';
import { standFrom, TEMPLATES, type Template } from '@/core/site/stand/templates';
import { showLength } from '@/core/units/length';
import { freeName } from '@/store/names/freeName';
import { newId } from '@/store/names/newId';
import { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { LengthField } from '../parts/LengthField';
import { Sheet } from '../parts/Sheet';
import { Stepper } from '../parts/Stepper';
import { usePageActions } from '../shell/pageActions';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';
import { NEW_STAND_HASH, standPath } from '../stands/places';

/** A new stand from a usual one: which, how many tiers, how large. */
export function NewStand({ trigger }: { trigger: React.ReactNode }) {
  const { sites } = useWorkspace();
  const router = useRouter();
  const { lengthUnit } = useSettings();
  const [open, setOpen] = useState(false);
  const [template, setTemplate] = useState<Template>(TEMPLATES[0]!);
  const [tiers, setTiers] = useState(TEMPLATES[0]!.tiers.usual);
  useEffect(() => {
    if (window.location.hash !== NEW_STAND_HASH) return;
    window.history.replaceState(null, '', window.location.pathname);
    // The address asks for it.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setOpen(true);
  }, []);
  const actions = useMemo(
    () => [
      { id: 'new-stand', name: 'New stand', words: ['rack', 'shelf', 'sill', 'draw'], run: () => setTimeout(() => setOpen(true), 60) },
    ],
    [],
  );
  usePageActions(actions);
  const choose = (next: Template) => {
    setTemplate(next);
    setTiers(next.tiers.usual);
  };
  const begin = () => {
    const name = freeName(sites.getState().site.stands, template.name);
    const { stand, timer } = standFrom(template, tiers, name, newId);
    changeSite(sites, 'begin a stand', (site) => ({
      ...site,
      stands: [...site.stands, stand],
      timers: [...site.timers, timer],
    }));
    setOpen(false);
    router.push(standPath(stand.id));
  };
  return (
    <Sheet
      title="What do you have?"
      description="Start with usual sizes. You can change everything later."
      trigger={trigger}
      open={open}
      onOpenChange={setOpen}
      footer={
        <Button kind="main" onClick={begin}>
          Add this stand
        </Button>
      }
    >
      <div className="space-y-5">
        <RadioGroup.Root
          className="grid gap-2 sm:grid-cols-2 md:grid-cols-3"
          aria-label="Kind of stand"
          value={template.kind}
          onValueChange={(kind) => choose(TEMPLATES.find((t) => t.kind === kind)!)}
          onKeyDown={(e) => e.key === 'Enter' && begin()}
        >
          {TEMPLATES.map((t) => (
            <RadioGroup.Item
              key={t.kind}
              value={t.kind}
              data-first={t.kind === template.kind || undefined}
              className="flex items-start gap-2 rounded-lg border border-line p-2.5 text-left hover:bg-sunk aria-checked:border-verdigris aria-checked:bg-verdigris-wash"
            >
              <Glyph template={t} />
              <span className="leading-snug">
                <span className="block font-semibold">{t.name}</span>
                <span className="block text-sm text-soft">
                  {t.about}, {showLength(t.width, lengthUnit)} × {showLength(t.depth, lengthUnit)}
                </span>
              </span>
            </RadioGroup.Item>
          ))}
        </RadioGroup.Root>
        <div className="flex flex-wrap items-end gap-4">
          {template.tiers.most > 1 && (
            <Stepper label="tiers" value={tiers} min={template.tiers.least} max={template.tiers.most} onChange={setTiers} />
          )}
          <LengthField label="width" value={template.width} min={0.1} max={6} onChange={(width) => setTemplate({ ...template, width })} />
          <LengthField label="depth" value={template.depth} min={0.05} max={3} onChange={(depth) => setTemplate({ ...template, depth })} />
          <LengthField
            label="Height inside a tier"
            value={template.height}
            min={0.05}
            max={3}
            onChange={(height) => setTemplate({ ...template, height })}
          />
        </div>
      </div>
    </Sheet>
  );
}

/** A small line drawing of the kind of stand, from its own sizes. */
function Glyph({ template: { tiers, width, height, faces } }: { template: Template }) {
  const n = tiers.usual;
  const scale = Math.min(60 / width, 40 / (n * height));
  const [w, h] = [width * scale, height * scale];
  const side = (id: string) => (id === 'open' ? '2 3' : undefined);
  return (
    <svg width={72} height={48} className="w-14 shrink-0 text-ink" viewBox="0 0 72 48" aria-hidden>
      <g stroke="currentColor" strokeWidth={1.5} fill="none">
        {Array.from({ length: n + 1 }, (_, i) => (
          <path key={i} d={`M${(72 - w) / 2} ${46 - i * h} h${w}`} strokeDasharray={i === n ? side(faces.ceiling) : undefined} />
        ))}
        <path d={`M${(72 - w) / 2} 46 v${-n * h}`} strokeDasharray={side(faces.left)} />
        <path d={`M${(72 + w) / 2} 46 v${-n * h}`} strokeDasharray={side(faces.right)} />
      </g>
    </svg>
  );
}
