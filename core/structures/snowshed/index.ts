import { NEAR } from "../../geometry";
import { nominalMm, parseNominal } from "../../lumber";
import { feet, inches, model, printFeetInches, printMm, toPrototype } from "../../units";
import type { Context, Dimension, Remark, StructureKind, ElevationPoint } from "../kind";
import { defaultsOf } from "../spec";
import { timberOf, type Timber } from "../timber";
import { unusual } from "../unusual";
import { radiusOf } from "../whole-trestle/layout";
import { purlinRange, snowshedFrame } from "./frame";
import { snowshedLayout } from "./layout";
import { SnowshedParams, snowshedSpec, type SnowshedValues } from "./parameters";

const fi = (mm: number): string => printFeetInches(mm);
const SIZES = ["post", "cap", "rafter", "knee", "mudsill", "girt", "purlin", "plank", "roofPlank"] as const;

function check(v: SnowshedValues, context?: Context): string[] {
  const bad = SIZES.filter((k) => !parseNominal(v[k]) || parseNominal(v[k])!.round);
  if (bad.length > 0)
    return bad.map((k) => `${snowshedSpec[k].label} is “${v[k]}”; write a nominal size in inches such as 10×10.`);
  const out: string[] = [];
  const k = v.rise / 12;
  const capHalf = v.clear / 2 + nominalMm(v.post).width + v.over;
  const foot = nominalMm(v.rafter).width / Math.sin(Math.atan(k));
  if (foot > capHalf * 0.6)
    out.push(
      `At ${v.rise} in 12 the rafters' level feet would be ${fi(foot)} long on a cap half ${fi(capHalf)}; make the roof steeper or the rafters less deep.`,
    );
  const [purlin, knee] = [nominalMm(v.purlin), nominalMm(v.knee)];
  const king = v.kingPost && knee.thickness > nominalMm(v.rafter).thickness ? knee.width : 0;
  const across = { v: purlin.width, w: purlin.thickness };
  const [lowest, highest] = purlinRange(nominalMm(v.rafter).width, across, capHalf, k, king);
  if (lowest - highest < 1.1 * (v.purlins - 1) * purlin.thickness)
    out.push(
      `${v.purlins} purlins of ${v.purlin} do not fit on slopes of ${fi(capHalf)}; take fewer, or smaller ones.`,
    );
  if (v.kneeReach > v.clear / 2 - Math.max(inches(6), 0.75 * nominalMm(v.knee).width))
    out.push(`Knee braces of ${fi(v.kneeReach)} would meet in the middle of ${fi(v.clear)}; shorten them.`);
  if (v.kneeReach + inches(12) > v.height / 2)
    out.push(`Knee braces of ${fi(v.kneeReach)} reach half way down posts of ${fi(v.height)}; shorten them.`);
  const radius = radiusOf(v, context?.scale.ratio);
  if (radius !== undefined && v.bays * v.bay > (5 / 3) * Math.PI * radius)
    out.push("The shed turns by more than 300° and would meet itself. Widen its radius or take fewer bays.");
  if (radius !== undefined && radius < 4 * (capHalf + v.bay))
    out.push(
      `A radius of ${fi(radius)} is too sharp for bays of ${fi(v.bay)}; use at least ${fi(4 * (capHalf + v.bay))}.`,
    );
  const wide = Math.max(nominalMm(v.post).thickness, nominalMm(v.rafter).thickness);
  if (v.bay < wide + feet(2))
    out.push(`Bays of ${fi(v.bay)} leave no room between frames; make them at least ${fi(wide + feet(2))}.`);
  const rows = (v.height - inches(12)) / (v.girts + 1);
  if (rows < nominalMm(v.girt).width + inches(4))
    out.push(`${v.girts} rows of girts do not fit under ${fi(v.height)}; take fewer.`);
  if (context && out.length === 0 && v.kneeReach > 0 && v.girts > 0) {
    const [post, brace, girt] = [v.post, v.knee, v.girt].map((n) => timberOf(n, context.stock(n))) as [Timber, Timber, Timber]; // prettier-ignore
    // on a curve girts as thick as the posts are wide stand proud by their slant
    if (brace.w > post.w + NEAR && girt.w > (v.curve === "none" ? 1 : 0.95) * post.v + NEAR)
      out.push(
        `In the stock chosen knee braces are ${printMm(brace.w, 2)} thick on posts of ${printMm(post.w, 2)}, and girts ${printMm(girt.w, 2)} thick reach as far in, into them: choose thinner strip for one of them in Stock.`,
      );
  }
  return out;
}
function remarks(v: SnowshedValues): Remark[] {
  const out = unusual(snowshedSpec, v, (p) => shown(v, p));
  // AAR Plate C is 10 ft 8 in wide and 15 ft 6 in high: from memory; a man on the side of a car wants 2 ft more
  if (v.clear < feet(14, 8))
    out.push({
      param: "clear",
      text: `${fi(v.clear)} between posts leaves less than 2 ft on both sides of a car 10 ft 8 in wide.`,
      fix: { label: `Set ${fi(feet(16))}`, value: feet(16) },
    });
  const corner = v.height - v.kneeReach + Math.max(0, v.clear / 2 - feet(5, 4));
  if (v.kneeReach > 0 && corner < feet(15, 6))
    out.push({
      param: "kneeReach",
      text: `The knee braces come down to ${fi(corner)} over a car's edge; Plate C cars are 15′-6″ high.`,
    });
  return out;
}
function shown(v: SnowshedValues, path: string): boolean {
  switch (path) {
    case "hand":
      return v.curve !== "none";
    case "modelRadius":
      return v.curve === "model";
    case "radius":
      return v.curve === "radius";
    case "degree":
      return v.curve === "degree";
    case "knee":
      return v.kneeReach > 0 || v.kingPost;
    case "plank":
      return v.planked !== "none";
    case "roofPlank":
      return v.roofed;
    default:
      return true;
  }
}

/** A snowshed of posts and girts over a straight or curved track. */
export const snowshed: StructureKind = {
  id: "snowshed",
  name: "Snowshed",
  purpose: "Posts, girts and planked roof over a straight or curved track.",
  headline: [{ dimension: "height", words: "from mudsill to peak" }],
  version: 1,
  spec: snowshedSpec,
  Params: SnowshedParams,
  home: "front",
  initial: () => ({ ...defaultsOf(snowshedSpec) }),
  starts: [
    { name: "Straight snowshed", params: {} },
    { name: "Snowshed on a curve", params: { curve: "degree" } },
  ],
  check: (p, context) => check(p as SnowshedValues, context),
  shown: (p, path) => shown(p as SnowshedValues, path),
  frame: (p, ctx) => snowshedFrame(p as SnowshedValues, ctx),
  dimensions: (p, ctx) => {
    const v = p as SnowshedValues;
    const l = snowshedLayout(v, ctx);
    const last = l.places.length - 1;
    const y = (left: number): number => l.at(last, 0, left, 0)[1];
    const high = l.mm(v.height);
    const peak = l.capTop + l.k * l.capHalf;
    const straight = v.curve === "none";
    const dims: Dimension[] = [
      {
        id: "clear",
        label: snowshedSpec.clear.label,
        param: "clear",
        value: v.clear,
        unit: "length",
        from: [y(-l.half), 0],
        to: [y(l.half), 0],
        side: "bottom",
        tier: 0,
        handles: straight ? [{ param: "clear", at: [y(l.half), high / 2], axis: [1, 0], gain: 2 }] : [],
      },
      {
        id: "underCap",
        label: snowshedSpec.height.label,
        param: "height",
        value: v.height,
        unit: "length",
        from: [y(-l.half), 0],
        to: [y(-l.half), high],
        side: "left",
        tier: 0,
        handles: straight ? [{ param: "height", at: [y(-l.half), high], axis: [0, 1], gain: 1 }] : [],
      },
      {
        id: "height",
        label: "Mudsill to the peak",
        value: toPrototype(ctx.scale, model(peak)),
        unit: "length",
        from: [y(l.capHalf), 0],
        to: [y(l.capHalf), peak],
        side: "right",
        tier: 0,
        handles: [],
      },
    ];
    const put = (d: Omit<Dimension, "handles" | "unit" | "tier"> & Partial<Pick<Dimension, "unit" | "tier">>): void =>
      void dims.push({ unit: "length", tier: 0, handles: [], ...d });
    put({
      id: "rise",
      label: snowshedSpec.rise.label,
      param: "rise",
      value: v.rise,
      unit: "number",
      from: [y(l.capHalf) / 2, peak],
      to: [y(l.capHalf) / 2, peak],
      side: "top",
    });
    const at = (i: number, left: number, up: number): readonly [number, number, number] => l.at(i, 0, left, up);
    const [first, second, end] = [at(0, -l.half, 0), at(1, -l.half, 0), at(last, -l.half, 0)];
    for (const view of ["side", "plan"] as const) {
      const flat = (p: readonly [number, number, number]): ElevationPoint => (view === "side" ? [p[0], p[2]] : [p[0], p[1]]); // prettier-ignore
      put({ id: `bay-${view}`, label: snowshedSpec.bay.label, param: "bay", value: v.bay, view, from: flat(first), to: flat(second), side: "bottom" }); // prettier-ignore
      put({ id: `over-all-${view}`, label: "All bays", value: v.bay * v.bays, view, from: flat(first), to: flat(end), side: "bottom", tier: 1 }); // prettier-ignore
    }
    put({ id: "side-height", label: snowshedSpec.height.label, param: "height", value: v.height, view: "side", from: [first[0], 0], to: [first[0], high], side: "left" }); // prettier-ignore
    put({ id: "plan-clear", label: snowshedSpec.clear.label, param: "clear", value: v.clear, view: "plan", from: [first[0], first[1]], to: [at(0, l.half, 0)[0], at(0, l.half, 0)[1]], side: "left" }); // prettier-ignore
    if (v.curve !== "none") {
      const by = v.curve === "degree" ? "degree" : v.curve === "radius" ? "radius" : "modelRadius";
      const mid = at(Math.floor(last / 2), l.half, 0);
      put({ id: "curve", label: snowshedSpec[by].label, param: by, value: v[by], unit: by === "radius" ? "length" : "number", view: "plan", from: [mid[0], mid[1]], to: [mid[0], mid[1]], side: "top" }); // prettier-ignore
    }
    return dims;
  },
  centreLine: () => undefined,
  builds: (p, ctx) => {
    const v = p as SnowshedValues;
    const l = snowshedLayout(v, ctx);
    const place = l.places[0]!;
    const frame = {
      id: "frame",
      name: `Frames, ${v.bays + 1} alike`,
      right: place.left,
      up: [0, 0, 1] as const,
      eye: place.along,
      has: (s: { member: { assembly: string; role: string } }) =>
        s.member.assembly === `${ctx.structure}/frame1` && s.member.role !== "mudsill",
    };
    const along = l.places[0]!.along;
    const bay = (side: 1 | -1) => ({
      id: side > 0 ? "wall-left" : "wall-right",
      name: `First bay, ${side > 0 ? "left" : "right"} wall`,
      right: side > 0 ? ([-along[0], -along[1], 0] as const) : along,
      up: [0, 0, 1] as const,
      eye: side > 0 ? place.left : ([-place.left[0], -place.left[1], 0] as const),
      has: (s: { member: { assembly: string; id: string } }) =>
        s.member.assembly === `${ctx.structure}/bay1` &&
        new RegExp(`/(girt|plank)/${side > 0 ? "left" : "right"}`).test(s.member.id),
    });
    const plan = {
      id: "posts",
      name: "Plan of the posts",
      right: [1, 0, 0] as const,
      up: [0, 1, 0] as const,
      eye: [0, 0, 1] as const,
      has: (s: { member: { role: string } }) => s.member.role === "post" || s.member.role === "mudsill",
    };
    return [frame, plan, bay(1), bay(-1)];
  },
  shrinks: {
    length: {
      part: ["bay", "bays"],
      less: (p, n) => {
        const bays = (p.bays as number) - n;
        return bays >= 1 ? { ...p, bays } : undefined;
      },
    },
  },
  about: ({ role }) =>
    /plank|purlin|girt|rafter|king/.test(role) ? ["Walls and roof", "Frames"] : ["Frames", "Track"],
  remarks: (p) => remarks(p as SnowshedValues),
  describe: (p) => {
    const v = p as SnowshedValues;
    return `Snowshed, ${v.bays} bays${v.curve === "none" ? "" : ", curved"}`;
  },
};
