import type { SeasonPlan } from '../../site/season/SeasonPlan';
import type { Site } from '../../site/stand/Site';
import type { Container } from '../../things/container/Container';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import { FLAT } from './flats';
import { coursesOf } from './seasonLook';

/** Containers of one kind that a batch needs, and the mix that fills them. */
export interface ContainersNeeded {
  readonly containerId: string;
  readonly count: number;
  readonly compost_L: number;
}

/** What has to be at hand for a season, by batch. */
export interface SowingList {
  readonly rows: readonly {
    readonly id: string;
    readonly sown: Day;
    readonly cells: number;
    readonly containers: readonly ContainersNeeded[];
    /** One for each tray at its most. */
    readonly labels: number;
  }[];
  readonly compost_L: number;
}

function needed(c: Container, plants: number, flats: number): ContainersNeeded {
  // Trays with cells, mix only in those that are sown; pots and blocks one by one; open trays whole.
  if (c.columns !== null) return { containerId: c.id, count: Math.ceil(plants / (c.plants ?? 1)), compost_L: plants * c.volume_L };
  const open = flats * Math.max(1, Math.floor((FLAT.length * FLAT.width) / (c.length * c.width)));
  const count = c.perFlat !== null || c.plants !== null ? Math.ceil(plants / (c.plants ?? 1)) : open;
  return { containerId: c.id, count, compost_L: count * c.volume_L };
}

/** What a season takes: seed by cells, containers and mix by stage, labels. */
export function sowingList(site: Site, season: SeasonPlan, tables: Pick<Tables, 'crop' | 'container'>): SowingList {
  const rows = coursesOf(site, season, tables).map(({ batch, parts }) => {
    const most = new Map<string, { plants: number; trays: number }>();
    for (const p of parts) {
      const before = most.get(p.containerId);
      const plants = p.containerId === batch.containers[0]!.containerId ? batch.cells : p.plants;
      most.set(p.containerId, { plants: Math.max(before?.plants ?? 0, plants), trays: Math.max(before?.trays ?? 0, p.trays) });
    }
    return {
      id: batch.id,
      sown: batch.sown,
      cells: batch.cells,
      containers: [...most].map(([id, m]) => needed(tables.container(id)!, m.plants, m.trays)),
      labels: Math.max(1, ...parts.map((p) => p.trays)),
    };
  });
  return { rows, compost_L: rows.reduce((sum, r) => sum + r.containers.reduce((s, c) => s + c.compost_L, 0), 0) };
}
