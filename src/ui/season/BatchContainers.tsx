'use client';
import { Trash2 } from 'lucide-react';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import type { PlannedBatch } from '@/core/site/season/SeasonPlan';
import { containerLibrary } from '@/core/things/container/containerLibrary';
import { Button } from '../parts/Button';
import { NumberField } from '../parts/NumberField';
import { SelectField } from '../parts/SelectField';
import { briefDayWords } from './dayWords';
import { containerName, plantsWords, traysWords } from './seasonWords';

export function Containers({ course, onChange }: { course: BatchCourse; onChange(containers: PlannedBatch['containers']): void }) {
  const { batch } = course;
  const options = containerLibrary.map((c) => ({ value: c.id, label: c.name }));
  const last = batch.containers.at(-1)!;
  return (
    <section className="space-y-2" aria-label="Containers">
      <h3 className="font-semibold">Containers</h3>
      <ol className="space-y-2">
        {batch.containers.map((c, i) => {
          const part = course.parts.find((p) => p.containerId === c.containerId);
          return (
            <li key={i} className="flex flex-wrap items-end gap-2">
              <div className="min-w-32 flex-1">
                <SelectField
                  label={i === 0 ? 'Sown in' : 'Potted on into'}
                  value={c.containerId}
                  options={options}
                  onChange={(containerId) => onChange(batch.containers.map((x, j) => (j === i ? { ...x, containerId } : x)))}
                />
              </div>
              {i > 0 && (
                <NumberField
                  label="Days after emergence"
                  value={c.fromDay}
                  min={batch.containers[i - 1]!.fromDay + 1}
                  max={(batch.containers[i + 1]?.fromDay ?? 2001) - 1}
                  whole
                  inputClassName="w-16"
                  onChange={(fromDay) => onChange(batch.containers.map((x, j) => (j === i ? { ...x, fromDay } : x)))}
                />
              )}
              {i > 0 && (
                <Button
                  kind="quiet"
                  size="icon"
                  aria-label={`Remove ${containerName(c.containerId)}`}
                  onClick={() => onChange(batch.containers.filter((_, j) => j !== i))}
                >
                  <Trash2 size={17} aria-hidden />
                </Button>
              )}
              <p className="w-full font-narrow text-sm text-soft">
                {part
                  ? `${briefDayWords(part.from)}: ${plantsWords(part.plants)}, ${traysWords(part.trays)}`
                  : 'Not reached: it leaves the shelves before'}
              </p>
            </li>
          );
        })}
      </ol>
      {batch.containers.length < 6 && (
        <Button onClick={() => onChange([...batch.containers, { containerId: 'pot-9', fromDay: last.fromDay + 21 }])}>
          Add potting on
        </Button>
      )}
    </section>
  );
}
