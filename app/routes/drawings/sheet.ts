import { createContext, useContext } from "react";
import type { Vec2 } from "core/geometry";
import type { DrawingDoc } from "core/job";
import type { FoundMember } from "core/found";
import type { SheetScale } from "core/prototype";
import type { SheetLines } from "core/sources";
import type { BoardView } from "~/board/Board";
import type { TraceSettings } from "./trace/useTrace";
import type { Tab, ToolId } from "./tools";

/** One drawing in hand: what its panels and marks share. Points are in the drawing's pixels. */
export interface Sheet {
  readonly drawing: DrawingDoc;
  readonly lines: SheetLines | undefined;
  /** Undefined while nothing gives a scale. */
  readonly scale: SheetScale | undefined;
  change(label: string, f: (d: DrawingDoc) => void): readonly string[];
  /** A pixel on the board, and back. */
  onBoard(p: Vec2): Vec2;
  onPicture(p: Vec2): Vec2;
  readonly view: BoardView | undefined;
  readonly tab: Tab;
  setTab(t: Tab): void;
  readonly tool: ToolId;
  choose(t: ToolId): void;
  /** Points pressed with the tool in hand. */
  readonly points: readonly Vec2[];
  setPoints(p: readonly Vec2[]): void;
  /** The measure, known length or opening that is picked. */
  readonly picked: string | undefined;
  pick(id: string | undefined): void;
  /** The traced structure that is drawn into. */
  readonly structure: string | undefined;
  setStructure(id: string | undefined): void;
  readonly settings: TraceSettings;
  setSettings(s: Partial<TraceSettings>): void;
  readonly found: readonly FoundMember[];
  setFound(f: readonly FoundMember[]): void;
  /** Straightening in hand. */
  readonly lens: number;
  setLens(k: number): void;
  readonly guides: readonly (readonly Vec2[])[];
  setGuides(g: readonly (readonly Vec2[])[]): void;
}
export const SheetContext = createContext<Sheet | undefined>(undefined);
export function useSheet(): Sheet {
  const s = useContext(SheetContext);
  if (!s) throw new Error("useSheet stands outside a drawing.");
  return s;
}
export const newId = (letter: string): string => `${letter}${crypto.randomUUID().slice(0, 6)}`;
/** To a hundredth of a pixel, as it is kept. */
export const kept = (p: Vec2): [number, number] => [Number(p[0].toFixed(3)), Number(p[1].toFixed(3))];
