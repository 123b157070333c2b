import { ALIKE } from "../../geometry";
import type { Vec2 } from "../../geometry";

export const TRUSS_KINDS = [
  { value: "king", label: "king post" },
  { value: "queen", label: "queen post" },
  { value: "howe", label: "Howe" },
  { value: "pratt", label: "Pratt" },
  { value: "warren", label: "Warren" },
  { value: "warren-verticals", label: "Warren with verticals" },
  { value: "double", label: "double-intersection lattice" },
  { value: "plank", label: "plank lattice" },
  { value: "polygonal", label: "polygonal chord" },
  { value: "fink", label: "Fink roof truss" },
  { value: "scissors", label: "scissors roof truss" },
] as const;
export type TrussKind = (typeof TRUSS_KINDS)[number]["value"];

export type WebRole = "vertical" | "diagonal" | "counter";
/** A web member between two panel points. Those of different `lane` pass each other: 0 in the middle, 1 in a pair outside it, -2 and 2 on one side. */
export interface Web {
  readonly id: string;
  readonly a: string;
  readonly b: string;
  readonly role: WebRole;
  readonly lane: 0 | 1 | -2 | 2;
}
/** A chord as a line of panel points, in order; it may turn at some. */
export interface Chord {
  readonly id: "bottom" | "top" | "left" | "right";
  readonly points: readonly string[];
  /** Role of its parts between points i and i+1. */
  readonly roles: readonly ("bottom chord" | "top chord" | "end post" | "rafter")[];
  readonly lane: 0 | -2 | 2;
}
/** Where the work lines of a truss run: panel points by name, [along, up] with the left bearing at 0, and what joins them. Any one unit. */
export interface Topology {
  readonly points: Readonly<Record<string, Vec2>>;
  readonly chords: readonly Chord[];
  readonly webs: readonly Web[];
  readonly supports: readonly [string, string];
  /** Panel points that carry the floor or the deck. */
  readonly loaded: readonly string[];
  /** Points between the ends of a web at which others meet it: planks of a lattice on its end posts. */
  readonly along?: Readonly<Record<string, readonly string[]>>;
}
/** Whether a truss hangs below its deck: a polygonal chord of more than three slopes is its lower one then, and it bears at the ends of the level upper one. */
export const hangs = (v: Pick<TopologyValues, "kind" | "position" | "slopes">): boolean =>
  v.kind === "polygonal" && v.position === "deck" && Number(v.slopes) > 3;
/** The chord that comes to the bearings. */
export const bearingChord = (t: Topology): "bottom" | "top" =>
  t.chords.find((c) => c.id === "top" && c.points[0] === t.supports[0] && c.roles[0] === "top chord")
    ? "top"
    : "bottom";

export interface TopologyValues {
  readonly kind: string;
  readonly position: string;
  readonly span: number;
  readonly panels: number;
  readonly depth: number;
  readonly ends: string;
  readonly slopes: number;
  readonly hipDepth: number;
  readonly camber: number;
  readonly counters: string;
  readonly innerDepth: number;
  /** Weight of the train over that of the bridge, per panel: decides where counters are needed. */
  readonly liveOverDead: number;
}

/** How many panels a kind can have, near the number asked for: king and queen posts, roofs and Warrens with verticals are not free. */
export function panelsOf(v: Pick<TopologyValues, "kind" | "panels">): number {
  switch (v.kind as TrussKind) {
    case "king":
      return 2;
    case "queen":
      return 3;
    case "fink":
      return 3;
    case "scissors":
      return 2;
    case "warren-verticals":
      return Math.max(2, 2 * Math.round(v.panels / 2));
    case "polygonal":
      return Math.max(4, v.panels);
    default:
      return Math.max(2, v.panels);
  }
}

/** Height of a polygonal top chord at x: `slopes` straight parts with the end posts, their corners on a parabola from `hip` at the first panel point to `depth` at both ends of the part in the middle, which is level. */
export function polygonHeight(v: TopologyValues, x: number, panel: number): number {
  const parts = Math.max(1, v.slopes - 2);
  const [from, to] = [panel, v.span - panel];
  if (parts === 1) return v.depth;
  // corners at panel points, so that no chord turns between them; the middle part is level
  const panels = Math.round((to - from) / panel);
  const side = (parts - 1) / 2;
  const corner = (i: number): number => from + panel * Math.round((i / parts) * panels);
  const corners: number[] = [];
  for (let i = 0; i <= side; i++) corners.push(corner(i));
  for (let i = side; i >= 0; i--) corners.push(v.span - corners[i]!);
  // how far a place is from the middle: 1 at the first panel point
  const off = (t: number): number => Math.abs((2 * (t - from)) / (to - from) - 1);
  const inner = off(corners[side]!);
  const at = (t: number): number => v.hipDepth + ((v.depth - v.hipDepth) * (1 - off(t) ** 2)) / (1 - inner ** 2);
  const k = corners.findIndex((c, i) => i > 0 && x <= c + ALIKE);
  const [p, q] = [corners[Math.max(1, k) - 1]!, corners[Math.max(1, k)]!];
  const [hp, hq] = [at(p), at(q)];
  return q - p < ALIKE ? hp : hp + ((hq - hp) * (x - p)) / (q - p);
}

/** The work lines of a truss with counters in the panels given. Panel points are L0…Ln along the bottom and U… along the top; camber raises both chords along a parabola. */
export function topologyWith(v: TopologyValues, countered: readonly number[]): Topology {
  const n = panelsOf(v);
  const p = v.span / n;
  const kind = v.kind as TrussKind;
  const rise = (x: number): number => (4 * v.camber * x * (v.span - x)) / (v.span * v.span);
  const points: Record<string, Vec2> = {};
  const webs: Web[] = [];
  const web = (a: string, b: string, role: WebRole, lane: Web["lane"] = 0): void =>
    void webs.push({ id: `${role}/${a}-${b}`, a, b, role, lane });
  const chord = (
    id: Chord["id"],
    list: string[],
    roles: Chord["roles"][number] | Chord["roles"],
    lane: Chord["lane"] = 0,
  ): Chord => ({
    id,
    points: list,
    roles: typeof roles === "string" ? list.slice(1).map(() => roles) : roles,
    lane,
  });
  if (kind === "fink") {
    const [s, h] = [v.span, v.depth];
    Object.assign(points, {
      L0: [0, 0],
      L1: [s / 3, 0],
      L2: [(2 * s) / 3, 0],
      L3: [s, 0],
      U1: [s / 4, h / 2],
      U2: [s / 2, h],
      U3: [(3 * s) / 4, h / 2],
    } satisfies Record<string, Vec2>);
    web("U1", "L1", "diagonal");
    web("L1", "U2", "diagonal");
    web("U2", "L2", "diagonal");
    web("L2", "U3", "diagonal");
    return {
      points,
      webs,
      chords: [
        chord("bottom", ["L0", "L1", "L2", "L3"], "bottom chord"),
        chord("top", ["L0", "U1", "U2", "U3", "L3"], "rafter"),
      ],
      supports: ["L0", "L3"],
      loaded: ["U1", "U2", "U3"],
    };
  }
  if (kind === "scissors") {
    const [s, h, c] = [v.span, v.depth, v.innerDepth];
    // the lower chords run on from the middle until they meet the rafters
    const slope = c / (s / 2);
    const roof = h / (s / 2);
    const meet = (roof * s) / (slope + roof);
    Object.assign(points, {
      L0: [0, 0],
      L2: [s, 0],
      U2: [s / 2, h],
      C: [s / 2, c],
      U3: [meet, slope * meet],
      U1: [s - meet, slope * meet],
    } satisfies Record<string, Vec2>);
    web("U2", "C", "vertical");
    return {
      points,
      webs,
      chords: [
        chord("top", ["L0", "U1", "U2", "U3", "L2"], "rafter"),
        chord("left", ["L0", "C", "U3"], "bottom chord", -2),
        chord("right", ["L2", "C", "U1"], "bottom chord", 2),
      ],
      supports: ["L0", "L2"],
      loaded: ["U1", "U2", "U3"],
    };
  }
  for (let i = 0; i <= n; i++) points[`L${i}`] = [i * p, rise(i * p)];
  const bottom = Array.from({ length: n + 1 }, (_, i) => `L${i}`);
  const inclined =
    kind === "king" ||
    kind === "queen" ||
    kind === "polygonal" ||
    (v.ends === "inclined" && kind !== "plank" && kind !== "double");
  const top: string[] = [];
  const height = (x: number): number => (kind === "polygonal" ? polygonHeight({ ...v, span: v.span }, x, p) : v.depth);
  if (kind === "warren") {
    for (let i = 1; i <= n; i++) {
      const x = (i - 0.5) * p;
      points[`U${i}`] = [x, rise(x) + v.depth];
      top.push(`U${i}`);
    }
    for (let i = 1; i <= n; i++) {
      if (!(inclined && i === 1)) web(`L${i - 1}`, `U${i}`, "diagonal");
      if (!(inclined && i === n)) web(`U${i}`, `L${i}`, "diagonal");
    }
    if (!inclined) {
      points["U0"] = [0, v.depth];
      points[`U${n + 1}`] = [v.span, v.depth];
      top.unshift("U0");
      top.push(`U${n + 1}`);
      web("L0", "U0", "vertical");
      web(`L${n}`, `U${n + 1}`, "vertical");
    }
  } else {
    for (let i = inclined ? 1 : 0; i <= (inclined ? n - 1 : n); i++) {
      points[`U${i}`] = [i * p, rise(i * p) + height(i * p)];
      top.push(`U${i}`);
    }
    const all =
      kind === "warren-verticals" ||
      kind === "howe" ||
      kind === "pratt" ||
      kind === "polygonal" ||
      kind === "king" ||
      kind === "queen";
    for (let i = 0; i <= n; i++) if (points[`U${i}`] && (all || i === 0 || i === n)) web(`L${i}`, `U${i}`, "vertical");
    panelWebs(v, n, inclined, countered, (a, b, role, lane) => web(a, b, role, lane));
  }
  const line = inclined ? ["L0", ...top, `L${n}`] : top;
  const roles = line
    .slice(1)
    .map((_, i) => (inclined && (i === 0 || i === line.length - 2) ? ("end post" as const) : ("top chord" as const)));
  const deck = v.position === "deck";
  if (hangs(v)) return hung(n, points, webs, chord);
  const along = kind === "plank" ? endPlanks(v, n, points, web) : undefined;
  return {
    points,
    webs,
    ...(along ? { along } : {}),
    chords: [chord("bottom", bottom, "bottom chord"), chord("top", line, roles)],
    supports: ["L0", `L${n}`],
    loaded: deck ? top : bottom.slice(1, -1),
  };
}

/** The same truss below its deck: a level upper chord from bearing to bearing, the polygon under it, both from U0 to Un. */
function hung(
  n: number,
  upright: Readonly<Record<string, Vec2>>,
  webs: readonly Web[],
  chord: (id: Chord["id"], list: string[], roles: Chord["roles"][number] | Chord["roles"]) => Chord,
): Topology {
  const points: Record<string, Vec2> = {};
  for (let i = 0; i <= n; i++) {
    const [x, z] = upright[`L${i}`]!;
    points[`U${i}`] = [x, z];
    // as far below the deck as it would stand over a floor
    if (upright[`U${i}`]) points[`L${i}`] = [x, 2 * z - upright[`U${i}`]![1]];
  }
  const top = Array.from({ length: n + 1 }, (_, i) => `U${i}`);
  const line = ["U0", ...Array.from({ length: n - 1 }, (_, i) => `L${i + 1}`), `U${n}`];
  const roles = line
    .slice(1)
    .map((_, i) => (i === 0 || i === line.length - 2 ? ("end post" as const) : ("bottom chord" as const)));
  return {
    points,
    webs,
    chords: [chord("bottom", line, roles), chord("top", top, "top chord")],
    supports: ["U0", `U${n}`],
    loaded: top.slice(1, -1),
  };
}

/** The diagonals of a trussed panel between i and i+1, by kind. */
function panelWebs(
  v: TopologyValues,
  n: number,
  inclined: boolean,
  countered: readonly number[],
  web: (a: string, b: string, role: WebRole, lane: Web["lane"]) => void,
): void {
  const kind = v.kind as TrussKind;
  const first = inclined ? 1 : 0;
  const last = inclined ? n - 2 : n - 1;
  const middle = (n - 1) / 2;
  const counters = new Set(countered);
  for (let i = first; i <= last; i++) {
    const down: readonly [string, string] = [`U${i}`, `L${i + 1}`];
    const up: readonly [string, string] = [`L${i}`, `U${i + 1}`];
    const crossed = counters.has(i);
    const lane: Web["lane"] = counters.size > 0 ? 1 : 0;
    switch (kind) {
      case "queen":
        if (crossed) {
          web(...down, "counter", 0);
          web(...up, "counter", 1);
        }
        break;
      case "king":
        break;
      case "howe": {
        // in compression: rising towards the middle
        const main = i < middle ? up : down;
        web(...main, "diagonal", lane);
        if (crossed) web(...(main === up ? down : up), "counter", 0);
        break;
      }
      case "pratt":
      case "polygonal": {
        const main = i < middle ? down : up;
        web(...main, "diagonal", lane);
        if (crossed) web(...(main === up ? down : up), "counter", 0);
        break;
      }
      case "warren-verticals":
        web(...(i % 2 === 0 ? up : down), "diagonal", 0);
        break;
      case "double":
        web(...up, "diagonal", 2);
        web(...down, "diagonal", -2);
        break;
      case "plank": {
        const reach = plankReach(v);
        if (i + reach > n) break;
        web(`L${i}`, `U${i + reach}`, "diagonal", 2);
        web(`U${i}`, `L${i + reach}`, "diagonal", -2);
        break;
      }
      default:
    }
  }
}

/** The shorter planks at both ends of a lattice, and the points of the end posts that they reach. */
function endPlanks(
  v: TopologyValues,
  n: number,
  points: Record<string, Vec2>,
  web: (a: string, b: string, role: WebRole, lane: Web["lane"]) => void,
): Record<string, readonly string[]> {
  const reach = plankReach(v);
  const along: Record<string, string[]> = { "vertical/L0-U0": [], [`vertical/L${n}-U${n}`]: [] };
  for (let k = 1; k < reach; k++) {
    const h = (v.depth * k) / reach;
    points[`E${k}`] = [0, h];
    points[`F${k}`] = [v.span, h];
    along["vertical/L0-U0"]!.push(`E${k}`);
    along[`vertical/L${n}-U${n}`]!.push(`F${k}`);
    web(`E${k}`, `U${reach - k}`, "diagonal", 2);
    web(`E${k}`, `L${k}`, "diagonal", -2);
    web(`L${n - k}`, `F${k}`, "diagonal", 2);
    web(`U${n - reach + k}`, `F${k}`, "diagonal", -2);
  }
  return along;
}

/** Over how many panels a plank of a lattice runs: as near to 45° as whole panels come. */
export const plankReach = (v: Pick<TopologyValues, "kind" | "panels" | "span" | "depth">): number =>
  Math.max(1, Math.round(v.depth / (v.span / panelsOf(v))));
