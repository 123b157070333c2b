import { emptyFrame, nominalOf, piecesOf, resolve, type IssuedMark, type Piece, type ResolvedFrame } from "../frame";
import { catalogue, chooseStock, parseNominal, type Match } from "../lumber";
import { kindOf, type Context, type Params, type StructureKind } from "../structures";
import { scaleOf, type Scale } from "../units";
import type { JobDoc, StructureDoc, VariantDoc } from "./document";
import { applyOverrides } from "./overrides";

/** One structure of a job, framed and cut. `fault` says why it could not be; then `resolved` is empty. */
export interface StructureDesign {
  readonly structure: StructureDoc;
  readonly variant: VariantDoc;
  readonly kind: StructureKind;
  readonly context: Context;
  readonly resolved: ResolvedFrame;
  readonly fault?: string;
  readonly parked: readonly string[];
}
/** All that follows from a job document: computed, never stored. */
export interface Design {
  readonly doc: JobDoc;
  readonly scale: Scale;
  readonly structures: readonly StructureDesign[];
  readonly pieces: readonly Piece[];
  /** What each nominal size in use is made of. */
  readonly stock: ReadonlyMap<string, Match>;
}

const NOTHING: ResolvedFrame = { frame: emptyFrame, sticks: [], byMember: new Map() };

/** Looks up the stock of a job, each nominal size once. */
export function stockLookup(
  doc: JobDoc,
  scale: Scale,
): { readonly stock: (name: string) => Match; readonly used: Map<string, Match> } {
  const used = new Map<string, Match>();
  const stock = (name: string): Match => {
    const known = used.get(name);
    if (known) return known;
    const n = parseNominal(name);
    if (!n) throw new Error(`“${name}” is no nominal size; write one such as 12×12.`);
    const match = chooseStock(n, name, doc.stock, scale);
    used.set(name, match);
    return match;
  };
  return { stock, used };
}

/** Frames one variant of a structure. A fault is an outcome, not an exception, so that one broken structure leaves the others whole. */
export function designStructure(
  structure: StructureDoc,
  variant: VariantDoc,
  context: Context,
  longest?: (stock: string) => number,
): StructureDesign {
  const kind = kindOf(structure.kind);
  const base = { structure, variant, kind, context };
  try {
    const raw = kind.frame(variant.params as Params, context);
    const { frame, parked } = applyOverrides(raw, structure.id, variant.overrides, longest);
    return { ...base, resolved: resolve(frame), parked };
  } catch (e) {
    return { ...base, resolved: NOTHING, fault: (e as Error).message, parked: [] };
  }
}

/** The longest piece that can come off a stick of an item, model mm: what the job says of its sticks, else their usual lengths, less the allowance. */
export function longestStick(doc: JobDoc, scale: Scale): (stock: string) => number {
  const items = new Map(catalogue(scale).map((i) => [i.id, i]));
  return (stock) => {
    const own = doc.stock.sticks[stock]?.filter((s) => s.count !== 0).map((s) => s.length);
    return Math.max(0, ...(own?.length ? own : (items.get(stock)?.lengths ?? []))) - doc.cutting.allowance;
  };
}

/** Structures framed before: a change to one leaves the others' documents the same objects, and so their frames. */
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
    readonly design: StructureDesign;
  }
>();

/** One variant of a structure as a design of its own, with its pieces: what a comparison sets side by side. */
export function designVariant(doc: JobDoc, structure: StructureDoc, variant: VariantDoc): Design {
  return designOf({ ...doc, structures: [{ ...structure, chosen: variant.id }] });
}

/** Everything a job makes: the chosen variant of each structure framed, its sticks grouped into marked pieces. `issued` are the marks given out with earlier issues. */
export function designOf(doc: JobDoc, issued: readonly IssuedMark[] = []): Design {
  const scale = scaleOf(doc.brief.scale.id, doc.brief.scale.ratio);
  const { stock, used } = stockLookup(doc, scale);
  const longest = longestStick(doc, scale);
  const structures = doc.structures.map((s) => {
    const variant = s.variants.find((v) => v.id === s.chosen) ?? s.variants[0]!;
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
      known.names.forEach(stock);
      return { ...known.design, structure: s };
    }
    const names = new Set<string>();
    const noted = (name: string): Match => (names.add(name), stock(name));
    const design = designStructure(s, variant, { structure: s.id, scale, stock: noted }, longest);
    framed.set(variant, {
      params: variant.params,
      overrides: variant.overrides,
      stock: doc.stock,
      cutting: doc.cutting,
      scale: doc.brief.scale,
      id: s.id,
      names,
      design,
    });
    return design;
  });
  const sticks = structures.flatMap((s) => s.resolved.sticks);
  let pieces: readonly Piece[] | undefined;
  const inUse = new Set<string>();
  // sticks of one timber come one after another and share its size
  let before: readonly [number, number] | undefined;
  for (const { member } of sticks)
    if (member.nominal !== before) inUse.add(nominalOf(member.kind, (before = member.nominal)));
  return {
    doc,
    scale,
    structures,
    // grouping takes longer than framing, and a drawing can be shown without it
    get pieces() {
      return (pieces ??= piecesOf(sticks, issued));
    },
    stock: new Map([...used].filter(([name]) => inUse.has(name)).sort()),
  };
}
