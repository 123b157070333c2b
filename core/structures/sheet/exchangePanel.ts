import { sheetOf } from "../../lumber";
import type { PanelBody } from "../../frame";
import type { Vec2 } from "../../geometry";
import { holeUnder, underArch, type Arch } from "../layered/arch";
import { rectangleHole, rectangleOf } from "../panel";
import type { OpeningPart } from "./layeredOpenings";
import type { SheetValues } from "./parameters";

/** An opening that takes a panel to be exchanged; x from its middle, y from its foot. Model mm. */
export interface ExchangeSeed {
  readonly half: number;
  readonly height: number;
  /** It stands on the floor: its stop has no foot. */
  readonly door: boolean;
  /** What the panel rests on at least, and what the stop is glued by. */
  readonly lap: number;
  /** Thickness of the wall. */
  readonly stack: number;
  readonly arch: Arch | undefined;
}
type Values = Pick<SheetValues, "panelSheet" | "panelBack" | "magnet" | "panelKey" | "room">;
/** Sides that a round hole is drawn with. */
const ROUND = 24;
/** What stays round a magnet, model mm: common practice. */
const ROUND_MAGNET = 0.5;

/** How wide the rim is that the panel rests on, inside the opening: for its lap, a magnet and the key. Model mm. */
export const rimOf = (v: Values, s: Pick<ExchangeSeed, "lap">): number =>
  Math.max(s.lap, v.magnet > 0 ? v.magnet + 2 * ROUND_MAGNET : 0, v.panelKey);

/**
 * A panel that comes out again, for another era or another sign: a face on a backing, as large as the opening less the
 * room all round, that rests on a stop glued behind the wall. The stop is of the backing's sheet; so is a key glued on it
 * in the lower left corner, over which the backing alone is cut away, so that the face hides it and the panel goes in one
 * way only. Magnets, or pins of that size, go through backing and stop half way up at both sides. On a wall of 2.54 mm a
 * panel of 0.51 on 1.02 stands 1.01 back. Model mm.
 */
export function exchangePanel(v: Values, s: ExchangeSeed): OpeningPart[] {
  const [face, back] = [sheetOf(`sheet/${v.panelSheet}`)!, sheetOf(`sheet/${v.panelBack}`)!];
  const rim = rimOf(v, s);
  const { half, height, arch } = s;
  const within = (grow: number): readonly Vec2[] => {
    const o = rectangleOf([-half - grow, half + grow], [s.door ? 0 : -grow, height + grow]);
    return arch ? underArch(o, arch, grow) : o;
  };
  const magnets = v.magnet > 0 ? [-1, 1].map((side, i) => round(`magnet${i + 1}`, side * (half - rim / 2), height / 2, v.magnet / 2)) : []; // prettier-ignore
  const light = holeUnder(rectangleHole("light", [-half + rim, half - rim], [s.door ? -1 : rim, height - rim]), arch, -rim); // prettier-ignore
  const corner = -half + v.panelKey + v.room;
  const notch = v.panelKey > 0 ? [rectangleHole("key", [-half - 1, corner], [-1, v.panelKey + v.room])] : [];
  const depth = s.stack - face.thickness - back.thickness;
  const part = (name: OpeningPart["part"], item: OpeningPart["item"], at: number, outline: readonly Vec2[], more: Partial<OpeningPart>): OpeningPart => ({ part: name, name, outline, holes: [], item, depth: at, front: [], behind: [], loose: false, ...more }); // prettier-ignore
  return [
    part("panel", face, depth, within(-v.room), { behind: ["panel back"], loose: true }),
    part("panel back", back, depth + face.thickness, within(-v.room), { holes: [...notch, ...magnets], loose: true }),
    part("panel stop", back, s.stack, within(s.lap), { holes: [light, ...magnets], front: ["wall"] }),
    ...(v.panelKey > 0 ? [part("panel key", back, s.stack - back.thickness, rectangleOf([-half, -half + v.panelKey], [0, v.panelKey]), { behind: ["panel stop"] })] : []), // prettier-ignore
  ];
}
/** A round hole that a circle of the radius goes through. */
function round(name: string, x: number, y: number, radius: number): PanelBody["holes"][number] {
  const r = radius / Math.cos(Math.PI / ROUND);
  const outline = Array.from({ length: ROUND }, (_, i): Vec2 => [x + r * Math.cos((2 * Math.PI * i) / ROUND), y + r * Math.sin((2 * Math.PI * i) / ROUND)]); // prettier-ignore
  return { name, outline, bevel: outline.map(() => 0) };
}
/** Why an opening has no room for such a panel, in model mm: what it wants across and up; undefined where it has. */
export function exchangeWants(
  v: Values,
  s: ExchangeSeed,
): { readonly width: number; readonly height: number } | undefined {
  const rim = rimOf(v, s);
  const wants = { width: 2 * rim + 1, height: Math.max(2 * rim + 1, 2 * (v.panelKey + v.magnet / 2 + 1), s.arch ? s.arch.rise + rim + v.magnet : 0) }; // prettier-ignore
  return 2 * s.half < wants.width || s.height < wants.height ? wants : undefined;
}
