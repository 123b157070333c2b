import { planItem, stockLengths, wantedByItem } from "../cutting";
import { volumeOf } from "../geometry";
import { designVariant, type JobDoc } from "../job";
import { lookOf, stockItem, tubeOf } from "../lumber";
import { findings } from "./findings";

/** A variant of a structure in figures, to be set beside others. */
export interface Comparison {
  readonly variant: string;
  /** Pieces to cut, as the board counts them. */
  readonly pieces: number;
  /** Different ones: rows of the cut list, each with its mark. */
  readonly marks: number;
  /** Positions of the stop: different cut lengths of each stock. */
  readonly setUps: number;
  readonly sticks: number;
  /** Of the sticks, where prices are given; undefined where none is. */
  readonly price: number | undefined;
  /** Joints that touch and take glue. */
  readonly glueJoints: number;
  /** Of the model, g. */
  readonly weight: number;
  readonly faults: number;
  readonly warnings: number;
  readonly remarks: number;
  /** Why it could not be framed; then the figures are 0. */
  readonly fault?: string;
}
/** g/cm³: basswood and like woods, and polystyrene. From memory. */
const DENSITY = { wood: 0.42, styrene: 1.05 } as const;
/** What of a stick's section is material: of a tube its wall. */
function solidShare(stock: string): number {
  const tube = tubeOf(stock);
  return tube ? 1 - (1 - (2 * tube.wall) / tube.width) ** 2 : 1;
}

/** Every variant of a structure in figures. Sticks are planned largest first, so a longer search may spare one. */
export function compareVariants(doc: JobDoc, structure: string): Promise<readonly Comparison[]> {
  const s = doc.structures.find((x) => x.id === structure);
  return Promise.all((s?.variants ?? []).map((v) => compareVariant(doc, structure, v.id)));
}

async function compareVariant(doc: JobDoc, structure: string, variant: string): Promise<Comparison> {
  const s = doc.structures.find((x) => x.id === structure)!;
  const d = designVariant(
    doc,
    s,
    s.variants.find((v) => v.id === variant)!,
  );
  const one = d.structures[0]!;
  const zero = { variant, pieces: 0, marks: 0, setUps: 0, sticks: 0, price: undefined, glueJoints: 0, weight: 0 };
  if (one.fault) return { ...zero, faults: 1, warnings: 0, remarks: 0, fault: one.fault };
  let [sticks, cost, priced] = [0, 0, false];
  const lengths = new Set<string>();
  for (const [id, wanted] of wantedByItem(d.pieces, doc.cutting)) {
    const item = stockItem(d.scale, id)!;
    for (const w of wanted) lengths.add(`${id}|${Math.round(w.length * 50)}`);
    const own = doc.stock.sticks[id];
    const plan = await planItem({ item, wanted, lengths: stockLengths(item, own), settings: doc.cutting });
    sticks += plan.sticks.length;
    for (const k of plan.sticks) {
      const price = own?.find((o) => Math.abs(o.length - k.length) < 0.01)?.price ?? 0;
      cost += price;
      priced ||= price > 0;
    }
  }
  const weight = one.resolved.sticks.reduce((g, k) => {
    const dense = lookOf(k.stock) !== "timber" || k.stock === "sheet" ? DENSITY.styrene : DENSITY.wood;
    return (
      g + (k.stock === "cast" ? 0 : (k.parts.reduce((v, p) => v + volumeOf(p), 0) / 1000) * dense * solidShare(k.stock))
    );
  }, 0);
  const found = findings(d).filter(
    (f) => f.aside === undefined && (f.structure === structure || f.structure === undefined),
  );
  const level = (l: string): number => found.filter((f) => f.level === l).length;
  const glued = one.resolved.frame.joints.filter((j) => j.kind !== "trim" && j.contact !== "gap").length;
  return {
    variant,
    pieces: one.resolved.sticks.length,
    marks: d.pieces.length,
    setUps: lengths.size,
    sticks,
    price: priced ? cost : undefined,
    glueJoints: glued + one.resolved.frame.nodes.reduce((n, x) => n + x.tiers.flat().length, 0),
    weight,
    faults: level("fault"),
    warnings: level("warning"),
    remarks: level("remark"),
  };
}
