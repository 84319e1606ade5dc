import { containerLibrary } from '../container/containerLibrary';
import { cropLibrary } from '../crop/cropLibrary';
import { lampLibrary } from '../lamp/lampLibrary';
import type { Tables } from './Tables';

const crops = new Map(cropLibrary.map((c) => [c.id, c]));
const lamps = new Map(lampLibrary.map((l) => [l.id, l]));
const containers = new Map(containerLibrary.map((c) => [c.id, c]));

/** The tables that come with the application, by id. */
export const tables: Tables = {
  crop: (id) => crops.get(id),
  lamp: (id) => lamps.get(id),
  container: (id) => containers.get(id),
};
