import { addScaled, type Vec3 } from "../geometry";
import type { Ring } from "./member";

/** A point of a ring's plane, v and w mm of the section from the work line. */
export const onRing = (r: Ring, v: number, w: number): Vec3 => addScaled(addScaled(r.at, r.v, v), r.w, w);
