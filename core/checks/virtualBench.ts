import { clip, convexOf, prism, subtract, type Plane, type Solid, type Vec3 } from "../geometry";

type Row = Readonly<Record<string, string | number>>;

/**
 * The virtual bench: cuts a piece as its row of the cut list says, and knows nothing else of it. A row is as `cutTable`
 * prints it, cells by the names of their columns; lengths are inches where the columns' names end so. The solid's parts
 * are model mm, the piece lying on its face: x from its start, y from the edge near you, z over the table.
 * Errors: a cell that is missing or cannot be read.
 */
export function cutAsListed(row: Row): Solid[] {
  const unit = "thickness_in" in row ? "in" : "mm";
  const cell = (name: string): string => {
    const found = row[name] ?? row[`${name}_${unit}`];
    if (found === undefined) throw new Error(`The row has no column “${name}”.`);
    return String(found);
  };
  const bench = new Bench(unit === "in" ? 25.4 : 1, Number(cell("thickness")), Number(cell("width")));
  const list = (name: string): string[] => cell(name).split("; ").filter(Boolean);
  const outline = list("outline")[0];
  let body: Solid[];
  if (outline) body = [bench.taken(outline)];
  else {
    const overall = bench.mm(cell("tip_to_tip"));
    const form = cell("form");
    body = isShape(form)
      ? bench.shape(overall, form, bench.mm(cell("web")), bench.mm(cell("flange")))
      : [bench.stick(overall, cell("form") !== "round" ? 0 : /\b(tube|pipe)\b/i.test(cell("stock")) ? TUBE_FLATS : ROUND_FLATS)]; // prettier-ignore
    const cuts: Plane[] = list("lengthwise_cuts").map((words) => bench.rip(words, overall));
    for (const end of ["a", "b"] as const) {
      const of = (what: string): string => cell(`end_${end}_${what}`);
      const first = `${of("lies_on")} mitre ${of("mitre_deg")} bevel ${of("bevel_deg")} at ${of("at")}`;
      // an end without a cut of its own is where a lengthwise cut runs out
      const all = of("lies_on") === "" ? [] : [first, ...list(`end_${end}_more`)];
      cuts.push(...all.map((words) => bench.end(words, end)));
    }
    for (const c of cuts) body = body.flatMap((b) => clip(b, { ...c, tag: "cut" }) ?? []);
  }
  const notches = list("notches_and_holes").map((words) => bench.taken(words).faces.map((f) => f.plane));
  return notches.reduce<Solid[]>((rest, n) => rest.flatMap((s) => subtract(s, n, "notch")), body);
}

const radians = (degrees: string): number => (Number(degrees) * Math.PI) / 180;
/** Numbers of a cell by its pattern. Errors: words that do not have it. */
function read(words: string, pattern: RegExp): string[] {
  const found = pattern.exec(words);
  if (!found) throw new Error(`“${words}” cannot be read as a cut.`);
  return found.slice(1);
}

const isShape = (form: string): boolean => ["I", "H", "channel", "angle"].includes(form);
/** How many flats rounds and tubes are drawn with. */
const [ROUND_FLATS, TUBE_FLATS] = [16, 48];
class Bench {
  private readonly thick: number;
  private readonly wide: number;
  constructor(
    private readonly scale: number,
    thickness: number,
    width: number,
  ) {
    this.thick = thickness * scale;
    this.wide = width * scale;
  }
  mm(x: string): number {
    return Number(x) * this.scale;
  }
  /** A length of the stock, longer than the piece at both ends; a round one by its flats, a tube's with their corners on its circle. */
  stick(overall: number, flats: number): Solid {
    const spare = overall + 10 * (this.wide + this.thick);
    const [y, z] = [this.wide / 2, this.thick / 2];
    const tube = flats === TUBE_FLATS;
    const r = tube ? y : y / Math.cos(Math.PI / flats);
    const base = flats > 0
      ? Array.from({ length: flats }, (_, i): Vec3 => {
          const t = ((i - (tube ? 0 : 0.5)) * 2 * Math.PI) / flats;
          return [-spare, y + r * Math.cos(t), z + r * Math.sin(t)];
        })
      : [[0, 0], [2 * y, 0], [2 * y, 2 * z], [0, 2 * z]].map(([a, b]): Vec3 => [-spare, a!, b!]); // prettier-ignore
    return prism(base, [overall + 2 * spare, 0, 0], base.map(() => "stock")); // prettier-ignore
  }
  /** A length of a shape lying on the side that is its width: an I and an H on the edges of their flanges, a channel on its web, an angle on one leg with the other along the near edge. */
  shape(overall: number, form: string, web: number, flange: number): Solid[] {
    const spare = overall + 10 * (this.wide + this.thick);
    const box = (y: readonly [number, number], z: readonly [number, number]): Solid =>
      prism([[-spare, y[0], z[0]], [-spare, y[1], z[0]], [-spare, y[1], z[1]], [-spare, y[0], z[1]]], [overall + 2 * spare, 0, 0], ["stock", "stock", "stock", "stock"]); // prettier-ignore
    const lies: readonly [number, number] = form === "I" || form === "H" ? [(this.thick - web) / 2, (this.thick + web) / 2] : [0, web]; // prettier-ignore
    if (form === "angle") return [box([0, this.wide], lies), box([0, flange], [web, this.thick])];
    const [far, up] = [this.wide - flange, [0, this.thick] as const];
    return [box([0, flange], up), box([flange, far], lies), box([far, this.wide], up)];
  }
  /** From how the piece lies for a cut to how it lies on its face: rolled back by a quarter, away from you. */
  private back(lies: string, p: Vec3): Vec3 {
    return lies === "edge" ? [p[0], p[2], this.thick - p[1]] : p;
  }
  private backPlane(lies: string, n: Vec3, through: Vec3): Plane {
    const [p, q] = [
      this.back(lies, through),
      this.back(lies, [through[0] + n[0], through[1] + n[1], through[2] + n[2]]),
    ];
    const m: Vec3 = [q[0] - p[0], q[1] - p[1], q[2] - p[2]];
    return { n: m, d: m[0] * p[0] + m[1] * p[1] + m[2] * p[2] };
  }
  /** A cut of an end: looking along the piece towards it, a positive mitre takes from the right-hand side, a positive bevel from the upper. */
  end(words: string, end: "a" | "b"): Plane {
    const [lies, mitre, bevel, at] = read(words, /^(face|edge) mitre (\S+) bevel (\S+) at (\S+)$/) as [string, string, string, string]; // prettier-ignore
    const [m, b] = [radians(mitre), radians(bevel)];
    // at the far end the right hand is the side near you
    const [out, right] = end === "b" ? [1, -1] : [-1, 1];
    const n: Vec3 = [out * Math.cos(m) * Math.cos(b), right * Math.sin(m) * Math.cos(b), Math.sin(b)];
    const [y, z] = lies === "edge" ? [this.thick / 2, this.wide / 2] : [this.wide / 2, this.thick / 2];
    return this.backPlane(lies, n, [this.mm(at), y, z]);
  }
  /** A lengthwise cut between two distances from the near edge, on the side that lies down. */
  rip(words: string, overall: number): Plane {
    const [lies, start, far, bevel, keep] = read(words, /^(face|edge) (\S+) to (\S+) bevel (\S+) keep (near|far)$/) as [string, string, string, string, string]; // prettier-ignore
    const slope = (this.mm(far) - this.mm(start)) / overall;
    const [b, sign] = [radians(bevel), keep === "near" ? 1 : -1];
    const k = (sign * Math.cos(b)) / Math.hypot(1, slope);
    return this.backPlane(lies, [-slope * k, k, Math.sin(b)], [0, this.mm(start), 0]);
  }
  /** What an outline between two heights, or corners, enclose. */
  taken(words: string): Solid {
    const points = (text: string): number[][] => text.trim().split(" ").map((p) => p.split("/").map((x) => this.mm(x))); // prettier-ignore
    if (words.startsWith("corners ")) return convexOf(points(words.slice(8)) as unknown as Vec3[]);
    const [lies, from, to, below, , above] = read(words, /^(face|edge) from (\S+) to (\S+): ([^a-z]+)( above: (.+))?$/) as [string, string, string, string, string, string | undefined]; // prettier-ignore
    const at = (text: string, z: string): Vec3[] =>
      points(text).map((p) => this.back(lies, [p[0]!, p[1]!, this.mm(z)]));
    return convexOf([...at(below, from), ...at(above ?? below, to)]);
  }
}

/** How much two bodies of convex parts differ, mm: the thickest place of what either has and the other has not. */
export function differenceOf(a: readonly Solid[], b: readonly Solid[]): number {
  const less = (x: readonly Solid[], y: readonly Solid[]): Solid[] =>
    y.reduce<readonly Solid[]>((rest, s) => rest.flatMap((r) => subtract(r, s.faces.map((f) => f.plane), "gone")), x) as Solid[]; // prettier-ignore
  const thickness = (s: Solid): number =>
    Math.min(
      ...s.faces.map((f) => Math.max(...s.faces.flatMap((g) => g.corners.map((p) => f.plane.d - f.plane.n[0] * p[0] - f.plane.n[1] * p[1] - f.plane.n[2] * p[2])))), // prettier-ignore
    );
  return Math.max(0, ...[...less(a, b), ...less(b, a)].map(thickness));
}
