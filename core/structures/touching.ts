import type { Contact, Face, Joint } from "../frame";

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

/** An end of a stick against a face of another. */
export const buttJoint = (a: string, end: 0 | 1, b: string, face: Face, contact: Contact = "face"): Joint => ({
  kind: "butt",
  id: `${a}>${b.slice(b.indexOf("/") + 1)}`,
  a,
  end,
  b,
  face,
  contact,
});
