import { asOf } from '@/core/answer/stand/asOf';
import { benchStandOf } from '@/core/answer/stand/benchStand';
import type { Job } from '@/core/plan/today/Job';
import { tables } from '@/core/things/tables/libraryTables';
import { dayFrom } from '@/core/units/day';
import { demoSite } from '@/store/site/demoSite';
import { jobSaid } from './todayWords';

const TODAY = dayFrom(2027, 6, 20);
const site = asOf(demoSite('en-GB', TODAY), TODAY, tables);

test('why hours are set: at a window for its days, on a rack for its plants', () => {
  const whyAt = (standId: string) => {
    const stand = benchStandOf(
      site,
      site.stands.find((s) => s.id === standId)!,
      tables,
    );
    const { id: timerId } = stand.tiers[0]!.timer;
    const jobs = { day: TODAY, lamps: [], dims: [], risers: [], hours: [{ timerId, on_min: 0, lit_min: 0 }] };
    const job: Job = { key: 'k', due: TODAY, what: { kind: 'hang', jobs }, standId, tierId: null, tier: null, trayIds: [], minutes: 1 };
    return jobSaid(site, job, stand, { lengthUnit: 'cm', clock: '24' }, TODAY);
  };
  expect(whyAt('demo-sill')).toMatchObject({
    title: 'The timer: off all day',
    why: expect.stringMatching(/^Days get longer or shorter here/),
  });
  expect(whyAt('demo-rack').why).toMatch(/reached a stage/);
});
