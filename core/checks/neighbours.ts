import { dot, type Vec3 } from "../geometry";
import type { Design } from "../job";
import { clashOf, facing, standing, wallsIn, type Standing, type StandingWall } from "../site";
import { model, printFeetInches, printMm, prototype, toModel, toPrototype, feet } from "../units";
import type { Finding } from "./findings";

/** Room before an opening under which it is told, prototype mm. Common practice: a door wants a step and a person before it, a window some light. */
const ROOM = { door: feet(3), window: feet(1.5) };
/** Walls nearer than this, model mm, look as if they were meant to touch; further than the second they do not. */
const TOUCH = 0.05;
const SLIT = 1.5;
/** A shared stretch shorter than this, model mm, is a corner that passes another. */
const STRETCH = 3;

/** What the structures of a job do to one another where they stand: in each other, walls that nearly touch, openings that open on a wall. */
export function neighbours(d: Design): Finding[] {
  const all = standing(d);
  return all.flatMap((a, i) => all.slice(i + 1).flatMap((b) => pair(a, b)));
}

const nameOf = (s: Standing): string => s.design.structure.name;
const idOf = (s: Standing): string => s.design.structure.id;
/** "12 mm to the right and 3 mm down": a move as it looks on the plan. */
function wayWords([x, y]: readonly [number, number]): string {
  const part = (by: number, words: readonly [string, string]): string[] =>
    Math.abs(by) < 0.005 ? [] : [`${printMm(model(Math.abs(by)), 2)} ${words[by > 0 ? 0 : 1]}`];
  return [...part(x, ["to the right", "to the left"]), ...part(y, ["up", "down"])].join(" and ");
}

function pair(a: Standing, b: Standing): Finding[] {
  const clash = clashOf(a, b);
  if (clash) {
    const { worst, pairs, move, lift } = clash;
    const more = pairs > 1 ? `, and ${pairs - 1} more of them` : "";
    return [
      {
        key: `${idOf(a)}+${idOf(b)}:clash`,
        level: "fault",
        text: `${nameOf(a)} and ${nameOf(b)} stand in each other on the plan: the ${worst.a.role} of one and the ${worst.b.role} of the other by ${printMm(model(worst.depth), 2)}${more}. ${nameOf(b)} is clear ${wayWords(move)} from where it stands, or ${printMm(model(lift), 2)} higher.`,
        structure: idOf(b),
        sticks: [worst.a.id, worst.b.id],
        remedy: { label: `Move ${nameOf(b)} clear`, do: "move", by: move },
      },
    ];
  }
  const out: Finding[] = [];
  const [wa, wb] = [wallsIn(a), wallsIn(b)];
  for (const x of wa) for (const y of wb) out.push(...slit(x, y));
  for (const w of wa) out.push(...blocked(w, b));
  for (const w of wb) out.push(...blocked(w, a));
  return out;
}

/** Two walls that nearly touch: a slit that light shows through, or paint does not reach into. */
function slit(a: StandingWall, b: StandingWall): Finding[] {
  const f = facing(a, b);
  if (!f || f.gap <= TOUCH || f.gap >= SLIT || f.to - f.from < STRETCH) return [];
  return [
    {
      key: `${idOf(a.of)}+${idOf(b.of)}:slit:${a.name}:${b.name}`,
      level: "warning",
      text: `The ${b.name} of ${nameOf(b.of)} stands ${printMm(model(f.gap), 2)} from the ${a.name} of ${nameOf(a.of)} over ${printMm(model(f.to - f.from), 1)}: a slit that neither light nor brush leaves alone. Let them touch, or stand them apart.`,
      structure: idOf(b.of),
      sticks: [],
      remedy: {
        label: `Let ${nameOf(b.of)} touch ${nameOf(a.of)}`,
        do: "move",
        by: [-a.out[0] * f.gap, -a.out[1] * f.gap],
      },
    },
  ];
}

/** Openings of a wall that have too little room before them, for what stands there of a neighbour. */
function blocked(w: StandingWall, by: Standing): Finding[] {
  const { scale } = w.of.design.context;
  return w.openings.flatMap((o): Finding[] => {
    const room = toModel(scale, prototype(o.door ? ROOM.door : ROOM.window));
    const free = roomBefore(w, o, by);
    if (free >= room) return [];
    const real = printFeetInches(toPrototype(scale, model(Math.max(0, free))));
    return [
      {
        key: `${idOf(w.of)}:blocked:${w.name}:${o.name}`,
        level: "warning",
        text: `${o.name} in the ${w.name} of ${nameOf(w.of)} has ${real} (${printMm(model(Math.max(0, free)), 1)}) before it, then stands ${nameOf(by)}: ${o.door ? "nobody gets through" : "it looks at a wall"}. Move one of them, or leave the opening out.`,
        structure: idOf(w.of),
        sticks: [],
      },
    ];
  });
}
/** How far the nearest of a neighbour's sticks stands before an opening, model mm; Infinity where none does. */
function roomBefore(w: StandingWall, o: StandingWall["openings"][number], by: Standing): number {
  let free = Infinity;
  const [low, high] = [w.from[2] + o.sill, w.from[2] + o.head];
  for (const s of by.sticks) {
    if (s.max[2] <= low || s.min[2] >= high) continue;
    for (const part of s.parts) {
      let [l, r, b, t, near, far] = [Infinity, -Infinity, Infinity, -Infinity, Infinity, -Infinity];
      for (const face of part.faces)
        for (const c of face.corners) {
          const p: Vec3 = [c[0] - w.from[0], c[1] - w.from[1], 0];
          const [u, v] = [dot(p, w.along), dot(p, w.out)];
          [l, r, b, t] = [Math.min(l, u), Math.max(r, u), Math.min(b, c[2]), Math.max(t, c[2])];
          [near, far] = [Math.min(near, v), Math.max(far, v)];
        }
      if (r > o.from && l < o.to && t > low && b < high && far > 0) free = Math.min(free, Math.max(0, near));
    }
  }
  return free;
}
