import type { Vec3 } from "../geometry";
import type { ViewId } from "./kind";

/** The directions to the right, up, and towards the eye of each view: what dimensions are placed by. The drawing's views are the same. */
export const VIEW_AXES: Readonly<Record<ViewId, { readonly right: Vec3; readonly up: Vec3; readonly eye: Vec3 }>> = {
  front: { right: [0, 1, 0], up: [0, 0, 1], eye: [1, 0, 0] },
  side: { right: [1, 0, 0], up: [0, 0, 1], eye: [0, -1, 0] },
  plan: { right: [1, 0, 0], up: [0, 1, 0], eye: [0, 0, 1] },
};
