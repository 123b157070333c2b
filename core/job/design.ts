import { emptyFrame, nominalOf, piecesOf, resolve, type IssuedMark, type Piece, type ResolvedFrame } from "../frame";
import {
  stockItem,
  chooseSheet,
  chooseStock,
  parseNominal,
  sheetName,
  type Match,
  type SheetMatch,
  type SheetWanted,
} from "../lumber";
import { framerOf, kindOf, type Context, type KindFace, type Params } from "../structures";
import { scaleOf, type Scale } from "../units";
import { chosenVariant } from "./chosenVariant";
import type { JobDoc, StructureDoc, VariantDoc } from "./document";
import { applyOverrides } from "./overrides";

/** One structure of a job. It is framed and cut when its frame is first asked for: what needs none costs none. */
export interface StructureDesign {
  readonly structure: StructureDoc;
  readonly variant: VariantDoc;
  readonly kind: KindFace;
  readonly context: Context;
  readonly resolved: ResolvedFrame;
  /** Why it could not be framed; then `resolved` is empty. */
  readonly fault: string | undefined;
  readonly parked: readonly string[];
  /** Whether the frame has been made already: then asking for it costs nothing. */
  readonly framed: boolean;
}
/** All that follows from a job document: computed when asked for, never stored. */
export interface Design {
  readonly doc: JobDoc;
  readonly scale: Scale;
  readonly structures: readonly StructureDesign[];
  readonly pieces: readonly Piece[];
  /** What each nominal size in use is made of. */
  readonly stock: ReadonlyMap<string, Match>;
  /** The same of each textured sheet in use, by its name ("clapboard 6"). */
  readonly sheets: ReadonlyMap<string, SheetMatch>;
}
interface Framed {
  readonly resolved: ResolvedFrame;
  readonly fault?: string;
  readonly parked: readonly string[];
}

const NOTHING: ResolvedFrame = { frame: emptyFrame, sticks: [], byMember: new Map() };

/** Looks up the stock of a job, each nominal size once. */
export function stockLookup(doc: JobDoc, scale: Scale): (name: string) => Match {
  const known = new Map<string, Match>();
  return (name) => {
    const before = known.get(name);
    if (before) return before;
    const n = parseNominal(name);
    if (!n) throw new Error(`“${name}” is no nominal size; write one such as 12×12.`);
    const match = chooseStock(n, name, doc.stock, scale);
    known.set(name, match);
    return match;
  };
}

/** Looks up the textured sheets of a job. */
const sheetLookup =
  (doc: JobDoc, scale: Scale) =>
  (wanted: SheetWanted): SheetMatch =>
    chooseSheet(wanted, doc.stock.choices, scale);

/** What a job's structures are framed with: its scale, and what its stock makes of a nominal size. */
export function benchOf(doc: JobDoc, structure: string): Context {
  const scale = scaleOf(doc.brief.scale.id, doc.brief.scale.ratio);
  return { structure, scale, stock: stockLookup(doc, scale), sheet: sheetLookup(doc, scale) };
}

/** Frames one variant of a structure. A fault is an outcome, not an exception, so that one broken structure leaves the others whole. */
function frameVariant(
  kind: KindFace,
  structure: StructureDoc,
  variant: VariantDoc,
  context: Context,
  longest: (stock: string) => number,
): Framed {
  // outside of what is caught: a kind that was not loaded is no fault of the values
  const { frame: sticksOf } = framerOf(kind.id);
  try {
    const said = kind.check(variant.params as Params, context);
    if (said.length > 0) return { resolved: NOTHING, fault: said.join(" "), parked: [] };
    const raw = sticksOf(variant.params as Params, context);
    const { frame, parked } = applyOverrides(raw, structure.id, variant.overrides, longest);
    return { resolved: resolve(frame), parked };
  } catch (e) {
    return { resolved: NOTHING, fault: inWords(e), parked: [] };
  }
}
/** What a person is told when a frame could not be made: the framer's own sentence, never that of the machine. */
function inWords(e: unknown): string {
  const machine = e instanceof TypeError || e instanceof RangeError || e instanceof ReferenceError;
  return machine || !(e instanceof Error)
    ? "These values cannot be framed together. Take the last change back, or change what it goes with."
    : e.message;
}
class LazyStructure implements StructureDesign {
  constructor(
    readonly structure: StructureDoc,
    readonly variant: VariantDoc,
    readonly kind: KindFace,
    readonly context: Context,
    private readonly made: Once<Framed>,
  ) {}
  get resolved(): ResolvedFrame {
    return this.made().resolved;
  }
  get fault(): string | undefined {
    return this.made().fault;
  }
  get parked(): readonly string[] {
    return this.made().parked;
  }
  get framed(): boolean {
    return this.made.done();
  }
  /** The same frame under a structure of another name. */
  of(structure: StructureDoc): LazyStructure {
    return structure === this.structure
      ? this
      : new LazyStructure(structure, this.variant, this.kind, this.context, this.made);
  }
}
type Once<T> = (() => T) & { done(): boolean };
/** Computes once, when first asked. */
function once<T>(f: () => T): Once<T> {
  let known: { readonly value: T } | undefined;
  return Object.assign(() => (known ??= { value: f() }).value, { done: () => known !== undefined });
}

/** The longest piece that can come off a stick of an item, model mm: what the job says of its sticks, else their usual lengths, less the allowance. */
export function longestStick(doc: JobDoc, scale: Scale): (stock: string) => number {
  return (stock) => {
    const own = doc.stock.sticks[stock]?.filter((s) => s.count !== 0).map((s) => s.length);
    return Math.max(0, ...(own?.length ? own : (stockItem(scale, stock)?.lengths ?? []))) - doc.cutting.allowance;
  };
}

/** Structures made before: a change to one leaves the others' documents the same objects, and so their frames. */
const framed = new WeakMap<
  VariantDoc,
  {
    readonly params: VariantDoc["params"];
    readonly overrides: VariantDoc["overrides"];
    readonly stock: JobDoc["stock"];
    readonly cutting: JobDoc["cutting"];
    readonly scale: JobDoc["brief"]["scale"];
    readonly id: string;
    readonly names: ReadonlySet<string>;
    readonly sheets: ReadonlyMap<string, SheetMatch>;
    readonly design: LazyStructure;
  }
>();

/** One variant of a structure as a design of its own, with its pieces: what a comparison sets side by side. */
export function designVariant(doc: JobDoc, structure: StructureDoc, variant: VariantDoc): Design {
  return designOf({ ...doc, structures: [{ ...structure, chosen: variant.id }] });
}

/** Everything a job makes: the chosen variant of each structure framed, its sticks grouped into marked pieces. `issued` are the marks given out with earlier issues. */
export function designOf(doc: JobDoc, issued: readonly IssuedMark[] = []): Design {
  const scale = scaleOf(doc.brief.scale.id, doc.brief.scale.ratio);
  const stock = stockLookup(doc, scale);
  const longest = longestStick(doc, scale);
  const lookup = sheetLookup(doc, scale);
  const made = doc.structures.map((s) => {
    const variant = chosenVariant(s);
    const known = framed.get(variant);
    if (
      known &&
      known.params === variant.params &&
      known.overrides === variant.overrides &&
      known.stock === doc.stock &&
      known.cutting === doc.cutting &&
      known.scale === doc.brief.scale &&
      known.id === s.id
    ) {
      return { design: known.design.of(s), names: known.names, sheets: known.sheets };
    }
    const names = new Set<string>();
    const noted = (name: string): Match => (names.add(name), stock(name));
    const kind = kindOf(s.kind);
    const sheets = new Map<string, SheetMatch>();
    const sheet = (wanted: SheetWanted): SheetMatch => {
      const m = lookup(wanted);
      sheets.set(sheetName(wanted), m);
      return m;
    };
    const context: Context = { structure: s.id, scale, stock: noted, sheet };
    const frame = once(() => frameVariant(kind, s, variant, context, longest));
    const design = new LazyStructure(s, variant, kind, context, frame);
    framed.set(variant, {
      params: variant.params,
      overrides: variant.overrides,
      stock: doc.stock,
      cutting: doc.cutting,
      scale: doc.brief.scale,
      id: s.id,
      names,
      sheets,
      design,
    });
    return { design, names, sheets };
  });
  const structures = made.map((m) => m.design);
  const sticks = once(() => structures.flatMap((s) => s.resolved.sticks));
  const pieces = once(() => piecesOf(sticks(), issued));
  const inUse = once(() => {
    const out = new Set<string>();
    // sticks of one timber come one after another and share its size
    let before: readonly [number, number] | undefined;
    for (const { member } of sticks())
      if (member.nominal !== before) out.add(nominalOf(member.kind, (before = member.nominal)));
    const names = [...new Set(made.flatMap((m) => [...m.names]))].filter((name) => out.has(name)).sort();
    return new Map(names.map((name) => [name, stock(name)] as const));
  });
  const sheetsInUse = once(() => {
    const used = new Set(sticks().map((k) => k.stock));
    const all = made.flatMap((m) => [...m.sheets]).filter(([, m]) => used.has(m.item.id));
    return new Map(all.sort(([a], [b]) => (a < b ? -1 : 1)));
  });
  return {
    doc,
    scale,
    structures,
    get sheets() {
      return sheetsInUse();
    },
    get pieces() {
      return pieces();
    },
    get stock() {
      return inUse();
    },
  };
}
