import {
  boundsOfDrawing,
  elevation,
  line,
  outline,
  rectangle,
  text,
  type Drawing,
  type Entity,
  type View,
} from "../../drawing";
import { dot, hull, type Vec2, type Vec3 } from "../../geometry";
import { arcBreaks } from "../../frame";
import type { StructureDesign } from "../../job";
import type { Piece } from "../../frame";
import { placeAt } from "../../structures/whole-trestle/alignment";
import { footingsOf } from "../../structures/whole-trestle/footings";
import { trestleLayout, type BentPlace, type TrestleLayout } from "../../structures/whole-trestle/layout";
import type { TrestleValues } from "../../structures/whole-trestle/parameters";
import { model, printFeetInches, printMm, prototype, toPrototype } from "../../units";
import type { NamedDrawing } from "../kindSheets";
import { template } from "../template";

/** Everything a whole trestle is built on: one bent template for all heights, the track board, the ground with its footings, spacer blocks. Model mm. */
export function trestleSheets(s: StructureDesign, pieces: readonly Piece[]): NamedDrawing[] {
  const v = s.variant.params as unknown as TrestleValues;
  const l = trestleLayout(v, s.context);
  return [
    { what: "template, all bents", drawing: masterTemplate(s, pieces, l) },
    { what: "track board, upside down", drawing: trackBoard(v, l) },
    { what: "ground and footings", drawing: groundSheet(s, v, l) },
    { what: "spacer blocks", drawing: spacerBlocks(l) },
  ];
}

/** A bent as it stands, looked at along the track; the middle of its cap's top is at 0, 0. */
function bentView(b: BentPlace): View {
  return { id: "front", right: b.place.left, up: [0, 0, 1], eye: b.place.along };
}

/** The tallest bent, with the line at which every shorter one ends: all have the same top and the same batter. */
function masterTemplate(s: StructureDesign, pieces: readonly Piece[], l: TrestleLayout): Drawing {
  const tallest = l.bents.reduce((a, b) => (b.values.height > a.values.height ? b : a));
  const root = `${s.structure.id}/bent${tallest.number}`;
  const own = s.resolved.sticks.filter(
    (k) => k.member.assembly === root && !/mudsill|pedestal|corbel|shim|bulkhead/.test(k.member.role),
  );
  const view = bentView(tallest);
  const shift: Vec2 = [-dot(tallest.cap, view.right), -tallest.cap[2]];
  const base = template(s, pieces, { sticks: own, view, shift });
  // bents of one height share a line
  const lines = new Map<number, number[]>();
  for (const b of l.bents) {
    const own = l.mm(b.values.height);
    const h = [...lines.keys()].find((x) => Math.abs(x - own) < SAME_LINE) ?? own;
    lines.set(h, [...(lines.get(h) ?? []), b.number]);
  }
  const sill = s.resolved.byMember.get(`${root}/sill`)?.[0]?.size[0] ?? 0;
  const half = Math.max(
    ...elevation(own, view).flatMap((x) => x.outlines.flat().map((p) => Math.abs(p[0] + shift[0]))),
  );
  // words of feet that lie close together step aside, each led to its line
  let last = Infinity;
  const marks = [...lines]
    .sort((p, q) => p[0] - q[0])
    .flatMap(([h, numbers]): Entity[] => {
      const words = `bent${numbers.length > 1 ? "s" : ""} ${numbers.join(", ")}: foot, ${printMm(h, 2)}`;
      const at = (last = Math.min(-h, last - 3.4));
      return [
        ...(numbers.includes(tallest.number)
          ? []
          : [
              line([-half, -h], [half, -h], "hidden"),
              ...(sill > 0 ? [line([-half, -h + sill], [half, -h + sill], "thin")] : []),
            ]),
        line([half, -h], [half + 3, at], "thin"),
        // under its words the line runs on, so that a page is cut beyond them
        line([half + 3, at], [half + 7 + 1.35 * words.length, at], "thin"),
        text([half + 4, at + 0.7], words, 2, "start", "label"),
      ];
    });
  return {
    layers: [
      ...base.layers.filter((x) => x.name !== "parts-list"),
      { name: "sill-lines", entities: marks },
      { name: "heights", entities: heightsTable(s, pieces, l, [-half, -Math.max(...lines.keys()) - 12]) },
    ],
  };
}

/** Feet whose heights differ by less share a line, mm: a pencil's width hides more. */
const SAME_LINE = 0.01;

/** Each bent's height, stories and the marks of its posts, for those who build by number. */
function heightsTable(s: StructureDesign, pieces: readonly Piece[], l: TrestleLayout, at: Vec2): Entity[] {
  const mark = new Map(pieces.flatMap((p) => p.sticks.map((k) => [k, p.mark] as const)));
  const rows = l.bents.map((b) => {
    const root = `${s.structure.id}/bent${b.number}/`;
    const own = s.resolved.sticks.filter((k) => k.id.startsWith(root));
    const marks = (role: RegExp): string =>
      [...new Set(own.filter((k) => role.test(k.member.role)).map((k) => mark.get(k.id) ?? "?"))].join(" ");
    return [
      String(b.number),
      printMm(l.mm(b.values.height), 2),
      String(b.values.stories),
      marks(/post$|pile$/),
      marks(/^(sill|intermediate sill)$/),
      marks(/sway|sash/),
    ];
  });
  const columns = [0, 11, 32, 45, 102, 120];
  const row = (cells: readonly string[], y: number, font: "label" | "text"): Entity[] =>
    cells.map((c, i) => text([at[0] + columns[i]!, y], c, 2, "start", font));
  return [
    ...row(["Bent", "Height", "Stories", "Posts", "Sills", "Braces"], at[1], "label"),
    ...rows.flatMap((r, i) => row(r, at[1] - (i + 1) * 4, "text")),
  ];
}

/** The track from above turned over: the trestle is put together on it upside down, its top on the board. */
function trackBoard(v: TrestleValues, l: TrestleLayout): Drawing {
  // turned over about the track: left becomes right
  const flat = (p: Vec3): Vec2 => [p[0], -p[1]];
  const at = (station: number, y: number): Vec2 => {
    const p = placeAt(l.alignment, station);
    return flat([p.at[0] + p.left[0] * y, p.at[1] + p.left[1] * y, 0]);
  };
  const a = l.alignment;
  const cap = l.timbers.cap.w;
  const k = Math.abs(a.curvature);
  const bends = k === 0 ? [0, a.length] : arcBreaks(0, a.length * k, 1 / k).map((t) => t / k);
  const stations = [-cap, ...bends, a.length + cap];
  const curve = (y: number, style: "centre" | "thin" | "outline"): Entity => ({
    kind: "path",
    points: stations.map((t) => at(t, y)),
    closed: false,
    line: style,
  });
  const straight = (y: number, style: "thin" | "outline"): Entity => ({
    kind: "path",
    points: l.bents.map((b) => flat([b.deck[0] + b.across[0] * y, b.deck[1] + b.across[1] * y, 0])),
    closed: false,
    line: style,
  });
  const half = l.mm(v.tieLength) / 2 + 6;
  const reach = Math.max(...l.packs.map((p) => Math.abs(p.y))) + half / 1.5;
  const bentLines = l.bents.flatMap((b): Entity[] => {
    const k = (y: number, x: number): Vec2 =>
      flat([
        b.deck[0] + b.place.left[0] * y + b.place.along[0] * x,
        b.deck[1] + b.place.left[1] * y + b.place.along[1] * x,
        0,
      ]);
    return [
      line(k(-reach, 0), k(reach, 0), "centre"),
      outline(
        [k(-reach * 0.85, -cap / 2), k(reach * 0.85, -cap / 2), k(reach * 0.85, cap / 2), k(-reach * 0.85, cap / 2)],
        "thin",
      ),
      text(k(reach + 3, 0), `${b.number}`, 3, "middle", "label"),
      text(k(-reach - 4, 0), printMm(b.station, 1), 1.8, "middle"),
    ];
  });
  const edge = l.packWidth / 2;
  const packs = l.packs.flatMap((p) =>
    l.laminated || a.curvature === 0
      ? [curve(p.y - edge, "outline"), curve(p.y + edge, "outline"), curve(p.y, "centre")]
      : [straight(p.y - edge, "outline"), straight(p.y + edge, "outline")],
  );
  // pins on both sides of each chord, every third of a bay: the plies are bent between them
  const pins = l.laminated
    ? l.bents.slice(1).flatMap((b, i) =>
        [1 / 3, 2 / 3].flatMap((f) =>
          l.packs.flatMap((p) =>
            [-1, 1].map((k): Entity => ({
              kind: "circle",
              centre: at(l.bents[i]!.station + (b.station - l.bents[i]!.station) * f, p.y + k * (edge + 0.5)),
              radius: 0.5,
              line: "outline",
            })),
          ),
        ),
      )
    : [];
  const low = boundsOfDrawing({ layers: [{ name: "all", entities: bentLines }] });
  const words = [
    text([0, low.min[1] - 9], "Upside down: the top of the ties lies on the board.", 2.4, "middle", "label"),
    text(
      [0, low.min[1] - 13],
      "Start at both ends and work to the middle; each bent square to the chords and plumb.",
      2.2,
      "middle",
    ),
    line([-2, low.min[1] - 15], [2, low.min[1] - 15], "thin"),
  ];
  return {
    layers: [
      { name: "centre-line", entities: l.tracks.map((y) => curve(y, "centre")) },
      { name: "chord-lines", entities: packs },
      { name: "bent-lines", entities: bentLines },
      { name: "pins", entities: pins },
      {
        name: "tie-ends",
        entities: l.tracks.flatMap((y) => [
          curve(y - l.mm(v.tieLength) / 2, "thin"),
          curve(y + l.mm(v.tieLength) / 2, "thin"),
        ]),
      },
      { name: "notes", entities: words },
    ],
  };
}

/** The ground under the trestle as a section along the track, and each footing's outline in plan with its level: to build the terrain to. */
function groundSheet(s: StructureDesign, v: TrestleValues, l: TrestleLayout): Drawing {
  const flat = (p: Vec3): Vec2 => [p[0], p[1]];
  const section: Vec2[] =
    v.groundBy === "profile"
      ? v.profile.map((p) => [l.mm(p[0]) - l.alignment.length / 2, l.mm(p[1])])
      : l.bents.map((b) => [b.station - l.alignment.length / 2, b.groundZ]);
  const lowest = Math.min(...section.map((p) => p[1]), ...l.bents.map((b) => b.footZ));
  const proto = (m: number): string => printFeetInches(prototype(toPrototype(s.context.scale, model(m))));
  const columns = l.bents.flatMap((b): Entity[] => {
    const x = b.station - l.alignment.length / 2;
    return [
      line([x, b.cap[2]], [x, b.groundZ], "centre"),
      line([x - 4, b.footZ], [x + 4, b.footZ], "thin"),
      text([x, b.cap[2] + 2], `${b.number}`, 2.6, "middle", "label"),
      text([x + 1, b.groundZ - 3.2], printMm(b.groundZ, 1), 1.8, "start"),
    ];
  });
  // the plan below the section
  const down = lowest - 30 - Math.max(...l.bents.map((b) => Math.abs(b.place.at[1]))) - 40;
  const footings = l.bents.flatMap((b) => footingsOf(v, l, b).map((f) => ({ b, f })));
  const plan = footings.flatMap(({ b, f }): Entity[] => {
    const ids = [
      `${s.structure.id}/bent${b.number}/mudsill/${f.post}`,
      `${s.structure.id}/bent${b.number}/pedestal/${f.post}`,
    ];
    const stick = ids.map((id) => s.resolved.byMember.get(id)?.[0]).find((x) => x);
    if (!stick) return [];
    const shape = hull(stick.parts.flatMap((p) => p.faces.flatMap((q) => q.corners.map(flat)))).map((p): Vec2 => [
      p[0],
      p[1] + down,
    ]);
    const c: Vec2 = [b.place.at[0] + b.place.left[0] * f.y, b.place.at[1] + b.place.left[1] * f.y + down];
    return [outline(shape, "outline"), text([c[0], c[1] - 0.7], printMm(f.ground, 1), 1.5, "middle")];
  });
  const x0 = Math.min(...section.map((p) => p[0]));
  const y0 = Math.min(down, ...plan.flatMap((e) => (e.kind === "path" ? e.points.map((p) => p[1]) : []))) - 14;
  const rows = footings.map(({ b, f }) => [
    `${b.number}`,
    f.post,
    printMm(f.top - f.ground, 2),
    printMm(f.ground, 1),
    proto(f.ground),
  ]);
  const cells = (r: readonly string[], y: number, font: "label" | "text", dx: number): Entity[] =>
    r.map((c, i) => text([x0 + dx + [0, 10, 22, 44, 66][i]!, y], c, 1.9, "start", font));
  const per = Math.ceil(rows.length / 3);
  const table = [0, 1, 2].flatMap((k) => {
    const part = rows.slice(k * per, (k + 1) * per);
    return part.length === 0
      ? []
      : [
          ...cells(["Bent", "Post", "Footing", "Ground", "prototype"], y0, "label", k * 96),
          ...part.flatMap((r, i) => cells(r, y0 - (i + 1) * 3.6, "text", k * 96)),
        ];
  });
  return {
    layers: [
      { name: "ground", entities: [{ kind: "path", points: section, closed: false, line: "outline" }] },
      { name: "bents", entities: columns },
      { name: "footings", entities: plan },
      {
        name: "footing-list",
        entities: [
          ...table,
          text(
            [x0, y0 + 5],
            "Levels are over the base of rail at the first bent; the section is laid out along the track, the plan as it lies.",
            2,
          ),
        ],
      },
    ],
  };
}

/** Blocks that set neighbouring bents apart at their caps, inner and outer, full size; equal ones once with the bays they serve. */
function spacerBlocks(l: TrestleLayout): Drawing {
  const cap = l.timbers.cap.w;
  const reach = Math.max(...l.packs.map((p) => Math.abs(p.y)));
  const found = new Map<number, string[]>();
  l.bents.slice(1).forEach((b, i) => {
    const from = l.bents[i]!;
    for (const [name, y] of [
      ["left", reach],
      ["right", -reach],
    ] as const) {
      const p = (q: BentPlace): Vec2 => [q.deck[0] + q.across[0] * y, q.deck[1] + q.across[1] * y];
      const [a, c] = [p(from), p(b)];
      const clear = Math.round((Math.hypot(c[0] - a[0], c[1] - a[1]) - cap) * 50) / 50;
      const where =
        `${from.number}–${b.number} ${l.alignment.curvature === 0 ? "" : l.alignment.curvature > 0 === (name === "left") ? "inner" : "outer"}`.trim();
      found.set(clear, [...new Set([...(found.get(clear) ?? []), where])]);
    }
  });
  let y = 0;
  const entities = [...found]
    .sort((a, b) => b[0] - a[0])
    .flatMap(([clear, bays]): Entity[] => {
      y -= 13;
      const block = [
        outline(rectangle(0, y, clear, 8), "outline", "timber"),
        text([clear / 2, y + 3], printMm(clear, 2), 2.6, "middle", "label"),
      ];
      const lines: Entity[] = [];
      for (let i = 0; i < bays.length; i += 4) {
        y -= 3.4;
        const words = `${i === 0 ? "Between the caps of bents " : ""}${bays.slice(i, i + 4).join(", ")}`;
        lines.push(text([0, y], words, 2));
      }
      return [...block, ...lines, line([0, y - 1], [90, y - 1], "thin")];
    });
  return { layers: [{ name: "spacer-blocks", entities }] };
}
