import { evenly } from "../../carpentry";
import type { Frame } from "../../frame";
import { planeAt, type Vec2, type Vec3 } from "../../geometry";
import { USUAL_SHEET } from "../../lumber";
import { builder, type Builder } from "../builder";
import { layFlight } from "../flightSticks";
import type { Context } from "../kind";
import { panelMember, rectangleOf } from "../panel";
import { placed, quartersOf } from "../place";
import { touching } from "../touching";
import { beam, column } from "./builtUp";
import { handed, type Hand } from "./hand";
import { flightOf, partedAt, platformLayout, seamsOf, type PlatformLayout } from "./layout";
import { SIDES, type PlatformValues } from "./parameters";
import { railing } from "./railing";

/**
 * Everything of a platform from the ground up: base plates, columns, a girder across on every pair, stringers along, the
 * deck with its covered edges, railings with their gates, stairs that land on it, a shelter on formers; and of a pair all
 * of it again, mirrored across the track. Heights follow from the top of the deck: 15 ft less .040 in of deck, 15 in of
 * stringer, 20 in of girder and .040 of base plate leave a column of HO 52.50 − 1.016 − 4.375 − 5.833 − 1.016 = 40.26 mm. Model mm.
 */
export function platformFrame(v: PlatformValues, ctx: Context): Frame {
  const l = platformLayout(v, ctx);
  const b = builder(ctx.structure);
  b.datums.deck = planeAt([0, 0, l.top], [0, 0, 1]);
  if (!v.pair) platform(b, l, handed(b, ctx.structure, ctx.structure, -l.deep / 2, 1), ctx);
  else {
    const out = l.mm(v.between) / 2;
    // both turn their front to the track between them
    platform(b, l, handed(b, ctx.structure, `${ctx.structure}/first`, out, 1), ctx);
    platform(b, l, handed(b, ctx.structure, `${ctx.structure}/second`, -out, -1), ctx);
  }
  return b.frame();
}
/** What runs the platform's length, in parts that come out of sheets as they are sold. */
const partsOf = (l: PlatformLayout, avoid?: readonly number[]) => partedAt(l.bents, -l.long / 2, l.long / 2, USUAL_SHEET, avoid); // prettier-ignore
function platform(b: Builder, l: PlatformLayout, hand: Hand, ctx: Context): void {
  const girders = l.bents.map((p, i) => bent(b, l, hand, p, i));
  const stringers = l.stringers.map((q, i) => {
    const web = partsOf(l);
    const made = beam(b, hand, {
      id: `stringer${i + 1}`,
      assembly: `stringer${i + 1}`,
      name: "stringer",
      letters: ["SF", "SW"],
      section: l.stringer,
      flange: l.sheet.flange,
      web: l.sheet.web,
      along: "p",
      parts: { web, flange: partsOf(l, seamsOf(web)) },
      middle: q,
      under: l.under.stringer,
    });
    for (const low of made.bottom) for (const g of girders.flat()) b.join(touching(low, g, "-w", "+w"));
    return made;
  });
  const deck = l.v.deck === "sheet" ? deckOfSheet(b, l, hand) : deckOfPlanks(b, l, hand);
  for (const d of deck) for (const s of stringers.flatMap((x) => x.top)) b.join(touching(d, s, "-w", "+w"));
  const covers = edges(b, l, hand, deck);
  for (const side of SIDES) if (l.railed[side]) railing(b, l, hand, side, { deck, covers });
  flights(b, l, hand);
  shelter(b, l, hand, deck, ctx);
}
/** The columns of one place and the girder on them; gives the girder's upper flanges. */
function bent(b: Builder, l: PlatformLayout, hand: Hand, p: number, i: number): readonly string[] {
  const assembly = `bent${i + 1}`;
  const { flange, web, base } = l.sheet;
  const girder = beam(b, hand, {
    id: `${assembly}/girder`,
    assembly,
    name: "girder",
    letters: ["GF", "GW"],
    section: l.girder,
    flange,
    web,
    along: "q",
    parts: { web: [l.reach], flange: [l.reach] },
    middle: p,
    under: l.under.girder,
  });
  l.columns.forEach((q, k) => {
    const id = `${assembly}/column${k + 1}`;
    const plates = column(b, hand, { id, assembly, section: l.column, flange, web, p, q, z: [l.foot, l.under.girder], grounded: !base }); // prettier-ignore
    for (const c of plates) for (const g of girder.bottom) b.join(touching(c, g, "e2", "-w"));
    if (!base) return;
    const [x, y] = [l.column.wide / 2 + l.mm(l.v.baseOver), l.column.high / 2 + l.mm(l.v.baseOver)];
    const plate = hand.plate({ id: `${id}/base`, assembly, role: "base plate", letter: "BP", item: base, p: [p - x, p + x], q: [q - y, q + y], z: [0, base.thickness], thin: "z", grounded: true }); // prettier-ignore
    for (const c of plates) b.join(touching(c, plate, "e0", "+w"));
  });
  return girder.top;
}
/** What of the depth the covered edges leave for the deck. */
const deckReach = (l: PlatformLayout): readonly [number, number] => {
  const t = l.sheet.edge?.thickness ?? 0;
  return [t, l.deep - t];
};
/** How far a splice plate reaches past a seam, on either side of it, by the thickness of the sheet: common practice. */
const SPLICE = 4;
/** The deck of sheet, in lengths that come out of sheets as sold; under each seam plates between the stringers hold both. */
function deckOfSheet(b: Builder, l: PlatformLayout, hand: Hand): string[] {
  const item = l.sheet.deckSheet;
  const q = deckReach(l);
  const seed = { assembly: "deck", item, thin: "z" as const };
  const parts = partsOf(l);
  const deck = parts.map((p, i) => hand.plate({ ...seed, id: parts.length > 1 ? `deck${i + 1}` : "deck", role: "deck", letter: "DK", p, q, z: [l.under.deck, l.top] })); // prettier-ignore
  // a plate as thick as the deck where the stringers leave room for it over the girders
  const behind = item.thickness < l.stringer.high ? item : l.sheet.flange;
  const half = SPLICE * behind.thickness;
  parts.slice(1).forEach(([seam], i) => {
    const stops = [q[0], ...l.stringers.flatMap((s) => [s - l.stringer.wide / 2, s + l.stringer.wide / 2]), q[1]];
    for (let k = 0; k < stops.length; k += 2) {
      const [from, to] = [stops[k]!, stops[k + 1]!];
      if (to - from < 1) continue;
      const plate = hand.plate({ ...seed, item: behind, id: `splice${i + 1}-${k / 2 + 1}`, role: "splice plate", letter: "SP", p: [seam - half, seam + half], q: [from, to], z: [l.under.deck - behind.thickness, l.under.deck] }); // prettier-ignore
      for (const d of [deck[i]!, deck[i + 1]!]) b.join(touching(plate, d, "+w", "-w"));
    }
  });
  return deck;
}
/** Middles of the planks along the platform: as many as have room with the least gap, spread evenly from end to end. */
export function planksAt(l: PlatformLayout): number[] {
  const wide = l.timber.plank.v;
  const n = Math.max(2, Math.floor((l.long + l.mm(l.v.plankGap)) / (wide + l.mm(l.v.plankGap)) + 1e-9));
  return evenly(l.long, n, wide, 0).at.map((x) => x - l.long / 2);
}
function deckOfPlanks(b: Builder, l: PlatformLayout, hand: Hand): string[] {
  const t = l.timber.plank;
  const [near, far] = deckReach(l);
  const z = l.under.deck + t.w / 2;
  return planksAt(l).map((p, i) => {
    // towards smaller y, so that its upper side is the same on both hands
    const ends = [hand.at(p, near, z), hand.at(p, far, z)].sort((m, n) => n[1] - m[1]);
    return b.stick({ id: `${hand.root}/plank${i + 1}`, assembly: `${hand.root}/deck`, role: "deck plank", letter: "DP", timber: t, a: ends[0]!, b: ends[1]!, up: [1, 0, 0], square: true }).id; // prettier-ignore
  });
}
const LONG_SIDES = [["front", 1], ["back", -1]] as const; // prettier-ignore
/** What covers both long edges, from the top of the deck down; its seams lie elsewhere than the deck's. Gives the covers' ids. */
function edges(b: Builder, l: PlatformLayout, hand: Hand, deck: readonly string[]): string[] {
  const item = l.sheet.edge;
  if (!item) return [];
  const z = [l.top - edgeHigh(l), l.top] as const;
  const parts = partsOf(l, seamsOf(partsOf(l)));
  return LONG_SIDES.flatMap(([name, side]) => {
    const q = side > 0 ? ([0, item.thickness] as const) : ([l.deep - item.thickness, l.deep] as const);
    return parts.map((p, i) => {
      const id = hand.plate({ id: `edge-${name}${parts.length > 1 ? i + 1 : ""}`, assembly: "edges", role: "edge facing", letter: "EF", item, p, q, z, thin: "q" }); // prettier-ignore
      const meets = l.v.deck === "sheet" ? [hand.edge(side > 0 ? -1 : 1, "z")] : (["end0", "end1"] as const);
      for (const d of deck) for (const face of meets) b.join(touching(d, id, face, hand.across(side)));
      return id;
    });
  });
}
/** How high a covered edge is: as asked, and no lower than the deck is thick. */
export const edgeHigh = (l: PlatformLayout): number => Math.max(l.mm(l.v.edgeHigh), l.deckThick);

function flights(b: Builder, l: PlatformLayout, hand: Hand): void {
  const { v, mm } = l;
  const made = { mm, t: { tread: l.timber.tread, stringer: l.timber.stairStringer, rail: l.timber.railBar } };
  v.stairs.forEach((row, i) => {
    const line = l.sides[row.side as keyof typeof l.sides];
    const f = flightOf(v, row);
    const at = mm(row.at);
    const [x, y] = hand.at(line.from[0] + line.right[0] * at, line.from[1] + line.right[1] * at, 0);
    // a flight's own axes run up across it: inwards is their second
    const inward = hand.dir(...line.inward);
    const quarters = quartersOf([inward[1], -inward[0], 0]);
    layFlight(b, made, placed(b, { quarters, at: [x, y] }), { root: `${hand.root}/stair${i + 1}`, half: mm(row.width) / 2, q0: 0, ground: 0, f, rail: row.rail }); // prettier-ignore
  });
}
/** Heights of a former at its ends and in the middle, from its lower edge. */
export function formerHeights(l: PlatformLayout): readonly [ends: number, middle: number] {
  const least = l.mm(l.v.formerLeast);
  const rise = ((l.v.slope / 12) * l.mm(l.v.roofWide)) / 2;
  return l.v.shelter === "gable" ? [least, least + rise] : l.v.shelter === "butterfly" ? [least + rise, least] : [least, least]; // prettier-ignore
}
/** Posts on the deck, a former of sheet on each place that has them, and the roof on the formers: one sheet, or two that meet plumb in the middle. */
function shelter(b: Builder, l: PlatformLayout, hand: Hand, deck: readonly string[], ctx: Context): void {
  if (l.sheltered.length === 0) return;
  const { v, mm, timber } = l;
  const t = l.sheet.former.thickness;
  const z0 = l.top + mm(v.shelterHigh);
  const half = mm(v.roofWide) / 2;
  const middle = hand.at(0, l.deep / 2, 0)[1];
  const [ends, mid] = formerHeights(l);
  const flat = v.shelter === "flat";
  const [low, eaves, top] = [z0, z0 + ends, z0 + mid];
  // a butterfly's are two brackets that meet in the middle
  const shapes: readonly { readonly name: string; readonly outline: readonly Vec2[] }[] = flat
    ? [{ name: "former", outline: rectangleOf([middle - half, middle + half], [low, eaves]) }]
    : v.shelter === "gable"
      ? [{ name: "former", outline: [[middle - half, low], [middle + half, low], [middle + half, eaves], [middle, top], [middle - half, eaves]] }] // prettier-ignore
      : [
          {
            name: "former-a",
            outline: [
              [middle - half, low],
              [middle, low],
              [middle, top],
              [middle - half, eaves],
            ],
          },
          {
            name: "former-b",
            outline: [
              [middle, low],
              [middle + half, low],
              [middle + half, eaves],
              [middle, top],
            ],
          },
        ];
  const formers = l.sheltered.flatMap((p, i) => {
    const assembly = `${hand.root}/shelter${i + 1}`;
    const made = shapes.map((x) => b.add(panelMember(ctx.structure, { id: `${assembly}/${x.name}`, assembly, role: "former", letter: "FM", origin: [p - t / 2, 0, 0], u: [0, 1, 0], v: [0, 0, 1], outline: x.outline, thickness: t, stock: l.sheet.former.id })).id); // prettier-ignore
    if (made.length > 1) b.join(touching(made[0]!, made[1]!, "e1", "e3"));
    l.posts.forEach((q, k) => {
      const post = b.stick({ id: `${assembly}/post${k + 1}`, assembly, role: "shelter post", letter: "P", timber: timber.shelterPost, a: hand.at(p, q, l.top), b: hand.at(p, q, z0), up: [0, 1, 0], square: true }).id; // prettier-ignore
      for (const d of deck) b.join(touching(post, d, "end0", "+w"));
      for (const f of made) b.join(touching(post, f, "end1", "e0"));
    });
    return made;
  });
  const reach = [l.sheltered[0]! - t / 2 - mm(v.roofOver), l.sheltered.at(-1)! + t / 2 + mm(v.roofOver)] as const;
  const parts = partedAt(l.sheltered, ...reach, USUAL_SHEET);
  const k = (mid - ends) / half;
  const [cos, sin] = [1 / Math.hypot(1, k), k / Math.hypot(1, k)];
  const deg = (Math.atan(k) * 180) / Math.PI;
  const seed = { assembly: `${hand.root}/roof`, role: "roof sheet", letter: "RS", thickness: l.sheet.roof.thickness, stock: l.sheet.roof.id }; // prettier-ignore
  parts.forEach(([from, to], i) => {
    const n = parts.length > 1 ? i + 1 : "";
    if (flat) {
      const id = b.add(panelMember(ctx.structure, { ...seed, id: `${hand.root}/roof${n}`, origin: [0, middle, z0 + ends], u: [1, 0, 0], v: [0, 1, 0], outline: [[from, -half], [to, -half], [to, half], [from, half]] })).id; // prettier-ignore
      for (const f of formers) b.join(touching(f, id, "e2", "-w"));
      return;
    }
    const sheets = ([-1, 1] as const).map((side) => {
      // seen from above its outline runs from the eave up to the middle; on the side of greater y it is turned about
      const u: Vec3 = [-side, 0, 0];
      const span = side < 0 ? [from, to] : [-to, -from];
      return b.add(panelMember(ctx.structure, { ...seed, id: `${hand.root}/roof-${side < 0 ? "a" : "b"}${n}`, origin: [0, middle, z0 + mid], u, v: [0, -side * cos, sin], outline: [[span[0]!, -half / cos], [span[1]!, -half / cos], [span[1]!, 0], [span[0]!, 0]], bevel: [deg, 0, -deg, 0] })).id; // prettier-ignore
    });
    const [onA, onB] = v.shelter === "gable" ? (["e3", "e2"] as const) : (["e2", "e2"] as const);
    for (const f of formers) {
      if (!f.endsWith("-b")) b.join(touching(f, sheets[0]!, onA, "-w"));
      if (!f.endsWith("-a")) b.join(touching(f, sheets[1]!, onB, "-w"));
    }
    b.join(touching(sheets[0]!, sheets[1]!, "e2", "e2"));
  });
}
