import type { ComponentProfile } from "./member";
import type { Resolved } from "./resolve";

/** The shape that a stick is milled to; undefined for a plain one. */
export function profileOf(s: Resolved): ComponentProfile | undefined {
  const { body } = s.member;
  return body.shape === "straight" || body.shape === "run" ? body.components.find((c) => c.profile && c.stock === s.stock)?.profile : undefined; // prettier-ignore
}
