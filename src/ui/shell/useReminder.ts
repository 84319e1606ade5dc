import { useEffect } from 'react';
import type { Site } from '@/core/site/stand/Site';
import type { Day } from '@/core/units/day';
import { useSettings, useToday, useWorkspace } from './WorkspaceContext';

const MS_PER_MIN = 60_000;

/**
 * Tells the day's jobs at the chosen minute, while the application is open in some tab: no server knows of it. What the hang chart asks
 * for is on Today once it is opened.
 */
export function useReminder(): void {
  const { sites } = useWorkspace();
  const { remind_min } = useSettings();
  const today = useToday();
  useEffect(() => {
    if (remind_min === null || typeof Notification === 'undefined' || Notification.permission !== 'granted') return;
    const now = new Date();
    const wait = remind_min * MS_PER_MIN - (now.getHours() * 60 + now.getMinutes()) * MS_PER_MIN - now.getSeconds() * 1000;
    if (wait < 0) return;
    const timer = setTimeout(() => void tellJobs(sites.getState().site, today), wait);
    return () => clearTimeout(timer);
  }, [sites, remind_min, today]);
}

/** What finds the jobs comes when it is wanted, not with every page. */
async function tellJobs(site: Site, today: Day): Promise<void> {
  const [{ jobsOn }, { jobStateOf: stateOf }, { tables }] = await Promise.all([
    import('@/core/plan/today/jobsOf'),
    import('@/core/site/today/JobMark'),
    import('@/core/things/tables/libraryTables'),
  ]);
  const jobs = jobsOn(site, [], today, tables).filter((j) => stateOf(site.jobMarks, j.key, today) === null);
  if (jobs.length > 0) await tell(`${jobs.length} ${jobs.length === 1 ? 'job' : 'jobs'} for your plants today`);
}

/** By the service worker where there is one, as phones want it; one of several tabs speaks. */
async function tell(title: string): Promise<void> {
  const options = { body: 'Open Today to see them, with what the hang chart asks for.', tag: 'copper-noon-today', icon: '/icon.svg' };
  const worker = await navigator.serviceWorker?.getRegistration();
  if (worker) return worker.showNotification(title, options);
  new Notification(title, options);
}
