import { isCladding } from "./cladding/cladRoles";
import type { Resolved } from "../../frame";
import { cross, normalize, type Vec3 } from "../../geometry";
import type { Build } from "../kind";
import { baysOf } from "./bay/bayPlan";
import { facetsOf, type Facet } from "./roof/facets";
import { hasLoftFlight, hasTrusses } from "./plan/nominal";
import { rootOf, type BuildingLayout, type Part } from "./plan/layout";
import { turn } from "../place";
import { sideFrame, sideName } from "./plan/sides";
import { raisedOf } from "./plan/raised";
import { alongOf, upslope } from "./roof/slopes";
import { interruptionsOf } from "./roof/valley";

/** A build with what sort it is, for its jig. */
export interface BuildingBuild extends Build {
  readonly kind: "wall" | "cladding" | "floor" | "planks" | "rafters" | "cover" | "other";
  /** The part of the building it belongs to. */
  readonly part: string;
}
const negate = (v: Vec3): Vec3 => [-v[0], -v[1], -v[2]];
const capital = (s: string): string => s[0]!.toUpperCase() + s.slice(1);
/** "wing1" as people read it. */
export const partWords = (name: string): string =>
  name === "main" ? "" : `${capital(name.replace(/(\d+)/, " $1"))}, `;

/** Everything of a building that is put together flat before it is joined: walls, floors, slopes, platforms, stairs. */
export function buildsOf(l: BuildingLayout): BuildingBuild[] {
  const out: BuildingBuild[] = [];
  const inside = l.v.faceUp === "inside";
  const cuts = interruptionsOf(l);
  for (const part of [...l.parts, ...raisedOf(l)]) {
    if (alikeBefore(l, part.name)) continue;
    const root = rootOf(l, part.name);
    for (const w of part.walls) {
      const own = rootOf(l, w.name);
      const eye = inside ? negate(w.n) : w.n;
      const right = inside ? negate(w.e) : w.e;
      const looks = w.name.replace(/^.*-/, "");
      const name = `${partWords(part.name)}${looks === "left" || looks === "right" ? `${looks} end` : `${looks} wall`}`;
      const base = { right, up: [0, 0, 1] as const, eye, part: part.name };
      out.push({
        ...base,
        id: w.name,
        kind: "wall",
        name: capital(name),
        has: (s) => s.member.assembly === own && !isCladding(s),
      });
      out.push({
        ...base,
        right: w.e,
        eye: w.n,
        id: `${w.name}-cladding`,
        kind: "cladding",
        name: `${capital(name)}, cladding`,
        has: (s) => s.member.assembly === own && isCladding(s),
      });
    }
    const flat = { right: [1, 0, 0] as const, up: [0, 1, 0] as const, eye: [0, 0, 1] as const, part: part.name };
    const floor = `${root}/floor`;
    out.push({
      ...flat,
      id: `${part.name}-floor`,
      kind: "floor",
      name: `${partWords(part.name)}${part.name === "main" ? "Floor" : "floor"}, joists`,
      has: (s) => s.member.assembly === floor && s.member.role !== "plank",
    });
    out.push({
      ...flat,
      id: `${part.name}-planks`,
      kind: "planks",
      name: `${partWords(part.name)}${part.name === "main" ? "Floor" : "floor"}, planks`,
      has: (s) => s.member.assembly === floor && s.member.role === "plank",
    });
    out.push({
      ...flat,
      id: `${part.name}-foundation`,
      kind: "other",
      name: `${partWords(part.name)}${part.name === "main" ? "Foundation" : "foundation"}`,
      has: (s) => s.member.assembly === `${root}/foundation`,
    });
    const seen = new Set<string>();
    for (const f of facetsOf(l, part, part === l.main ? cuts : [])) {
      const side = f.slope.side;
      const right = turn(part.place, alongOf(side));
      const up = turn(part.place, upslope(f.slope));
      const eye = normalize(cross(right, up));
      const words = slopeWords(part.place.quarters, side);
      const base = { right, up, eye, part: part.name };
      const rafters = `${root}/roof/slope-${side}`;
      if (!seen.has(side) && !f.name.endsWith("upper")) {
        seen.add(side);
        const hips = new RegExp(`/roof/(hip-.*${side}|ridge$|valley-)`);
        out.push({
          ...base,
          id: `${part.name}-rafters-${side}`,
          kind: "rafters",
          name: `${partWords(part.name)}${words} slope, rafters`,
          has: (s) =>
            s.member.assembly === rafters || (s.member.assembly === `${root}/roof/frame` && hips.test(s.member.id)),
        });
      }
      out.push({
        ...base,
        id: `${part.name}-cover-${f.name}`,
        kind: "cover",
        name: `${facetWords(part, f)}, covering`,
        has: (s) => s.member.assembly === `${root}/roof/cover-${f.name}`,
      });
    }
    if (part.roof === "flat")
      out.push({
        ...flat,
        id: `${part.name}-roof`,
        kind: "floor",
        name: "Roof, joists",
        has: (s) => s.member.assembly === `${root}/roof/frame`,
      });
    if (part.roof === "hipdeck")
      out.push({
        ...flat,
        id: `${part.name}-deck`,
        kind: "floor",
        name: "Roof deck",
        has: (s) => s.member.assembly === `${root}/roof/deck`,
      });
  }
  out.push({
    id: "loft",
    kind: "floor",
    part: "main",
    name: "Loft, joists",
    right: [1, 0, 0],
    up: [0, 1, 0],
    eye: [0, 0, 1],
    has: (s) => s.member.assembly === rootOf(l, "main/loft") && s.member.role !== "plank",
  });
  for (const bay of baysOf(l))
    bay.walls.forEach((w, i) => {
      const own = rootOf(l, w.name);
      const name = `${capital(bay.name.replace("wing", "bay "))}, ${["left side", "front", "right side"][i]!}`;
      out.push({
        id: w.name,
        kind: "wall",
        part: bay.name,
        name,
        right: inside ? negate(w.e) : w.e,
        up: [0, 0, 1],
        eye: inside ? negate(w.n) : w.n,
        has: (s) => s.member.assembly === own && !isCladding(s),
      });
    });
  for (const bay of baysOf(l)) {
    const [e, n] = [bay.main.e, bay.main.n];
    const flat = { right: e, up: negate(n), eye: [0, 0, 1] as const, part: bay.name };
    const name = capital(bay.name.replace("wing", "bay "));
    const own = (path: string) => (s: Resolved) => s.member.assembly === rootOf(l, `${bay.name}/${path}`);
    out.push({
      ...flat,
      id: `${bay.name}-floor`,
      kind: "floor",
      name: `${name}, floor`,
      has: (s) => own("floor")(s) && s.member.role !== "plank",
    });
    out.push({ ...flat, id: `${bay.name}-roof`, kind: "other", name: `${name}, roof`, has: own("roof/frame") });
  }
  for (const w of l.partitions)
    out.push({
      id: w.name,
      kind: "wall",
      part: "main",
      name: capital(w.name.replace(/(\d+)/, " $1")),
      right: w.e,
      up: [0, 0, 1],
      eye: w.n,
      has: (s) => s.member.assembly === rootOf(l, w.name),
    });
  if (l.v.foundation === "bents")
    out.push({
      id: "stand-bent",
      kind: "other",
      name: `Bents of the stand, ${l.v.standBents} alike`,
      part: "main",
      right: [0, 1, 0],
      up: [0, 0, 1],
      eye: [1, 0, 0],
      has: (s) => s.member.assembly === rootOf(l, "stand/bent1") && !/mudsill|pedestal/.test(s.member.role),
    });
  if (hasTrusses(l.v)) {
    const assembly = `${rootOf(l, "main")}/roof/truss1`;
    out.push({
      id: "roof-truss",
      kind: "other",
      name: "Roof trusses, all alike",
      part: "main",
      right: turn(l.main.place, [0, 1, 0]),
      up: [0, 0, 1],
      eye: turn(l.main.place, [1, 0, 0]),
      has: (s) => s.member.assembly === assembly,
    });
  }
  l.v.wings.forEach((w, i) => {
    const flat = { right: [1, 0, 0] as const, up: [0, 1, 0] as const, eye: [0, 0, 1] as const, part: "main" };
    if (w.kind === "platform")
      out.push({
        ...flat,
        id: `platform${i + 1}`,
        kind: "floor",
        name: `Platform ${i + 1}`,
        has: (s) => new RegExp(`/platform${i + 1}(-\\d+)?$`).test(s.member.assembly) && s.member.role !== "plank",
      });
    if (w.kind === "canopy")
      out.push({
        ...flat,
        id: `canopy${i + 1}`,
        kind: "other",
        name: `Canopy ${i + 1}`,
        has: (s) => s.member.assembly === rootOf(l, `canopy${i + 1}`),
      });
  });
  if (hasLoftFlight(l.v))
    out.push({
      id: "loft-stair",
      kind: "other",
      name: "Stair to the loft",
      part: "main",
      right: turn(l.main.place, [0, 1, 0]),
      up: [0, 0, 1],
      eye: turn(l.main.place, [1, 0, 0]),
      has: (s) => s.member.assembly === rootOf(l, "loft-stair"),
    });
  l.v.stairs.forEach((row, i) => {
    // a floor alone has stairs and no walls
    const side = (["S", "E", "N", "W"] as const).find((x) => sideName(l.main.place, x) === row.side)!;
    const { e, n } = sideFrame(l.main.p, l.main.q, side);
    out.push({
      id: `stair${i + 1}`,
      kind: "other",
      name: `Stair ${i + 1}`,
      part: "main",
      right: negate(turn(l.main.place, n)),
      up: [0, 0, 1],
      eye: turn(l.main.place, e),
      has: (s) => s.member.assembly === rootOf(l, `stair${i + 1}`),
    });
  });
  return inOrder(l, out);
}
/** Whether a dormer is built as one before it, on the same templates. */
function alikeBefore(l: BuildingLayout, part: string): boolean {
  const i = /^dormer(\d+)$/.test(part) ? Number(part.slice(6)) - 1 : 0;
  const shape = (d: BuildingLayout["v"]["dormers"][number]): string => JSON.stringify({ ...d, side: "", at: 0 });
  return i > 0 && l.v.dormers.slice(0, i).some((d) => shape(d) === shape(l.v.dormers[i]!));
}
/** What is left off until the inside is done comes last, and says so. */
function inOrder(l: BuildingLayout, builds: readonly BuildingBuild[]): BuildingBuild[] {
  const { leftOff, interior } = l.v;
  if (!interior || leftOff === "none") return [...builds];
  const off = (b: BuildingBuild): boolean =>
    leftOff === "roof"
      ? b.kind === "rafters" || b.kind === "cover" || b.id === "roof-truss" || b.id === "main-roof"
      : b.id === leftOff || b.id === `${leftOff}-cladding`;
  return [
    ...builds.filter((b) => !off(b)),
    ...builds.filter(off).map((b) => ({ ...b, name: `${b.name} (left off until the inside is done)` })),
  ];
}
/** A facet as people read it: "Front slope, upper". */
export const facetWords = (part: Part, f: Facet): string =>
  `${partWords(part.name)}${slopeWords(part.place.quarters, f.slope.side)} slope${f.name.endsWith("upper") ? ", upper" : ""}${/\d$/.test(f.name) ? `, part ${f.name.slice(-1)}` : ""}`;
const slopeWords = (quarters: number, side: string): string => {
  const order = ["S", "E", "N", "W"];
  const names = ["Front", "Right", "Back", "Left"];
  return names[(order.indexOf(side) + quarters) % 4]!;
};
