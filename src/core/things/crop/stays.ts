import type { Crop } from './Crop';

/** Whether plants of a crop stay, as houseplants do: they are bought or given, so that no stage begins so many days after emergence. */
export const stays = ({ stages }: { readonly stages: readonly Pick<Crop['stages'][number], 'fromDay'>[] }): boolean =>
  stages[0]?.fromDay == null;
