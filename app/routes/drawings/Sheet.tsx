import { useMemo, useState } from "react";
import type { Vec2 } from "core/geometry";
import { sheetSize, type DrawingDoc } from "core/job";
import { fromPixel } from "core/prototype";
import { Board } from "~/board/Board";
import { PictureTiles } from "~/board/PictureTiles";
import { Rule } from "~/board/Rule";
import { useJob } from "~/job/JobContext";
import { SidePanel } from "~/ui/SidePanel";
import { DrawingsList } from "./DrawingsList";
import { FoundMarks } from "./found/FoundMarks";
import { LinesLayer } from "./LinesLayer";
import { MeasuresPanel } from "./measure/MeasuresPanel";
import { ScalePanel } from "./scale/ScalePanel";
import { SheetContext, type Sheet as SheetApi } from "./sheet";
import { LiveMarks, SheetMarks } from "./SheetMarks";
import { StraightenForm } from "./straighten/StraightenForm";
import { TOOLS, type Tab } from "./tools";
import { TraceHandles, TraceMarks } from "./trace/TraceMarks";
import { TracePanel } from "./trace/TracePanel";
import { useSheetState } from "./useSheetState";
import { useTargets } from "./useTargets";
import { useTools } from "./useTools";
import type { Work } from "./WorkProgress";

const ORIGIN: Vec2 = [0, 0];
const PADDING = [24, 96, 24, 60] as const;
const TABS: readonly (readonly [Tab, string])[] = [
  ["scale", "Scale"],
  ["measures", "Measures"],
  ["trace", "Trace"],
];
interface Props {
  drawing: DrawingDoc;
  setWhich: (id: string) => void;
  upload: () => void;
  work: Work;
  refused: string | undefined;
}

/** One drawing in hand: on the board with its tools, and what is known of it at the right. */
export function Sheet(props: Props) {
  const state = useSheetState(props.drawing);
  return (
    <SheetContext value={state}>
      <SheetInside {...props} sheet={state} />
    </SheetContext>
  );
}

function SheetInside({ sheet, ...props }: Props & { sheet: ReturnType<typeof useSheetState> }) {
  const job = useJob();
  const { drawing, boardScale, onBoard, onPicture, tab, tool: toolId } = sheet;
  const [hover, setHover] = useState<Vec2>();
  const tools = useTools(sheet);
  const catchAt = useTargets();
  const { width, height } = sheetSize(drawing);
  const bounds = useMemo(() => {
    const c = (
      [
        [0, 0],
        [width, 0],
        [0, height],
        [width, height],
      ] as Vec2[]
    ).map((p) => fromPixel(boardScale, ORIGIN, p));
    return {
      min: [Math.min(...c.map((p) => p[0])), Math.min(...c.map((p) => p[1]))] as Vec2,
      max: [Math.max(...c.map((p) => p[0])), Math.max(...c.map((p) => p[1]))] as Vec2,
    };
  }, [boardScale, width, height]);
  const aiming = tools.tool.points > 0;
  const landed = aiming && hover ? catchAt(onPicture(hover)) : undefined;
  const straightening = toolId === "corners" || toolId === "guide";
  return (
    <>
      <div className="stage flex min-h-0 flex-1">
        <div className="stage-main relative flex min-w-0 flex-1">
          <Board
            label={`Drawing ${drawing.name}`}
            bounds={bounds}
            padding={PADDING}
            fitKey={drawing.id}
            onPoint={(p, sticks) => tools.press(aiming ? catchAt(onPicture(p)).at : onPicture(p), sticks)}
            onMove={setHover}
            onView={sheet.setView}
            cursor={aiming ? "crosshair" : undefined}
            overlay={(v) =>
              tab === "trace" && toolId === "look" && <TraceHandles view={v} snapAt={(p) => catchAt(p).at} />
            }
          >
            {(v) => (
              <>
                <rect width={v.width} height={v.height} fill="var(--shade)" />
                {drawing.picture && (
                  <PictureTiles picture={drawing.picture} scale={boardScale} anchor={ORIGIN} unit={1} view={v} />
                )}
                {sheet.lines && (
                  <LinesLayer
                    lines={sheet.lines}
                    hidden={drawing.lines!.hidden}
                    onBoard={onBoard}
                    view={v}
                    paper={!drawing.picture}
                  />
                )}
                {tab === "trace" && <TraceMarks view={v} />}
                {tab === "trace" && <FoundMarks view={v} />}
                <SheetMarks view={v} />
                <LiveMarks view={v} tool={tools.tool} hover={landed} />
              </>
            )}
          </Board>
          <div role="toolbar" aria-label="Tools" className="absolute top-2.5 right-2 left-4 flex flex-wrap gap-1.5">
            {TOOLS[tab].map((t) => (
              <button
                key={t.id}
                className="btn !px-2.5"
                aria-pressed={toolId === t.id}
                onClick={() => sheet.choose(t.id)}
              >
                {t.name}
              </button>
            ))}
          </div>
          <p
            className="absolute bottom-4 left-1/2 flex -translate-x-1/2 items-center gap-2 bg-film/90 px-3 py-1 text-[15px]"
            aria-live="polite"
          >
            {(toolId === "known" || toolId === "count") && sheet.points.length === 2
              ? "Now type at the right."
              : tools.tool.say}
            {tools.waiting && (
              <button className="link" onClick={tools.enter}>
                That is all
              </button>
            )}
          </p>
        </div>
        <SidePanel
          label="Drawing"
          head={
            <div role="tablist" className="flex border-b border-hair">
              {TABS.map(([id, name]) => (
                <button
                  key={id}
                  role="tab"
                  aria-selected={tab === id}
                  onClick={() => sheet.setTab(id)}
                  className={`head flex-1 py-2 text-[16px] ${tab === id ? "border-b-2 border-vermilion" : "text-ink-2"}`}
                >
                  {name}
                </button>
              ))}
            </div>
          }
        >
          {straightening && <StraightenForm open={props.setWhich} />}
          {tab === "scale" && !straightening && <ScalePanel />}
          {tab === "measures" && <MeasuresPanel />}
          {tab === "trace" && <TracePanel />}
          <DrawingsList {...props} />
        </SidePanel>
      </div>
      <div className="h-[52px] shrink-0 border-t border-hair bg-shade">
        <SheetRule sheet={sheet} ratio={job.design.scale.ratio} />
      </div>
    </>
  );
}

/** The two-way rule under a sheet whose scale is known. */
function SheetRule({ sheet, ratio }: { sheet: SheetApi; ratio: number }) {
  const job = useJob();
  const { scale, view } = sheet;
  return (
    <Rule
      view={scale ? view : undefined}
      scale={job.design.scale}
      units={job.doc.brief.units}
      perModel={scale && view ? (view.k / scale.kx) * ratio : 1}
    />
  );
}
