import type { Crop } from '../crop/Crop';
import type { Lamp } from '../lamp/Lamp';
import type { Container } from '../container/Container';

/** Where crops, lamps and containers are looked up: handed in, so that the core asks nobody. */
export interface Tables {
  crop(id: string): Crop | undefined;
  lamp(id: string): Lamp | undefined;
  container(id: string): Container | undefined;
}
