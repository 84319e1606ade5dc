'use client';
import { useState } from 'react';
import { isOver, yearToPlan } from '@/core/plan/season/seasonYear';
import { movedToYear, setSeason } from '@/core/site/stand/changeSeason';
import { readSeasonText } from '@/store/files/seasonText';
import { changeSite, undo } from '@/store/site/siteStore';
import { problemWords } from '../files/problemWords';
import { FileButton } from '../parts/FileButton';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';

const MAX_BYTES = 2_000_000;

/** Takes in a plan from a file; one of an earlier season that is over with its dates moved to the next. */
export function ImportSeason({ label = 'Import a plan' }: { label?: string }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const [problems, setProblems] = useState<readonly string[]>([]);
  return (
    <span className="inline-flex flex-col gap-1">
      <FileButton
        accept=".json"
        maxBytes={MAX_BYTES}
        onText={(name, text) => {
          const read = readSeasonText(text, site);
          if (!read.ok) return setProblems(read.problems.slice(0, 4).map(problemWords));
          setProblems([]);
          const latitude = site.place?.latitude ?? null;
          const year = yearToPlan(today, latitude);
          const isOld = isOver(read.value, today, latitude);
          const season = isOld ? movedToYear(read.value, year, read.value.name.replace(String(read.value.year), String(year))) : read.value;
          if (!changeSite(sites, `import ${name}`, setSeason(season))) return;
          const many = season.batches.length === 1 ? '1 batch' : `${season.batches.length} batches`;
          say(isOld ? `${many}, moved from ${read.value.year} to ${year}. Nothing counts as sown.` : `${many} imported.`, {
            label: 'Undo',
            run: () => undo(sites),
          });
        }}
        onRefused={(_, p) => setProblems([problemWords(p)])}
      >
        {label}
      </FileButton>
      {problems.length > 0 && (
        <span role="alert" className="max-w-96 text-sm text-copper">
          {problems.join(' ')} Nothing was changed.
        </span>
      )}
    </span>
  );
}
