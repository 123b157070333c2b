import { MEASURES, type MeasureKind } from "core/prototype";

export type Tab = "scale" | "measures" | "trace";
export type ToolId =
  | "look"
  | "known"
  | "count"
  | "level"
  | "plumb"
  | "corners"
  | "guide"
  | "anchor"
  | "opening"
  | "edge"
  | "centre"
  | "copy"
  | "mirror"
  | "cross"
  | `measure:${MeasureKind}`;
export interface Tool {
  readonly id: ToolId;
  readonly name: string;
  /** What to do with it, as a sentence. */
  readonly say: string;
  /** Points it takes; 0 takes none, Infinity until the first is pressed again. */
  readonly points: number;
  /** With so many it can be ended by Enter. */
  readonly least?: number;
}
const LOOK: Tool = { id: "look", name: "Look", say: "Drag to move, turn the wheel to zoom.", points: 0 };
const ANCHOR: Tool = {
  id: "anchor",
  name: "Put under the frame",
  say: "Press where the structure's origin stands: a bent's is the middle of the top of its cap.",
  points: 1,
};
const measure = (kind: MeasureKind): Tool => ({
  id: `measure:${kind}`,
  name: MEASURES[kind].name,
  say: MEASURES[kind].say,
  points: MEASURES[kind].points || Infinity,
});

/** The tools of each tab, in the order they are worked with. */
export const TOOLS: Readonly<Record<Tab, readonly Tool[]>> = {
  scale: [
    LOOK,
    { id: "known", name: "Known length", say: "Press on both ends of a length you know.", points: 2 },
    {
      id: "count",
      name: "Count",
      say: "Press on the first and the last edge of a row of things whose size you know.",
      points: 2,
    },
    { id: "level", name: "Level", say: "Press on two points of a line that is level on the prototype.", points: 2 },
    { id: "plumb", name: "Plumb", say: "Press on two points of a line that is plumb on the prototype.", points: 2 },
    {
      id: "corners",
      name: "Straighten",
      say: "Press on the four corners of a rectangle whose size you know.",
      points: 4,
    },
    ANCHOR,
  ],
  measures: [
    LOOK,
    ...(Object.keys(MEASURES) as MeasureKind[]).map(measure),
    { id: "opening", name: "Opening", say: "Press on two opposite corners of the opening.", points: 2 },
  ],
  trace: [
    { ...LOOK, id: "look", name: "Pick", say: "Press on a member to change it; drag its round ends." },
    {
      id: "edge",
      name: "Along an edge",
      say: "Press on both ends of an edge, then on the other edge, or Enter for the section chosen.",
      points: 3,
      least: 2,
    },
    {
      id: "centre",
      name: "Along the middle",
      say: "Press on both ends of the middle line, then on an edge, or Enter for the section chosen.",
      points: 3,
      least: 2,
    },
    {
      id: "copy",
      name: "Copy",
      say: "Press where from and where to: the picked member is copied by as much.",
      points: 2,
    },
    { id: "mirror", name: "Centre line", say: "Press on the centre line: the other half is drawn for you.", points: 1 },
    { id: "cross", name: "Across", say: "Press on a member where something lies on it across the width.", points: 1 },
    ANCHOR,
  ],
};
/** Ends the straight guide that is being drawn: a tool that belongs to straightening. */
export const GUIDE: Tool = {
  id: "guide",
  name: "Straight guide",
  say: "Press on three or more points along something straight; Enter ends it.",
  points: Infinity,
  least: 3,
};
export const toolOf = (tab: Tab, id: ToolId): Tool =>
  (id === "guide" ? GUIDE : TOOLS[tab].find((t) => t.id === id)) ?? LOOK;
