import { sheetOf, type SheetItem } from "../../lumber";
import type { PanelBody } from "../../frame";
import { NEAR, type Vec2 } from "../../geometry";
import { inches, prototype } from "../../units";
import type { Context, WallOpening } from "../kind";
import { openingLayers, type LayeredSeed, type LayeredStyle, type LayerName } from "../layered/openingLayers";
import { holeUnder, ringPast, underArch, voussoirs, type Arch } from "../layered/arch";
import { rectangleHole, rectangleOf } from "../panel";
import { exchangePanel, type ExchangeSeed } from "./exchangePanel";
import type { SheetValues } from "./parameters";

type OpeningRow = SheetValues["openings"][number];
export const inLayers = (o: Pick<OpeningRow, "mount">): boolean => o.mount.startsWith("layers");
/** What holds an opening's layers: a panel to be exchanged is always pushed in. */
export const mountOf = (o: Pick<OpeningRow, "mount" | "style">): string =>
  inLayers(o) && exchanged(o) ? "layersIn" : o.mount;
export const exchanged = (o: Pick<OpeningRow, "mount" | "style">): boolean => inLayers(o) && o.style === "exchange";
export type PartName =
  | LayerName
  | "panel"
  | "panel back"
  | "panel stop"
  | "panel key"
  | "casing"
  | "sill"
  | "shutter"
  | "lintel"
  | "voussoir"
  | "stone sill";

/** A sheet part of an opening: x from its middle, y from its foot, and how far its outer face lies in from the wall's outside. Model mm. */
export interface OpeningPart {
  readonly part: PartName;
  readonly name: string;
  readonly outline: readonly Vec2[];
  readonly holes: PanelBody["holes"];
  readonly item: SheetItem;
  readonly depth: number;
  /** The parts it is glued to by its outer face, and those by its inner; "wall" is the layer there. */
  readonly front: readonly string[];
  readonly behind: readonly string[];
  /** Put in without glue, or not, whatever the others are. */
  readonly loose?: boolean;
}
/** What is made for an opening, how far it reaches past it inside and outside of the wall, and into the room. Model mm. */
export interface MadeOpening {
  readonly gap: WallOpening;
  readonly parts: readonly OpeningPart[];
  /** Put in without glue between its layers and the wall. */
  readonly loose: boolean;
  /** Past each side behind, past each side and the head before, and below its foot before. */
  readonly reach: { readonly inner: number; readonly outer: readonly [number, number]; readonly head: number; readonly sill: number }; // prettier-ignore
  readonly into: number;
  readonly seed?: LayeredSeed;
  readonly exchange?: ExchangeSeed;
  /** The arch that it ends under, as it is seen, over the floor. */
  readonly arch?: Arch;
}
/** How far an opening's head rises over its springing, prototype mm; 0 where it is square. */
export const riseOf = (o: Pick<OpeningRow, "head" | "width" | "rise">): number =>
  o.head === "round" ? o.width / 2 : o.head === "segmental" ? o.rise : 0;
interface Made {
  readonly v: SheetValues;
  readonly ctx: Context;
  readonly mm: (prototypeMm: number) => number;
  /** Of the wall's layers, from the outside. */
  readonly thick: readonly number[];
}

/** Widths of the parts as they are cut: nothing narrower than what survives. Model mm. */
export function layeredSeed({ v, mm }: Pick<Made, "v" | "mm">, o: OpeningRow, gap: WallOpening): LayeredSeed {
  const cut = (proto: number): number => Math.max(mm(proto), v.leastBar);
  return {
    style: o.style as LayeredStyle,
    door: o.kind === "door",
    width: gap.to - gap.from,
    height: gap.head - gap.sill,
    lap: mountOf(o) === "layersIn" ? -v.room : mm(o.lap),
    edge: cut(v.frameEdge),
    stile: cut(v.stile),
    bottomRail: cut(v.bottomRail),
    bar: cut(v.bar),
    across: o.across,
    up: o.up,
    ledge: cut(v.ledgeWide),
    seam: mm(inches(0.5)),
    rise: mm(riseOf(o)),
  };
}
const sheet = (id: string): SheetItem => sheetOf(`sheet/${id}`)!;
const of = (m: Made, part: LayerName): SheetItem => {
  if (part === "glazing") return sheet(m.v.glazing);
  if (/boards$/.test(part)) return m.ctx.sheet({ texture: "scribed", pitch: prototype(m.v.doorBoard) }).item;
  return sheet(/frame|ledge|brace/.test(part) ? m.v.frameSheet : m.v.sashSheet);
};

/** What is made for an opening: its layers from the seat inwards, trim, sill and shutters on the wall's face. Nothing for a casting without shutters. */
export function madeOpening(m: Made, o: OpeningRow, gap: WallOpening): MadeOpening {
  const { v, mm } = m;
  const layers = inLayers(o);
  const swaps = exchanged(o);
  const seed = layers && !swaps ? layeredSeed(m, o, gap) : undefined;
  const stack = m.thick.reduce((s, t) => s + t, 0);
  const seat = o.mount === "layersIn" ? mm(v.reveal) : o.mount === "layers" ? m.thick[0]! : stack;
  const parts: OpeningPart[] = [];
  let into = 0;
  if (seed) {
    const all = openingLayers(seed).map((p) => ({ p, item: of(m, p.layer) }));
    const orders = [...new Set(all.map(({ p }) => p.order))];
    let depth = seat;
    const at = new Map<number, number>();
    for (const k of orders) {
      at.set(k, depth);
      depth += Math.max(...all.filter(({ p }) => p.order === k && !p.on).map(({ item }) => item.thickness));
    }
    into = depth - stack;
    for (const { p, item } of all) {
      const before = p.order === 0 ? (o.mount === "layersIn" ? [] : ["wall"]) : all.filter(({ p: q }) => q.order === p.order - 1 && !q.on).map(({ p: q }) => q.name); // prettier-ignore
      parts.push({
        part: p.layer,
        name: p.name,
        outline: p.outline,
        holes: p.holes,
        item,
        depth: at.get(p.order)! - (p.on ? item.thickness : 0),
        front: p.on ? [] : before,
        behind: p.on ? [p.on] : [],
      });
    }
  }
  const trim = layers ? mm(v.casing) : 0;
  const half = mm(o.width) / 2;
  const [low, high] = layers ? [0, gap.head - gap.sill] : [mm(o.sill) - gap.sill, mm(o.sill + o.height) - gap.sill];
  const rise = mm(riseOf(o));
  const arch: Arch | undefined = rise > 0 ? { half, rise, crown: high } : undefined;
  const exchange: ExchangeSeed | undefined = swaps ? { half, height: high, door: gap.door, lap: mm(o.lap), stack, arch } : undefined; // prettier-ignore
  if (exchange) {
    parts.push(...exchangePanel(v, exchange));
    into = sheet(v.panelBack).thickness;
  }
  const onFace = (part: PartName, name: string, item: SheetItem, outline: readonly Vec2[], holes: PanelBody["holes"] = []) => parts.push({ part, name, outline, holes, item, depth: -item.thickness, front: [], behind: ["wall"] }); // prettier-ignore
  const outside = (part: PartName, name: string, item: SheetItem, x: Pair, y: Pair): unknown => onFace(part, name, item, rectangleOf(x, y)); // prettier-ignore
  const horn = layers && trim > 0 && !gap.door ? trim + mm(v.sillHigh) / 2 : 0;
  if (layers && trim > 0) {
    const around = rectangleOf([-half - trim, half + trim], [0, high + trim]);
    onFace("casing", "casing", sheet(v.trimSheet), arch ? underArch(around, arch, trim) : around, [holeUnder(rectangleHole("light", [-half, half], [-1, high]), arch, 0)]); // prettier-ignore
    if (horn > 0) outside("sill", "sill", sheet(v.sillSheet), [-half - horn, half + horn], [-mm(v.sillHigh), 0]);
  }
  // what has no trim may have stone over and under it
  const bare = !layers || trim === 0;
  const lap = half + mm(v.stoneLap);
  const [over, below] = [bare ? mm(v.lintel) : 0, bare && !gap.door ? mm(v.stoneSill) : 0];
  if (over > 0 && arch)
    voussoirs(arch, over, v.archStones).forEach(({ outline, hollow }, i) =>
      onFace("voussoir", `voussoir ${i + 1}`, sheet(v.stoneSheet), outline, [{ name: "arch", outline: hollow, bevel: hollow.map(() => 0) }])); // prettier-ignore
  else if (over > 0) outside("lintel", "lintel", sheet(v.stoneSheet), [-lap, lap], [high, high + over]);
  if (below > 0) outside("stone sill", "stone sill", sheet(v.stoneSheet), [-lap, lap], [low - below, low]);
  const shutter = { left: o.shutters === "left" || o.shutters === "both", right: o.shutters === "right" || o.shutters === "both" }; // prettier-ignore
  const beside = half + Math.max(trim, over > 0 && arch ? ringPast(arch, over) : 0);
  // a leaf is half of the opening, hung on its side: under an arch it is high at the stile that meets the other when shut
  const leaf = (sign: 1 | -1): readonly Vec2[] => {
    if (!arch) return rectangleOf(sign > 0 ? [beside, beside + half] : [-beside - half, -beside], [low, high]);
    const shut = underArch(rectangleOf(sign > 0 ? [0, half] : [-half, 0], [low, high]), arch, 0);
    return shut.map(([x, y]): Vec2 => [sign * (beside + half) - x, y]).toReversed();
  };
  if (shutter.left) onFace("shutter", "left shutter", sheet(v.trimSheet), leaf(-1));
  if (shutter.right) onFace("shutter", "right shutter", sheet(v.trimSheet), leaf(1));
  // a flange stands out past the hole
  const grow = half - (gap.to - gap.from) / 2;
  const side = (has: boolean): number =>
    grow +
    Math.max(
      horn,
      trim,
      has ? beside : 0,
      over > 0 && arch ? ringPast(arch, over) : 0,
      (over > 0 && !arch) || below > 0 ? mm(v.stoneLap) : 0,
    );
  const behind = swaps ? mm(o.lap) : o.mount === "layersIn" || !layers ? 0 : mm(o.lap) + (o.mount === "layers" && m.thick.length > 1 ? v.fit : 0); // prettier-ignore
  return {
    gap,
    parts,
    loose: mountOf(o) === "layersIn",
    reach: { inner: behind, outer: [side(shutter.left), side(shutter.right)], head: Math.max(layers ? trim : 0, over > 0 ? high + over - (gap.head - gap.sill) : 0), sill: Math.max(horn > 0 ? mm(v.sillHigh) : 0, below > 0 ? below - low : 0) }, // prettier-ignore
    into,
    ...(seed ? { seed } : {}),
    ...(exchange ? { exchange } : {}),
    ...(arch ? { arch: { ...arch, crown: arch.crown + gap.sill } } : {}),
  };
}
type Pair = readonly [number, number];
/** The opening in a wall's layer: as it is seen, or in what lies behind the face as large as what is let in there; a door's runs out at the foot of its wall. Across from the wall's left end, up from the floor. */
export function holeIn(made: MadeOpening, o: OpeningRow, layer: number, foot: number): PanelBody["holes"][number] {
  const more = mountOf(o) === "layers" && layer > 0 ? made.reach.inner : 0;
  const { name, from, to, sill, head, door } = made.gap;
  const low = !door ? sill - more : sill <= foot + NEAR ? foot - 1 : sill;
  const [middle, half] = [(from + to) / 2, (to - from) / 2 + more];
  const { outline, ...hole } = holeUnder(rectangleHole(name, [-half, half], [low, head + more]), made.arch, half - (made.arch?.half ?? 0)); // prettier-ignore
  return { ...hole, outline: outline.map(([x, y]): Vec2 => [middle + x, y]) };
}
