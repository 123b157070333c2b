import { NEAR } from "../../geometry";
import { feet, inches } from "../../units";
import type { Params } from "../kind";
import type { Row } from "../spec";
import { WALLS } from "./layout";
import { sheetSpec, type SheetValues } from "./parameters";

/** What is kept free beside a new opening, to a corner and to its neighbours, prototype mm: room for any mounting, trim and shutters. */
const CLEAR = feet(2);

/** A new opening: like the last one, else the usual window, in the first free place of its wall or of the next; lower where the wall is. Bands and chimneys likewise. Undefined for another table. */
export function newOpening(v: SheetValues, path: string): Params | undefined {
  if (path === "bands") return newBand(v);
  if (path === "chimneys") return newChimney(v);
  if (path !== "openings") return undefined;
  const usual = Object.fromEntries(Object.entries(sheetSpec.openings.columns).map(([k, c]) => [k, c.def])) as Row;
  const like = (v.openings.at(-1) ?? usual) as SheetValues["openings"][number];
  const height = Math.max(inches(6), Math.min(like.height, v.wallHeight - like.sill - feet(1)));
  const first = WALLS.indexOf(like.wall as never);
  for (const wall of [...WALLS.slice(first), ...WALLS.slice(0, first)]) {
    const length = wall === "front" || wall === "back" ? v.length : v.width;
    for (let at = CLEAR + like.width / 2; at <= length - CLEAR - like.width / 2 + NEAR; at += inches(6)) {
      const taken = v.openings.some(
        (o) => o.wall === wall && Math.abs(o.at - at) < (o.width + like.width) / 2 + CLEAR - NEAR,
      );
      if (!taken) return { ...like, wall, at, height };
    }
  }
  return { ...like, at: feet(2), width: feet(1), height };
}

/** A new band: like the last one, else the usual, as high as it may go clear of openings and other bands. */
function newBand(v: SheetValues): Params {
  const usual = Object.fromEntries(Object.entries(sheetSpec.bands.columns).map(([k, c]) => [k, c.def])) as Row;
  const like = { ...(v.bands.at(-1) ?? usual) } as SheetValues["bands"][number];
  const taken = [
    ...v.openings.map((o) => [o.sill - CLEAR / 4, o.sill + o.height + CLEAR / 2] as const),
    ...v.bands.map((b) => [b.at - b.high - inches(3), b.at + inches(3)] as const),
  ];
  const most = v.wallHeight + (v.roof === "flat" ? v.parapet : 0) - inches(12);
  for (let at = most; at > like.high + inches(3); at -= inches(3))
    if (taken.every(([a, b]) => at + inches(2) < a || at - like.high > b)) return { ...like, at };
  return { ...like, at: most };
}
/** A new chimney on the ridge, of a shed in the middle, beside those that stand there. */
function newChimney(v: SheetValues): Params {
  const usual = Object.fromEntries(Object.entries(sheetSpec.chimneys.columns).map(([k, c]) => [k, c.def])) as Row;
  const like = { ...(v.chimneys.at(-1) ?? { ...usual, in: v.width / 2 }) } as SheetValues["chimneys"][number];
  for (let at = CLEAR + like.width; at < v.length - CLEAR - like.width; at += inches(6))
    if (v.chimneys.every((c) => Math.abs(c.at - at) > c.width + like.width)) return { ...like, at };
  return { ...like, at: v.length / 2 };
}
