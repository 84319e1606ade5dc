import { MOST_SAFETY, type SafetyMark } from '../safety/SafetyMark';
import type { Change } from './change';

const isOf = (a: Pick<SafetyMark, 'standId' | 'cautionId'>) => (b: SafetyMark) => a.standId === b.standId && a.cautionId === b.cautionId;

/** Says that a caution has been seen to. */
export const seeTo =
  (mark: SafetyMark): Change =>
  (site) => ({ ...site, safety: [...site.safety.filter((m) => !isOf(mark)(m)), mark].slice(-MOST_SAFETY) });

/** Takes that back. */
export const unsee =
  (of: Pick<SafetyMark, 'standId' | 'cautionId'>): Change =>
  (site) => ({ ...site, safety: site.safety.filter((m) => !isOf(of)(m)) });
