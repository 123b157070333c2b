import type { Build, StructureKind } from "../kind";
import { feet, inches } from "../../units";
import { negate } from "../../geometry";
import { defaultsOf } from "../spec";
import { canopyDimensions } from "./dimensions";
import { canopyFrame } from "./frame";
import { canopyCheck, canopyRemarks, canopyShown } from "./judgement";
import { canopyLayout, outwards, upwards } from "./layout";
import { CanopyParams, canopySpec, type CanopyValues } from "./parameters";

const HELD: Readonly<Record<string, string>> = { rods: "hung from rods", brackets: "on brackets", posts: "on posts", wall: "from the wall" }; // prettier-ignore

/** A canopy or awning on a wall: a board of sheet with built-up edges, frames of strip under it, rods, brackets or posts. */
export const canopy: StructureKind = {
  id: "canopy",
  name: "Canopy or awning",
  purpose: "A board with its edges and frames on a wall, held by rods, brackets or posts, with or without a building.",
  headline: [{ dimension: "side-length", words: "long" }],
  version: 1,
  spec: canopySpec,
  Params: CanopyParams,
  home: "side",
  initial: () => ({ ...defaultsOf(canopySpec) }),
  starts: [
    { name: "Canopy on rods", params: {} },
    { name: "Awning on brackets", params: { held: "brackets", length: feet(16), depth: feet(5), fall: 4, height: feet(9), edges: "front", edgeBacking: "none", edgeHigh: inches(8), bracketFall: feet(3.5) } }, // prettier-ignore
    { name: "Canopy on posts with lights", params: { held: "posts", length: feet(40), depth: feet(10), lights: 6, lightMargin: feet(4), lightOut: feet(5), frames: 5, fall: 0.5 } }, // prettier-ignore
  ],
  check: (p, ctx) => canopyCheck(p as CanopyValues, ctx),
  shown: (p, path) => canopyShown(p as CanopyValues, path),
  frame: (p, ctx) => canopyFrame(p as CanopyValues, ctx),
  dimensions: (p, ctx) => canopyDimensions(p as CanopyValues, ctx),
  centreLine: () => undefined,
  builds: (p, ctx) => {
    const l = canopyLayout(p as CanopyValues, ctx);
    const s = ctx.structure;
    const [out, up] = [outwards(l), upwards(l)];
    const of = (part: string) => (id: string) => id.startsWith(`${s}/${part}`);
    const builds: Build[] = [
      { id: "board", name: "Board", right: [1, 0, 0], up: negate(out), eye: up, has: (k) => k.member.id === `${s}/board` }, // prettier-ignore
      { id: "below", name: "Board with its ribs, from below", right: [-1, 0, 0], up: negate(out), eye: negate(up), has: (k) => of("board")(k.member.id) || (l.k === 0 && of("ledger")(k.member.id)) || /\/rib$/.test(k.member.id) }, // prettier-ignore
    ];
    if (l.k > 0) builds.push({ id: "ledger", name: "Ledger", right: [1, 0, 0], up: [0, 0, 1], eye: [0, -1, 0], has: (k) => of("ledger")(k.member.id) }); // prettier-ignore
    l.frames.forEach((_, i) => builds.push({ id: `frame${i + 1}`, name: `Frame ${i + 1}, from the right end`, right: [0, 1, 0], up: [0, 0, 1], eye: [1, 0, 0], has: (k) => of(`frame${i + 1}/`)(k.member.id) })); // prettier-ignore
    return builds;
  },
  newRow: (p, path) => {
    const v = p as CanopyValues;
    if (path !== "columns") return undefined;
    // between two frames, in the middle of a bay that has none yet
    const bay = (v.length - 2 * v.margin) / Math.max(1, v.frames - 1);
    const places = Array.from({ length: v.frames - 1 }, (_, i) => v.margin + (i + 0.5) * bay);
    const at = places.find((x) => v.columns.every((c) => Math.abs(c.at - x) > c.width)) ?? v.length / 2;
    return { ...(v.columns.at(-1) ?? { width: feet(1), deep: inches(6) }), at };
  },
  remarks: (p, ctx) => canopyRemarks(p as CanopyValues, ctx),
  shrinks: {
    length: {
      part: ["foot of its length", "feet of its length"],
      less: (p, n) => {
        const length = (p.length as number) - n * feet(1);
        return length >= canopySpec.length.min ? { ...p, length } : undefined;
      },
    },
    depth: {
      part: ["half foot of its depth", "half feet of its depth"],
      less: (p, n) => {
        const depth = (p.depth as number) - n * feet(0.5);
        return depth >= canopySpec.depth.min ? { ...p, depth } : undefined;
      },
    },
  },
  about: ({ id }) => {
    const [, part] = id.split("/");
    return part === "board" ? ["Board", "Lights", "Columns"] : /^(front|left|right)/.test(part ?? "") ? ["Edges"] : ["Frames"]; // prettier-ignore
  },
  describe: (p) => {
    const v = p as CanopyValues;
    return `Canopy ${HELD[v.held]}, ${v.frames} frames${v.lights > 0 ? `, ${v.lights} ${v.lights === 1 ? "light" : "lights"}` : ""}`; // prettier-ignore
  },
};
