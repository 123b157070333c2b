import type { Joint } from "../frame";

type Bearing = Extract<Joint, { kind: "bearing" }>;
/** A part held by another where their faces meet; where they do not, nothing is said. */
export const touching = (a: string, b: string, aFace: Bearing["aFace"], bFace: Bearing["bFace"]): Joint => ({
  kind: "bearing",
  id: `${a}>${b.slice(b.indexOf("/") + 1)}:${aFace}${bFace}`,
  a,
  b,
  aFace,
  bFace,
  contact: "gap",
});
