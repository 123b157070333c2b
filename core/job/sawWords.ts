import { entryOf, type EndCut, type EntryNotch, type EntryRip, type PieceShape } from "../frame";
import { printNumber } from "../units";
import { sheetTaken } from "./sheetTaken";

/** Prints a model length in the unit that the person works in. */
export type PrintLength = (mm: number) => string;

/** An end cut in words: "square", "14.0° mitre", "26.6° mitre, 45.0° bevel"; with several cuts joined by "and"; of an end that has none, that a lengthwise cut runs out there. `signed` keeps the signs of a setting. */
export function endWords(cuts: readonly EndCut[], decimals = 1, signed = false): string {
  return cuts.map((c) => cutWords(c, decimals, signed)).join(" and ") || RUNS_OUT;
}
const RUNS_OUT = "runs out to a point";
function cutWords(c: EndCut, decimals: number, signed: boolean): string {
  const part = (n: number, what: string): string =>
    Math.abs(n) < 0.005 ? "" : `${printNumber(signed ? n : Math.abs(n), decimals)}° ${what}`;
  return [part(c.mitre, "mitre"), part(c.bevel, "bevel")].filter(Boolean).join(", ") || "square";
}

/** Both ends of a piece in words, and how they lie to each other: "both 14.0° mitre, parallel". A cut on the edge says so, and with `print` of several each says how far from the tip it crosses the middle. */
export function bothEnds(
  shape: PieceShape,
  print?: PrintLength,
): { readonly first: string; readonly far: string; readonly relation: string } {
  const uneven = Math.abs(shape.section[0] - shape.section[1]) > 0.005;
  const words = (end: 0 | 1): string => {
    const cuts = shape.ends[end];
    const one = (c: EndCut): string => {
      const angles = cutWords(c, 1, false);
      const lies = uneven && c.face[1] === "v" && angles !== "square" ? " on edge" : "";
      const from = end === 0 ? c.at : shape.overall - c.at;
      const at = print && cuts.length > 1 ? ` ${print(Math.abs(from))} ${from < 0 ? "beyond" : "from"} the tip` : "";
      return `${angles}${lies}${at}`;
    };
    const all = cuts.map(one);
    // a hip is cut alike from both sides
    if (all.length === 2 && all[0] === all[1]) return `${all[0]} from both sides`;
    return all.join(" and ") || RUNS_OUT;
  };
  const [first, far] = [words(0), words(1)];
  const [a, b] = [endWords(shape.ends[0], 3, true), endWords(shape.ends[1], 3, true)];
  return { first, far, relation: first !== far || first === "square" ? "" : a === b ? "parallel" : "opposed" };
}

const ON_EDGE = ", lying on its edge";
/** "taper 3.20 to 4.10 mm from the near edge, the near side stays". */
function ripWords(r: EntryRip, print: PrintLength): string {
  const [a, b] = [print(r.start), print(r.far)];
  const line =
    a === b ? `rip ${a} from the near edge` : `taper ${a} at the start to ${b} at the far end from the near edge`;
  const blade = Math.abs(r.bevel) < 0.005 ? "" : `, blade at ${printNumber(Math.abs(r.bevel), 1)}°`;
  return `${line}${blade}, the ${r.keep} side stays${r.lies === "edge" ? ON_EDGE : ""}`;
}
/** "notch 12.30 to 15.42 mm from the start, 3.10 mm into the near edge". */
function notchWords(n: EntryNotch, shape: PieceShape, print: PrintLength): string {
  const points = "corners" in n ? n.corners : [...n.lower, ...n.upper];
  const range = (k: number): [number, number] => {
    const of = points.map((p) => p[k]!);
    return [Math.min(...of), Math.max(...of)];
  };
  const onEdge = !("corners" in n) && n.lies === "edge";
  const [wide, high] = onEdge ? [shape.section[1], shape.section[0]] : shape.section;
  const [[x0, x1], [y0, y1]] = [range(0), range(1)];
  const [z0, z1] = "corners" in n ? range(2) : [n.from, n.to];
  const near = y0 < SLIGHT;
  const far = y1 > wide - SLIGHT;
  const through = z0 < SLIGHT && z1 > high - SLIGHT;
  const deep = z0 < SLIGHT ? `${print(z1)} deep from below` : `${print(high - z0)} deep from above`;
  const into = near && far ? deep : near ? `${print(y1)} into the near edge` : far ? `${print(wide - y0)} into the far edge` : ""; // prettier-ignore
  const depth = through || (near && far) ? "" : `, ${deep}`;
  const where = into
    ? `notch ${print(x0)} to ${print(x1)} from the start, ${into}`
    : `hole ${print(x1 - x0)} × ${print(y1 - y0)}, its middle ${print((x0 + x1) / 2)} from the start and ${print((y0 + y1) / 2)} from the near edge`;
  return `${where}${depth}${onEdge ? ON_EDGE : ""}`;
}
/** Nearer than this to an edge is at the edge, mm. */
const SLIGHT = 0.005;

/** How the lines of a sheet part lie, and which of its edges are bevelled. */
function sheetWords(shape: PieceShape, print: PrintLength): string[] {
  const { lines, cutNormals } = shape;
  const taken = sheetTaken(shape);
  if (!taken) return [];
  const tilts = cutNormals.map((n) => (Math.asin(Math.min(1, Math.abs(n[2]))) * 180) / Math.PI).filter((t) => t > 0.05 && t < 89); // prettier-ignore
  const angles = [...new Set(tilts.map((t) => `${printNumber(t, 1)}°`))];
  return [
    `takes ${print(taken.long)} × ${print(taken.wide)} of its sheet`,
    ...(lines
      ? [
          lines.across === "u"
            ? `lines square to its length every ${print(lines.pitch)}, the first ${print(lines.first)} from the start`
            : `lines along its length every ${print(lines.pitch)}, the first ${print(lines.first)} from the near edge`,
        ]
      : []),
    ...(tilts.length > 0 ? [`${tilts.length} ${tilts.length === 1 ? "edge" : "edges"} bevelled ${angles.join(" and ")} from square`] : []), // prettier-ignore
  ];
}

/** What is cut of a piece besides its ends, a sentence each: lengthwise cuts, then notches and holes as they come from its start, which lies at the left. */
export function furtherWork(shape: PieceShape, print: PrintLength): string[] {
  const e = entryOf(shape);
  const start = (n: EntryNotch): number => Math.min(...("corners" in n ? n.corners : n.lower).map((p) => p[0]));
  return [
    ...sheetWords(shape, print),
    ...(e.outline ? [] : e.rips.map((r) => ripWords(r, print))),
    ...[...e.notches].sort((a, b) => start(a) - start(b)).map((n) => notchWords(n, shape, print)),
  ];
}

/** The same counted: "1 notch", "2 lengthwise cuts, 3 notches"; nothing where the ends are all. */
export function furtherCount(shape: PieceShape): string {
  const sheet = shape.kind === "panel" || shape.kind === "block";
  const count = (n: number, one: string, many: string): string => (n === 0 ? "" : `${n} ${n === 1 ? one : many}`);
  return [
    count(sheet ? 0 : shape.rips.length, "lengthwise cut", "lengthwise cuts"),
    count(shape.notchCorners.length, sheet ? "cut-out" : "notch", sheet ? "cut-outs" : "notches"),
  ]
    .filter(Boolean)
    .join(", ");
}
