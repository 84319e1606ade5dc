/** @jest-environment jsdom */
import '../../../test/indexedDb';
import { act, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useStore } from 'zustand';
import { tables } from '@/core/things/tables/libraryTables';
import { benchStandOf } from '@/core/answer/stand/benchStand';
import { dayFrom } from '@/core/units/day';
import { demoSite } from '@/store/site/demoSite';
import { undo } from '@/store/site/siteStore';
import { createWorkspace, type Workspace } from '@/store/workspace';
import { WorkspaceContext } from '../shell/WorkspaceContext';
import { BatchLog } from './BatchLog';

jest.mock('../../workers/light/light.pool', () => ({}));
jest.mock('../../workers/advice/advice.client', () => ({}));
jest.mock('../../workers/readings/readings.client', () => ({}));
jest.mock('../../workers/chart/chart.client', () => ({}));
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => undefined }) }));

const TODAY = dayFrom(2027, 2, 28);

/** The log of the first tray of the rack, as the page of the tray shows it. */
function Log({ workspace }: { workspace: Workspace }) {
  const site = useStore(workspace.sites, (s) => s.site);
  const stand = benchStandOf(
    site,
    site.stands.find((s) => s.id === 'demo-rack')!,
    tables,
  );
  return <BatchLog tray={stand.tiers[0]!.trays[0]!} />;
}

function opened() {
  const workspace = createWorkspace('en-GB');
  workspace.sites.setState({ site: demoSite('en-GB', TODAY) });
  workspace.days.setState({ today: TODAY });
  render(
    <WorkspaceContext value={workspace}>
      <Log workspace={workspace} />
    </WorkspaceContext>,
  );
  const batch = () => {
    const { site } = workspace.sites.getState();
    const tray = site.stands.find((s) => s.id === 'demo-rack')!.tiers[0]!.trays[0]!;
    return site.batches.find((b) => b.id === tray.batchId)!;
  };
  const heights = () => batch().log.flatMap((l) => (l.what === 'height' ? [l.height] : []));
  return { workspace, batch, heights, field: screen.getByRole('textbox', { name: 'leaf tops above the compost' }) };
}

test('what is seen is written down with one press, struck out with another, and undone', async () => {
  const user = userEvent.setup();
  const { workspace, batch } = opened();
  const before = batch().log.length;
  await user.click(screen.getByRole('button', { name: 'First true leaves' }));
  expect(batch().log.at(-1)).toMatchObject({ what: 'true-leaves', day: TODAY });
  const list = screen.getByRole('list', { name: 'Written down' });
  expect(within(list).getAllByRole('listitem')).toHaveLength(before + 1);
  await user.click(within(list).getAllByRole('button', { name: /^Strike out/ })[0]!);
  expect(batch().log).toHaveLength(before);
  act(() => undo(workspace.sites));
  expect(batch().log).toHaveLength(before + 1);
});

test('a height is taken as it is; one that can hardly be is asked about first', async () => {
  const user = userEvent.setup();
  const { heights, field } = opened();
  await user.clear(field);
  await user.type(field, '9 cm{Enter}');
  expect(heights().at(-1)).toBeCloseTo(0.09, 9);
  const again = screen.getByRole('textbox', { name: 'leaf tops above the compost' });
  await user.clear(again);
  await user.type(again, '90 cm{Enter}');
  expect(screen.getByRole('alert').textContent).toContain('more than twice as high as this crop grows');
  const known = heights().length;
  await user.click(screen.getByRole('button', { name: 'Cancel' }));
  expect(heights()).toHaveLength(known);
  await user.clear(screen.getByRole('textbox', { name: 'leaf tops above the compost' }));
  await user.type(screen.getByRole('textbox', { name: 'leaf tops above the compost' }), '90 cm{Enter}');
  await user.click(screen.getByRole('button', { name: 'It is right, save it' }));
  expect(heights().at(-1)).toBeCloseTo(0.9, 9);
});

test('potted on twice of a day is potted on once: the trays of a planned batch are exchanged, and not again', async () => {
  const user = userEvent.setup();
  const { workspace, batch } = opened();
  const { site } = workspace.sites.getState();
  const trays = () =>
    workspace.sites.getState().site.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.filter((y) => y.batchId === batch().id)));
  const plan = site.season!.batches[0]!;
  const containers = ['cell-200', 'cell-72', 'cell-50'].map((containerId, i) => ({ containerId, fromDay: 9 * i }));
  act(() => workspace.sites.setState({ site: { ...site, season: { ...site.season!, batches: [{ ...plan, cropId: batch().cropId, batchId: batch().id, cells: 40, containers }] } } })); // prettier-ignore
  await user.click(screen.getByRole('button', { name: 'Potted on' }));
  expect(trays().map((y) => y.containerId)).toEqual(['cell-72']);
  await user.click(screen.getByRole('button', { name: 'Potted on' }));
  expect(trays().map((y) => y.containerId)).toEqual(['cell-72']);
});
