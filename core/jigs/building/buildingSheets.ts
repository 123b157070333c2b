import { boundsOfDrawing, line, outline, rectangle, text, type Drawing, type Entity } from "../../drawing";
import type { Piece, Resolved } from "../../frame";
import { clipPolygon, dot, polygonArea, type Vec2, type Vec3 } from "../../geometry";
import type { StructureDesign } from "../../job";
import {
  bayShapes,
  baysOf,
  buildingLayout,
  buildsOf,
  facetWords,
  facetsOf,
  coverHoles,
  interruptionsOf,
  raisedOf,
  trueShape,
  type BuildingBuild,
  wallsOf,
  type BuildingLayout,
  type BuildingValues,
} from "../../structures";
import { printFeetInches, printMm, toPrototype, model } from "../../units";
import { CARD_MOCKUP, cardNet, type CardModel } from "../cardNet";
import { cardMockup } from "./mockup";
import { cornerShift } from "../buildSheets";
import { template } from "../template";
import type { NamedDrawing } from "../kindSheets";
import { wrapRounds } from "./wrapRound";

/** Gaps closer than this share a spacer block, mm. */
const SAME_GAP = 0.02;

/** The building in card; none where it has no walls. */
export function buildingCard(s: StructureDesign): CardModel | undefined {
  const l = buildingLayout(s.variant.params as unknown as BuildingValues, s.context);
  return l.main.walls.length > 0 ? cardMockup(l) : undefined;
}
/**
 * Everything a building is built on: a template for each wall, floor and slope, rafters in profile with their
 * bird's-mouths, true shapes of the roof with control lines, spacer blocks for clear gaps, gauge strips, corner squares,
 * patterns to wrap round compound cuts, and the card mock-up. Model mm.
 */
export function buildingSheets(s: StructureDesign, pieces: readonly Piece[]): NamedDrawing[] {
  const v = s.variant.params as unknown as BuildingValues;
  const l = buildingLayout(v, s.context);
  const builds = buildsOf(l).filter((b) => s.resolved.sticks.some(b.has));
  const out: NamedDrawing[] = [];
  for (const b of builds) {
    // boards laid close need no template of their own: their true shape and control lines are on another sheet
    if (b.kind === "cover" || b.kind === "planks") continue;
    const face = b.kind === "wall" ? (v.faceUp === "inside" ? ", inside face up" : ", outside face up") : "";
    out.push({ what: `${b.name}${face}`, drawing: buildTemplate(s, pieces, b, l) });
  }
  const profile = rafterProfile(s, pieces, l);
  if (profile) out.push({ what: "rafters in profile", drawing: profile });
  const shapes = roofShapes(l);
  if (shapes) out.push({ what: "true shapes of the roof", drawing: shapes });
  const blocks = spacerBlocks(s, builds, l);
  if (blocks) out.push({ what: "spacer blocks", drawing: blocks });
  out.push({ what: "gauge strips and squares", drawing: gauges(l) });
  const wraps = wrapRounds(s, pieces);
  if (wraps) out.push({ what: "wrap-round patterns", drawing: wraps });
  if (l.main.walls.length > 0) out.push({ what: CARD_MOCKUP, drawing: cardNet(cardMockup(l)) });
  return out;
}

/** Sticks of a build as they lie on the bench, the drawing's lower left corner near 0, 0. */
function buildTemplate(s: StructureDesign, pieces: readonly Piece[], b: BuildingBuild, l: BuildingLayout): Drawing {
  const sticks = s.resolved.sticks.filter(b.has);
  const shift = cornerShift(sticks, b);
  const base = template(s, pieces, { sticks, view: { ...b, id: "side" }, shift, aside: b.kind !== "cladding" });
  if (b.kind !== "wall") return base;
  const wall = wallsOf(l).find((w) => w.name === b.id)!;
  const inside = dot(wall.e, b.right) < 0;
  const s0 = dot(wall.origin, b.right) + shift[0];
  const at = (x: number): number => s0 + (inside ? -x : x);
  const z0 = shift[1];
  // openings with their castings' rough sizes, and a line that keeps all sills level
  const openings = wall.gaps.flatMap((g): Entity[] => {
    const [x0, x1] = [Math.min(at(g.from), at(g.to)), Math.max(at(g.from), at(g.to))];
    return [
      outline(rectangle(x0, g.sill + z0, x1 - x0, g.head - g.sill), "hidden"),
      line([x0, g.sill + z0], [x1, g.head + z0], "thin"),
      line([x0, g.head + z0], [x1, g.sill + z0], "thin"),
      // three short lines, to be read between the jacks
      ...["rough", `${(g.to - g.from).toFixed(2)} ×`, printMm(g.head - g.sill, 2)].map((words, n) =>
        text([(x0 + x1) / 2, (g.sill + g.head) / 2 + z0 + 1.6 - 2.3 * n], words, 1.5, "middle", "label"),
      ),
    ];
  });
  // layout marks: where each upright's middle stands from the left corner
  return { layers: [...base.layers, { name: "openings", entities: openings }] };
}
/** One pair of each sort of rafter seen along the ridge, with the plates it sits on: the template the bird's-mouths are cut by. */
function rafterProfile(s: StructureDesign, pieces: readonly Piece[], l: BuildingLayout): Drawing | undefined {
  const { main } = l;
  const root = `${s.structure.id}/main/roof`;
  const own = s.resolved.sticks.filter(
    (k) => /common rafter|upper rafter|roof joist/.test(k.member.role) && k.id.startsWith(root),
  );
  if (own.length === 0) return undefined;
  const along: Vec3 = main.place.quarters % 2 === 0 ? [1, 0, 0] : [0, 1, 0];
  const at = (k: Resolved): number => dot(k.axes.origin, along);
  const sides = own.filter((k) => /\/(S|N)\//.test(k.id));
  if (sides.length === 0) return undefined;
  // a pair from the middle, where nothing is special: no opening parts it, no valley takes one of the two
  const parted = new Set(sides.filter((k) => k.id.endsWith("-over")).map((k) => at(k).toFixed(4)));
  const all = [...new Set(sides.map((k) => at(k).toFixed(4)))];
  const whole = all.filter((p) => !parted.has(p));
  const rising = (p: string): number => new Set(sides.filter((k) => at(k).toFixed(4) === p).map((k) => /\/S\//.test(k.id))).size; // prettier-ignore
  const most = Math.max(...whole.map(rising));
  const pairs = whole.filter((p) => rising(p) === most);
  const places = (pairs.length > 0 ? pairs : all).sort((a, b) => Number(a) - Number(b));
  const middle = Number(places[places.length >> 1]);
  const pair = sides.filter((k) => Math.abs(at(k) - middle) < 1e-3);
  const with_ = s.resolved.sticks.filter(
    (k) =>
      pair.includes(k) ||
      k.id === `${root}/ridge` ||
      (/\/(collar|ceiling)\//.test(k.id) && Math.abs(at(k) - middle) < 4 * k.size[1]) ||
      (/top plate/.test(k.member.role) &&
        main.walls.some((w) => w.through && k.id.startsWith(`${s.structure.id}/${w.name}/`))),
  );
  const right: Vec3 = main.place.quarters % 2 === 0 ? [0, 1, 0] : [-1, 0, 0];
  const view = { id: "side" as const, right, up: [0, 0, 1] as const, eye: along };
  return template(s, pieces, { sticks: with_, view, shift: cornerShift(with_, view) });
}

/** A slope laid flat, with what opens in it. */
interface Flat {
  readonly words: string;
  readonly shape: readonly Vec2[];
  readonly holes: readonly (readonly Vec2[])[];
}
/** Every slope of a building: of its parts, of what stands on its roof, of its bays. */
function flatSlopes(l: BuildingLayout): Flat[] {
  const cuts = interruptionsOf(l);
  const parts = [...l.parts, ...raisedOf(l)].flatMap((part) =>
    facetsOf(l, part, part === l.main ? cuts : []).map((f): Flat => {
      const up = Math.hypot(1, f.slope.k);
      const holes = part === l.main ? coverHoles(l).filter((h) => h.side === f.slope.side) : [];
      return {
        words: facetWords(part, f),
        shape: trueShape(f).outline,
        holes: holes.map((h) => {
          const [y0, y1] = h.inward.map((i) => (Math.min(i, f.to) - f.from) * up) as [number, number];
          return rectangle(h.x[0], y0, h.x[1] - h.x[0], y1 - y0);
        }),
      };
    }),
  );
  const names = ["left", "front", "right"];
  const bays = baysOf(l).flatMap((bay) =>
    bayShapes(bay).map((shape, i): Flat => ({
      words: `Bay ${bay.name.slice(4)}, ${names[i]!} slope`,
      shape,
      holes: [],
    })),
  );
  return [...parts, ...bays].filter((x) => x.shape.length >= 3);
}
/** Each slope of the roof laid flat: its outline and openings, and control lines for shingles or seams. */
function roofShapes(l: BuildingLayout): Drawing | undefined {
  const entities: Entity[] = [];
  const lines: Entity[] = [];
  let y = 0;
  flatSlopes(l).forEach(({ words, shape, holes }, i) => {
    const xs = shape.map((p) => p[0]);
    const ys = shape.map((p) => p[1]);
    const [x0, y0, y1] = [Math.min(...xs), Math.min(...ys), Math.max(...ys)];
    y -= y1 - y0 + 12;
    const put = (p: Vec2): Vec2 => [p[0] - x0, p[1] - y0 + y];
    entities.push(outline(shape.map(put), "outline"), ...holes.map((h) => outline(h.map(put), "outline")));
    const area = Math.abs(polygonArea(shape));
    entities.push(
      text(
        [put([x0, 0])[0], y - 3.2],
        `${i + 1}. ${words}: ${printMm(y1 - y0, 2)} up the slope · ${(area / 100).toFixed(1)} cm²`,
        2.2,
        "start",
        "label",
      ),
    );
    // every sixth course, or seams a foot and a half apart
    const step = l.mm(l.v.shingle) * 6;
    for (let d = step; d < y1 - y0 - 1e-6; d += step) {
      const strip = clipPolygon(shape, [
        [x0 - 1, y0 + d],
        [Math.max(...xs) + 1, y0 + d],
        [Math.max(...xs) + 1, y0 + d + 1e-4],
        [x0 - 1, y0 + d + 1e-4],
      ]);
      if (strip.length < 2) continue;
      const sx = strip.map((p) => p[0]);
      lines.push(line(put([Math.min(...sx), y0 + d]), put([Math.max(...sx), y0 + d]), "thin"));
    }
  });
  if (entities.length === 0) return undefined;
  return {
    layers: [
      { name: "roof-shapes", entities },
      { name: "control-lines", entities: lines },
    ],
  };
}

/** A block for each clear gap between uprights, joists and rafters that stand side by side, with how often it comes. */
function spacerBlocks(s: StructureDesign, builds: readonly BuildingBuild[], l: BuildingLayout): Drawing | undefined {
  const found: { gap: number; count: number; where: Set<string> }[] = [];
  for (const b of builds) {
    if (b.kind !== "wall" && b.kind !== "floor") continue;
    // what stands square to one direction of the build, in its order
    const sticks = s.resolved.sticks
      .filter(b.has)
      .filter((k) =>
        /^(stud|king stud|post|corner post|opening post|joist|end joist|roof joist|deck joist)$/.test(k.member.role),
      );
    const across: Vec3 =
      b.kind === "wall" ? b.right : Math.abs(dot(sticks[0]?.axes.u ?? [0, 1, 0], b.right)) > 0.5 ? b.up : b.right;
    const spans = sticks
      .map((k) => {
        const xs = k.parts.flatMap((p) => p.faces.flatMap((f) => f.corners.map((c) => dot(c, across))));
        return [Math.min(...xs), Math.max(...xs)] as const;
      })
      .sort((m, n) => m[0] - n[0]);
    spans.slice(1).forEach((n, i) => {
      const gap = n[0] - spans[i]![1];
      if (gap < 0.5) return;
      const same = found.find((f) => Math.abs(f.gap - gap) < SAME_GAP);
      if (same) {
        same.count++;
        same.where.add(b.name);
      } else found.push({ gap, count: 1, where: new Set([b.name]) });
    });
  }
  if (found.length === 0) return undefined;
  let y = 0;
  // the gaps that come again and again are worth a block; the rest are measured off the template
  const entities = found
    .filter((f) => f.count > 1)
    .sort((m, n) => n.count - m.count)
    .slice(0, 24)
    .flatMap((f): Entity[] => {
      y -= 13;
      return [
        outline(rectangle(0, y, f.gap, 8), "outline", "timber"),
        text([f.gap + 3, y + 4.6], `${printMm(f.gap, 2)} · ${f.count} gaps`, 2.4, "start", "label"),
        text(
          [f.gap + 3, y + 1],
          `${printFeetInches(toPrototype(l.ctx.scale, model(f.gap)))} clear: ${[...f.where].slice(0, 3).join("; ")}${f.where.size > 3 ? " …" : ""}`,
          1.9,
        ),
      ];
    });
  return entities.length > 0 ? { layers: [{ name: "spacer-blocks", entities }] } : undefined;
}

/** Strips as wide as an exposure, a reveal or a tail, and squares for corners of both hands. */
function gauges(l: BuildingLayout): Drawing {
  const { v, t } = l;
  const strips: (readonly [string, number])[] = [
    ...(v.siding === "clapboard" ? [["clapboard exposure", l.mm(v.exposure)] as const] : []),
    ...(v.siding === "batten" ? [["between battens", t.siding.v - t.batten.v] as const] : []),
    ["shingle exposure", l.mm(v.shingle)],
    ...(v.overhang > 0 && v.roof !== "flat" && v.roof !== "none"
      ? [["overhang at the eaves", l.mm(v.overhang)] as const]
      : []),
    ...(v.gableOverhang > 0 && l.main.slopes.N && !l.main.slopes.E
      ? [["overhang at the gables", l.mm(v.gableOverhang)] as const]
      : []),
    ...(v.casings ? [["casing", t.casing.v] as const] : []),
    ["thickness of the framing", l.wall],
    ...(l.clad > 0 ? [["framing and cladding", l.wall + l.clad] as const] : []),
  ];
  let y = 0;
  const entities = strips.flatMap(([name, wide]): Entity[] => {
    y -= wide + 6;
    return [
      outline(rectangle(0, y, 60, wide), "outline", "timber"),
      text([63, y + wide / 2 - 1], `${name}: ${printMm(wide, 2)}`, 2.2, "start", "label"),
    ];
  });
  const foot = y - 48;
  const square = (x: number): Entity[] => [
    outline(
      [
        [x, foot],
        [x + 40, foot],
        [x, foot + 40],
      ],
      "outline",
    ),
    text([x + 6, foot + 6], "square", 2, "start"),
  ];
  const { min } = boundsOfDrawing({ layers: [{ name: "x", entities }] });
  return {
    layers: [
      { name: "gauge-strips", entities },
      { name: "squares", entities: [...square(min[0]), ...square(min[0] + 50)] },
    ],
  };
}
