import { useMemo, useState } from "react";
import type { FoundMember } from "core/found";
import type { Vec2 } from "core/geometry";
import { scaleOfDrawing, type DrawingDoc } from "core/job";
import { fromPixel, toPixel, type SheetScale } from "core/prototype";
import type { BoardView } from "~/board/Board";
import { useJob } from "~/job/JobContext";
import { useLines } from "~/sources/useLines";
import type { Sheet } from "./sheet";
import type { Tab, ToolId } from "./tools";
import { FIRST_SETTINGS, type TraceSettings } from "./trace/useTrace";

const ORIGIN: Vec2 = [0, 0];

/** All that one drawing in hand keeps for its panels and marks. */
export function useSheetState(drawing: DrawingDoc): Sheet & { setView(v: BoardView): void; boardScale: SheetScale } {
  const job = useJob();
  const lines = useLines(drawing.lines?.hash);
  const [tab, setTabNow] = useState<Tab>(drawing.calibration ? "measures" : "scale");
  const [tool, setTool] = useState<ToolId>("look");
  const [points, setPoints] = useState<readonly Vec2[]>([]);
  const [view, setView] = useState<BoardView>();
  const [picked, pick] = useState<string>();
  const [settings, setAllSettings] = useState<TraceSettings>(FIRST_SETTINGS);
  const [found, setFound] = useState<readonly FoundMember[]>([]);
  const [lens, setLens] = useState(0);
  const [guides, setGuides] = useState<readonly (readonly Vec2[])[]>([]);
  const [corners, setCorners] = useState<readonly Vec2[]>([]);
  const traced = job.doc.structures.filter((s) => s.kind === "traced");
  const [chosen, setStructure] = useState<string | undefined>(
    () => (traced.find((s) => drawing.under.some((u) => u.structure === s.id)) ?? traced[0])?.id,
  );
  const structure = traced.some((s) => s.id === chosen) ? chosen : undefined;
  const scale = useMemo(() => scaleOfDrawing(drawing), [drawing]);
  // the board shows the sheet upright and unstretched, a unit to the pixel across, whatever its scale
  const boardScale = useMemo<SheetScale>(
    () => ({ kx: 1, ky: scale ? scale.ky / scale.kx : 1, tilt: scale?.tilt ?? drawing.calibration?.tilt ?? 0 }),
    [scale, drawing.calibration?.tilt],
  );
  return {
    drawing,
    lines,
    scale,
    boardScale,
    change: (label, f) => job.edit(label, (d) => f(d.drawings.find((x) => x.id === drawing.id)! as DrawingDoc)),
    onBoard: (p) => fromPixel(boardScale, ORIGIN, p),
    onPicture: (p) => toPixel(boardScale, ORIGIN, p),
    view,
    setView,
    tab,
    setTab: (t) => {
      setTabNow(t);
      setTool("look");
      setPoints([]);
      if (t !== "trace" && structure && job.selected?.startsWith(`${structure}/`)) job.select(undefined);
    },
    tool,
    choose: (t) => {
      // a guide is drawn while the corners wait
      if (t === "guide") setCorners(points);
      setTool(t);
      setPoints(t === "corners" && tool === "guide" ? corners : []);
    },
    points,
    setPoints,
    picked,
    pick,
    structure,
    setStructure,
    settings,
    setSettings: (s) => setAllSettings((now) => ({ ...now, ...s })),
    found,
    setFound,
    lens,
    setLens,
    guides,
    setGuides,
  };
}
