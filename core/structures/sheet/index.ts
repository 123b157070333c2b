import { negate, type Vec3 } from "../../geometry";
import { textureOf, type TextureId } from "../../lumber";
import { feet, inches } from "../../units";
import type { Build, OuterWall, Params, Shrink, StructureKind } from "../kind";
import { defaultsOf } from "../spec";
import { sheetDimensions } from "./dimensions";
import { sheetFrame } from "./frame";
import { guttersOf } from "./gutters";
import { sheetCheck, sheetNotes, sheetRemarks, sheetShown } from "./judgement";
import { onSheetWall, sheetLayout, under } from "./layout";
import { newOpening } from "./newOpening";
import { SheetParams, sheetSpec, type SheetValues } from "./parameters";

const WORDS = { front: "front wall", right: "right end", back: "back wall", left: "left end" } as const;
const ROOFS: Readonly<Record<string, string>> = { gable: "gable roof", shed: "shed roof", flat: "flat roof", none: "roof left off" }; // prettier-ignore
const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

/** A wall made shorter by whole lines of its face that stand upright, or by feet where they lie. */
const wallShrink = (side: "length" | "width"): Shrink => ({
  part: ["line of its face", "lines of its face"],
  less: (p, n) => {
    const v = p as SheetValues;
    const long = v[side] - n * v.facePitch;
    return long >= sheetSpec[side].min ? { ...p, [side]: long } : undefined;
  },
});

/** A building whose walls are stacks of sheet: textured or plain, with or without a core, and a roof of sheet. */
export const sheetBuilding: StructureKind = {
  id: "sheet",
  name: "Building of sheet",
  purpose: "Walls of textured or plain sheet in layers, with or without a core, and a roof of sheet.",
  headline: [{ dimension: "peak", words: "from floor to peak" }],
  stiffenedBy: "its corners",
  version: 4,
  spec: sheetSpec,
  Params: SheetParams,
  home: "side",
  initial: () => ({ ...defaultsOf(sheetSpec) }),
  starts: [
    { name: "House of clapboard sheet", params: {} },
    { name: "Corrugated iron shed", params: { face: "corrugated", facePitch: inches(2.67), roof: "shed", rise: 3, core: "none", corner: "mitre" } }, // prettier-ignore
    { name: "Brick-faced block, flat roof", params: { face: "brick", facePitch: inches(2.75), core: "core/3", corner: "ends", roof: "flat", wallHeight: feet(24), length: feet(30), width: feet(40) } }, // prettier-ignore
  ],
  check: (p, ctx) => sheetCheck(p as SheetValues, ctx),
  shown: (p, path) => sheetShown(p as SheetValues, path),
  frame: (p, ctx) => sheetFrame(p as SheetValues, ctx),
  dimensions: (p, ctx) => sheetDimensions(p as SheetValues, ctx),
  centreLine: () => undefined,
  builds: (p, ctx) => {
    const l = sheetLayout(p as SheetValues, ctx);
    const out: Build[] = [];
    for (const w of l.walls)
      for (const { name } of l.layers) {
        // a face is laid out from outside; what lies behind it, like it, so that the outlines may be compared
        out.push({ id: `${w.name}-${name}`, name: `${capital(WORDS[w.name])}, ${name}`, right: w.e, up: [0, 0, 1], eye: w.n, has: (s) => s.member.id === `${ctx.structure}/${w.name}/${name}` }); // prettier-ignore
      }
    // what is glued to a wall's inside before it meets the others, on its inmost layer
    l.walls.forEach((w, n) => {
      const corner = `${w.name}-${l.walls[(n + 1) % 4]!.name}`;
      const own = new Set([`${w.name}/${l.layers.at(-1)!.name}`, ...[1, 2, 3, 4, 5, 6].map((n) => `${w.name}/splice${n}`), `corner-block/${corner}`, `corner-post/${corner}`, `roof/ledge/${w.name}`].map((x) => `${ctx.structure}/${x}`)); // prettier-ignore
      out.push({ id: `${w.name}-inside`, name: `${capital(WORDS[w.name])}, from inside`, right: negate(w.e), up: [0, 0, 1], eye: negate(w.n), has: (s) => own.has(s.member.id) }); // prettier-ignore
    });
    const c = 1 / Math.hypot(1, l.k);
    const slope = (side: "front" | "back"): { right: Vec3; up: Vec3; eye: Vec3 } => {
      const sign = side === "front" ? 1 : -1;
      return { right: [sign, 0, 0], up: [0, sign * c, l.k * c], eye: [0, -sign * l.k * c, c] };
    };
    for (const side of ["front", "back"] as const)
      out.push({ id: `roof-${side}`, name: `Roof, ${side === "front" && l.v.roof === "shed" ? "" : `${side} `}slope`, ...slope(side), has: (s) => s.member.id === `${ctx.structure}/roof/${side}` }); // prettier-ignore
    for (const g of guttersOf(l, ctx))
      g.at.forEach((_, i) => {
        // from the wall's left end, the wall at the right
        out.push({ id: `pipe-${g.wall.name}-${i + 1}`, name: `Downpipe ${i + 1} of the ${g.wall.name}, from the left`, right: negate(g.wall.n), up: [0, 0, 1], eye: negate(g.wall.e), has: (s) => s.member.assembly === `${ctx.structure}/gutter/${g.wall.name}/pipe${i + 1}` }); // prettier-ignore
      });
    out.push({ id: "roof-flat", name: "Roof", right: [1, 0, 0], up: [0, 1, 0], eye: [0, 0, 1], has: (s) => s.member.id === `${ctx.structure}/roof/sheet` }); // prettier-ignore
    return out;
  },
  remarks: (p, ctx) => sheetRemarks(p as SheetValues, ctx),
  notes: (p, noted) => sheetNotes(p as SheetValues, noted),
  outerWalls: (p, ctx) => {
    const l = sheetLayout(p as SheetValues, ctx);
    return l.walls.map((w): OuterWall => {
      const top = w.long ? under(l, w.name === "front" ? -l.wide / 2 : l.wide / 2) : Math.min(under(l, -l.wide / 2), under(l, l.wide / 2)); // prettier-ignore
      return {
        name: WORDS[w.name],
        from: onSheetWall(w, 0, 0, w.foot),
        along: w.e,
        out: w.n,
        length: w.length,
        height: top - w.foot,
        inside: { side: w.name, behind: l.stack },
        openings: w.gaps.map((g) => ({ ...g, name: g.name.replace("opening", "Opening "), sill: g.sill - w.foot, head: g.head - w.foot })), // prettier-ignore
      };
    });
  },
  newRow: (p, path) => newOpening(p as SheetValues, path),
  shrinks: { length: wallShrink("length"), depth: wallShrink("width") },
  about: ({ id }) => {
    const [, place] = id.split("/");
    const opening = /^opening(\d+)$/.exec(place ?? "");
    if (opening) return [`openings.${Number(opening[1]) - 1}`, "Windows and doors in layers", "Masonry"];
    if (place === "gutter") return ["Gutters and downpipes"];
    const band = /^band(\d+)$/.exec(place ?? "");
    if (band) return [`bands.${Number(band[1]) - 1}`, "Bands and cornices"];
    const chimney = /^chimney(\d+)$/.exec(place ?? "");
    if (chimney) return [`chimneys.${Number(chimney[1]) - 1}`, "Chimneys"];
    if (place === "cover") return ["Roof cover"];
    if (place === "trim") return ["Trim"];
    if (place === "quoins" || place === "coping") return ["Masonry"];
    return place === "roof" ? ["Roof"] : place?.startsWith("corner-") ? ["Corners"] : ["Layers", "Openings", "Plan"];
  },
  follow: (p, path) => {
    const [table, n, key] = path.split(".");
    const v = p as SheetValues;
    const row = v.openings[Number(n)];
    if (table !== "openings" || key !== "kind" || !row) return undefined;
    const sill = row.kind === "door" ? 0 : row.sill === 0 ? inches(30) : row.sill;
    if (sill === row.sill) return undefined;
    return { ...v, openings: v.openings.map((o, i) => (i === Number(n) ? { ...o, sill } : o)) } as Params;
  },
  describe: (p) => {
    const v = p as SheetValues;
    const face = v.face === "none" ? "plain sheet" : textureOf(v.face as TextureId).name;
    return `Building of sheet, ${face}, ${ROOFS[v.roof]}`;
  },
};
