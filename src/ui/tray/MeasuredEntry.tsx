'use client';
import { FlaskConical, ThermometerSun } from 'lucide-react';
import { useState } from 'react';
import { logIt } from '@/core/site/growth/changeGrowth';
import type { AirSeen } from '@/core/site/stand/Logged';
import type { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { CheckField } from '../parts/CheckField';
import { loggedNow } from '../season/loggedNow';
import { useSite } from '../shell/WorkspaceContext';
import { AirFields, airProblem, isAirEmpty } from './AirFields';
import { SolutionFields, solutionOf, type TypedSolution } from './SolutionFields';

const NO_AIR: AirSeen = { low: null, high: null, humidity: null };
const NO_SOLUTION: TypedSolution = { ec: '', ph: null };

/** Temperatures with humidity, and EC with pH, as they were measured on a day; the clinic knows them from then on. */
export function MeasuredEntry({
  batchId,
  on,
  write,
}: {
  batchId: string;
  on: number;
  write(words: string, change: Parameters<typeof changeSite>[2]): void;
}) {
  const [air, setAir] = useState<AirSeen>(NO_AIR);
  const [typed, setTyped] = useState(NO_SOLUTION);
  const solution = solutionOf(typed);
  const stand = useSite((s) => s.site.stands.find((x) => x.tiers.some((t) => t.trays.some((y) => y.batchId === batchId))));
  const others = [...new Set(stand?.tiers.flatMap((t) => t.trays.map((y) => y.batchId)))].filter((id) => id !== batchId);
  const [isForAll, setForAll] = useState(false);
  const problem = airProblem(air);
  return (
    <details>
      <summary className="min-h-9 cursor-pointer font-semibold max-md:min-h-11">Temperature, humidity, EC and pH</summary>
      <div className="space-y-3 pt-2">
        <div className="flex flex-wrap items-end gap-3">
          <AirFields air={air} onChange={setAir} />
          <Button
            disabled={problem !== null || isAirEmpty(air)}
            onClick={() => {
              const asked = isForAll ? [batchId, ...others] : [batchId];
              write('Air', (site) =>
                asked.reduce((now, id) => logIt(id, { ...loggedNow(on), what: 'air', height: null, stage: null, air })(now), site),
              );
              setAir(NO_AIR);
            }}
          >
            <ThermometerSun size={17} aria-hidden /> Add air
          </Button>
        </div>
        {others.length > 0 && <CheckField label={`the same for all on ${stand!.name}`} checked={isForAll} onChange={setForAll} />}
        {problem && <p className="text-copper">{problem}</p>}
        <div className="flex flex-wrap items-end gap-3">
          <SolutionFields typed={typed} onChange={setTyped} />
          <Button
            disabled={solution.ec === null && solution.ph === null}
            onClick={() => {
              write('EC and pH', logIt(batchId, { ...loggedNow(on), what: 'solution', height: null, stage: null, solution }));
              setTyped(NO_SOLUTION);
            }}
          >
            <FlaskConical size={17} aria-hidden /> Add EC and pH
          </Button>
        </div>
      </div>
    </details>
  );
}
