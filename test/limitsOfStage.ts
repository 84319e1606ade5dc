import type { Stage } from '../src/core/things/crop/Crop';
import type { HardLimits } from '../src/core/judge/verdict/hardLimits';

/** The limits of a stage without a plan of day and night. */
export const limitsOfStage = ({ hoursMax, ppfdMax, dliMax }: Stage): HardLimits => ({ longestDay: hoursMax, strongest: ppfdMax, dliMax });
