import { leastP } from './twoArms';

/** What may differ between arms. */
export const FACTORS = ['lamp', 'distance', 'hours', 'mat', 'cover', 'medium', 'container', 'position', 'sown'] as const;
export type Factor = (typeof FACTORS)[number];

export interface DesignArm {
  readonly id: string;
  readonly lamp: string;
  readonly distance_m: number | null;
  readonly hours: number | null;
  readonly dli: number | null;
  readonly mat: boolean | string | null;
  readonly cover: string | null;
  readonly medium: string | null;
  readonly container: string | null;
  readonly position: string | null;
  readonly sown: string | number | null;
  readonly crops: readonly { readonly crop: string; readonly cultivar: string | null; readonly trays: number; readonly plants: number }[];
}

export interface Design {
  readonly declared: Factor | 'dose' | 'feed' | 'crop' | 'cultivar' | 'none';
  /** Heights and hours are to give the arms the same dose. */
  readonly equalDose: boolean;
  /** What makes the doses differ, where the dose is declared. */
  readonly doseBy: Factor | null;
  readonly unit: 'tray' | 'plant';
  readonly selection: 'none' | 'random' | 'best_picked' | 'worst_removed';
  readonly outcome: { readonly kind: 'measured' | 'scored' | 'counted'; readonly isBlind: boolean | null; readonly isFixed: boolean };
  readonly isStopFixed: boolean;
  readonly arePlacesRotated: boolean;
  /** What happened on the way, and to which arms. */
  readonly deviations: readonly { readonly arms: readonly string[] }[];
  readonly arms: readonly DesignArm[];
}

export const DESIGN_FAULTS = [
  'BUNDLED',
  'DOSE_UNEQUAL',
  'EQUAL_DISTANCE_NOT_EQUAL_LIGHT',
  'DOSE_UNKNOWN',
  'CROP_NOT_IN_EVERY_ARM',
  'PLANTS_AS_REPLICATES',
  'ONE_CONTAINER',
  'TOO_FEW_FOR_TEST',
  'SELECTED_AFTER_START',
  'UNBLINDED_SCORE',
  'DEVIATION_ONE_ARM',
  'STOP_NOT_FIXED',
  'NO_CONTRAST',
] as const;
export type DesignFault = (typeof DESIGN_FAULTS)[number];

export interface DesignReview {
  readonly codes: readonly DesignFault[];
  readonly extraFactors: readonly Factor[];
  readonly cropsNotInEveryArm: readonly string[];
  /** Largest dose over the smallest; null where one is not known. */
  readonly dliRatio: number | null;
}

/** Below these, two values are the same for a grower. */
const SAME_DISTANCE = 0.01 + 1e-9;
const SAME_HOURS = 0.25 + 1e-9;
/** Doses within 10 % count as equal; our convention. */
const EQUAL_DOSE = 1.1 + 1e-9;

/** Whether the arms differ in a factor. */
function differs(design: Design, factor: Factor): boolean {
  const spread = (values: readonly (number | null)[], same: number) => {
    const known = values.filter((v): v is number => v !== null);
    return known.length > 1 && Math.max(...known) - Math.min(...known) > same;
  };
  const { arms } = design;
  if (factor === 'distance')
    return spread(
      arms.map((a) => a.distance_m),
      SAME_DISTANCE,
    );
  if (factor === 'hours')
    return spread(
      arms.map((a) => a.hours),
      SAME_HOURS,
    );
  if (factor === 'position' && design.arePlacesRotated) return false;
  return new Set(arms.map((a) => a[factor])).size > 1;
}

/**
 * Looks through a design for what would keep it from answering its question: two things changed at once, unequal light, plants of one tray
 * taken for repeats, too few trays. Rules: test/cases/trials.md, section 9; Hurlbert 1984.
 */
export function reviewDesign(design: Design): DesignReview {
  const { arms, declared } = design;
  const doses = arms.map((a) => a.dli);
  const dliRatio = doses.some((d) => d === null) ? null : Math.max(...(doses as number[])) / Math.min(...(doses as number[]));
  const allowed = new Set<string>([declared]);
  if (declared === 'lamp') allowed.add('distance');
  if (declared === 'hours' && design.equalDose) allowed.add('distance');
  if (declared === 'dose' && design.doseBy !== null) allowed.add(design.doseBy);
  const extraFactors = FACTORS.filter((f) => !allowed.has(f) && differs(design, f));

  const isDoseMeant =
    declared === 'distance' || declared === 'dose' || ((declared === 'lamp' || declared === 'hours') && !design.equalDose);
  const isUnequal = dliRatio !== null && dliRatio > EQUAL_DOSE && !isDoseMeant;

  const name = (c: { crop: string; cultivar: string | null }) => (declared === 'cultivar' ? c.crop : `${c.crop}/${c.cultivar ?? ''}`);
  const names = arms.map((a) => new Set(a.crops.map(name)));
  const cropsNotInEveryArm =
    declared === 'crop' ? [] : [...new Set(names.flatMap((s) => [...s]))].filter((n) => names.some((s) => !s.has(n)));
  const trays = (arm: DesignArm, crop: string) => arm.crops.filter((c) => name(c) === crop).reduce((n, c) => n + c.trays, 0);
  const common = [...names[0]!].filter((n) => names.every((s) => s.has(n)));
  const isTooFew = arms.slice(1).some((arm) =>
    common.some((crop) => {
      const [a, b] = [trays(arms[0]!, crop), trays(arm, crop)];
      return a >= 2 && b >= 2 && leastP(a, b) > 0.05;
    }),
  );
  const isContrast =
    declared === 'dose'
      ? dliRatio === null || dliRatio > EQUAL_DOSE
      : (FACTORS as readonly string[]).includes(declared)
        ? differs({ ...design, arePlacesRotated: declared === 'position' ? false : design.arePlacesRotated }, declared as Factor)
        : declared === 'cultivar'
          ? new Set(arms.map((a) => a.crops.map((c) => c.cultivar).join())).size > 1
          : true;

  const found: Record<DesignFault, boolean> = {
    BUNDLED: extraFactors.length > 0,
    DOSE_UNEQUAL: isUnequal,
    EQUAL_DISTANCE_NOT_EQUAL_LIGHT: isUnequal && declared === 'lamp' && !differs(design, 'distance'),
    DOSE_UNKNOWN: dliRatio === null,
    CROP_NOT_IN_EVERY_ARM: cropsNotInEveryArm.length > 0,
    PLANTS_AS_REPLICATES: design.unit === 'plant' && arms.some((a) => a.crops.some((c) => c.plants > 1)),
    ONE_CONTAINER: arms.some((a) => a.crops.some((c) => trays(a, name(c)) === 1)),
    TOO_FEW_FOR_TEST: isTooFew,
    SELECTED_AFTER_START: design.selection === 'best_picked' || design.selection === 'worst_removed',
    UNBLINDED_SCORE: design.outcome.kind === 'scored' && design.outcome.isBlind !== true,
    DEVIATION_ONE_ARM: design.deviations.some((d) => !arms.every((a) => d.arms.includes(a.id))),
    STOP_NOT_FIXED: !design.isStopFixed || !design.outcome.isFixed,
    NO_CONTRAST: !isContrast,
  };
  return { codes: DESIGN_FAULTS.filter((f) => found[f]), extraFactors, cropsNotInEveryArm, dliRatio };
}
