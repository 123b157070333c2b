import type { CalibrationDoc, DrawingDoc } from "core/job";

export const blankCalibration = (): CalibrationDoc => ({ lengths: [], stretch: "auto", tilt: 0 });
/** A drawing's calibration to change, begun where there is none. */
export const calibrationIn = (d: DrawingDoc): CalibrationDoc => (d.calibration ??= blankCalibration());
