import { containerLibrary } from './containerLibrary';
import { cropLibrary } from './cropLibrary';
import { lampLibrary } from './lampLibrary';
import type { Tables } from '../stand/setUp';

const crops = new Map(cropLibrary.map((c) => [c.id, c]));
const lamps = new Map(lampLibrary.map((l) => [l.id, l]));
const containers = new Map(containerLibrary.map((c) => [c.id, c]));

/** The tables that come with the application, by id. */
export const tables: Tables = {
  crop: (id) => crops.get(id),
  lamp: (id) => lamps.get(id),
  container: (id) => containers.get(id),
};
