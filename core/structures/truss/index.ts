import type { StructureKind } from "../kind";
import { defaultsOf } from "../spec";
import { trussBuilds } from "./builds";
import { trussCheck, trussRemarks, trussShown } from "./check";
import { trussDimensions } from "./dimensions";
import { trussFrame } from "./frame";
import { TrussParams, trussSpec, type TrussValues } from "./parameters";
import { TRUSS_STARTS } from "./starts";
import { TRUSS_KINDS } from "./topology";

export { outlineOf } from "./layout";
export { forcesOf } from "./forces";
export type { MemberForces, NoForces } from "./statics";
export { spanUnderTrain, SPAN_LIMITS, type SpanCheck } from "./span";
export { whyOf } from "./explain";
export type { TrussValues } from "./parameters";

/** Timber truss: a bridge of one or several spans, or a roof truss by itself. */
export const truss: StructureKind = {
  id: "truss",
  name: "Timber truss",
  purpose: "A bridge of one or several spans, or a roof truss by itself.",
  headline: [{ dimension: "span", words: "span" }],
  offers: ["forces"],
  version: 3,
  spec: trussSpec,
  Params: TrussParams,
  home: "side",
  initial: () => ({ ...defaultsOf(trussSpec) }),
  starts: TRUSS_STARTS,
  shrinks: {
    length: {
      part: ["panel", "panels"],
      less: (p, n) => {
        const v = p as TrussValues;
        const panels = v.panels - n;
        return panels >= 2 ? { ...p, panels, span: (v.span * panels) / v.panels } : undefined;
      },
    },
  },
  check: (p, context) => trussCheck(p as TrussValues, context),
  shown: (p, path) => trussShown(p as TrussValues, path),
  frame: (p, ctx) => trussFrame(p as TrussValues, ctx),
  dimensions: (p, ctx) => trussDimensions(p as TrussValues, ctx),
  centreLine: () => undefined,
  builds: (p, ctx) => trussBuilds(p as TrussValues, ctx),
  about: ({ role }) =>
    /floor beam|stringer|tie|guard|plank/.test(role)
      ? ["Floor and track"]
      : /lateral|portal|strut|knee|sway/.test(role)
        ? ["Bracing", "Bridge"]
        : ["Truss members", "Outline"],
  remarks: (p, ctx) => trussRemarks(p as TrussValues, ctx),
  describe: (p) => {
    const v = p as TrussValues;
    const kind = TRUSS_KINDS.find((k) => k.value === v.kind)?.label ?? v.kind;
    return `${kind} truss${v.position === "roof" ? "" : `, ${v.position}`}${v.spans > 1 ? `, ${v.spans} spans` : ""}`;
  },
};
