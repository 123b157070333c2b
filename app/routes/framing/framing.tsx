import { Popover, PopoverButton, PopoverPanel } from "@headlessui/react";
import { ChevronDownIcon } from "@heroicons/react/20/solid";
import { lazy, Suspense, useMemo, useState } from "react";
import { toast } from "sonner";
import { boundsOfShown, type Seen, type View } from "core/drawing";
import { scaleOfDrawing } from "core/job";
import { fromPixel } from "core/prototype";
import { kindOf, paramAt, printParam, type Dimension } from "core/structures";
import { model, printMm, printModel, tellIn } from "core/units";
import { Board, type BoardView } from "~/board/Board";
import { DimensionFigures, DimensionLines, placeDimensions } from "~/board/Dimensions";
import { Handles } from "~/board/Handles";
import { ParamsPanel } from "~/board/ParamsPanel";
import { PictureTiles } from "~/board/PictureTiles";
import { Rule } from "~/board/Rule";
import { ROLE_LEGEND, Sticks } from "~/board/Sticks";
import { Ticket } from "~/board/Ticket";
import { LastPicture } from "~/job/LastPicture";
import { useJob } from "~/job/JobContext";
import { useTicket } from "~/job/useTicket";
import { Figure, useUnits } from "~/job/units";
import { Changes } from "~/ui/Changes";
import { Findings } from "~/ui/Findings";
import { NotFramed } from "./NotFramed";
import { useLines } from "~/sources/useLines";
import { SidePanel } from "~/ui/SidePanel";
import { LinesLayer } from "../drawings/LinesLayer";
import { FramingStart } from "./FramingStart";
import { FindingMarks } from "./FindingMarks";
import { Marks } from "./Marks";
import { TracedNote } from "./TracedNote";
import { UnderControls } from "./UnderControls";
import { VariantBar } from "./VariantBar";
import { PAINT_FROM, SticksCanvas } from "~/board/SticksCanvas";
import { sticksUnder } from "~/board/sticksUnder";
import { forceTint, useForces } from "./useForces";
import { GroundHandles, GroundLine, groundLine, useGroundTool, useTrestle } from "./Ground";
import { PartMenu } from "./PartMenu";
import { useLook } from "./useLook";
import { useUnseen } from "./useUnseen";

const Space = lazy(() => import("./space/SpaceOf"));
const ForcesPanel = lazy(() => import("./Forces"));
const Compare = lazy(() => import("./Compare"));

/** What the board is fitted to while nothing is framed. */
const NO_STICKS: readonly Seen[] = [];
const NOTHING = { min: [-30, -60], max: [30, 0] } as const;
const PADDING = [118, 96, 130, 126] as const;

export default function Framing() {
  const job = useJob();
  const { P, M } = useUnits();
  const [which, setWhich] = useState(0);
  const [picked, setView] = useState<{ structure: string; view: View["id"] | "space" }>();
  const [tab, setTab] = useState<"piece" | "parameters" | "forces">("piece");
  const [show, setShow] = useState({ dims: true, marks: true, roles: false, forces: false });
  const [part, setPart] = useState<{ structure: string; build: string }>();
  const [bare, setBare] = useState(false);
  const [comparing, setComparing] = useState(false);
  const [cursor, setCursor] = useState<readonly [number, number]>();
  const [board, setBoard] = useState<BoardView>();
  const [said, setSaid] = useState("");
  const wanted = job.design.structures[Math.min(which, job.design.structures.length - 1)];
  const wantedView = picked && picked.structure === wanted?.structure.id ? picked.view : (wanted?.kind.home ?? "front");
  const inSpace = wantedView === "space";
  const { looked, fresh } = useLook(
    wanted,
    inSpace ? wanted!.kind.home : wantedView,
    part?.structure === wanted?.structure.id ? part?.build : undefined,
    bare,
  );
  // all that stands on the board is of the design that its picture is of
  const design = looked?.design;
  const fault = looked?.look.fault;
  const shown = looked?.look.shown ?? NO_STICKS;
  const view = looked?.at.view ?? "front";
  const home = design?.kind.home ?? "front";
  const unseen = useUnseen(wanted);
  const builds = looked?.look.builds ?? [];
  const build = builds.find((b) => b.id === looked?.at.build);
  const large = shown.length > PAINT_FROM;
  const trestle = useTrestle(design, fault);
  const forces = useForces(design, fault);
  const ground = useGroundTool(design?.structure.id, trestle);
  const ticket = useTicket();
  const bounds = useMemo(() => boundsOfShown(shown) ?? NOTHING, [shown]);
  const dims = useMemo(
    () => (design && !fault ? design.kind.dimensions(design.variant.params, design.context) : []),
    [design, fault],
  );
  const hidden = useMemo(() => {
    // only of a single frame is what lies behind it drawn dashed
    if (design?.kind.home !== "front") return new Set<string>();
    const depth = Math.min(...shown.filter((s) => /post|cap|sill/.test(s.role)).map((s) => s.far));
    return new Set(shown.filter((s) => s.near <= depth + 0.01).map((s) => s.id));
  }, [shown, design]);
  const structureId = design?.structure.id;
  const drawing = job.doc.drawings.find(
    (d) => d.under.some((u) => u.structure === structureId && u.view === view) && scaleOfDrawing(d),
  );
  const under = drawing?.under.find((u) => u.structure === structureId && u.view === view);
  const sheetScale = drawing && scaleOfDrawing(drawing);
  const lines = useLines(drawing?.lines?.hash);
  if (!wanted) return <FramingStart />;
  if (!design)
    return (
      <div aria-busy className="grid h-full place-items-center">
        <LastPicture />
      </div>
    );
  if (comparing && design.structure.variants.length > 1)
    return (
      <Suspense fallback={<p className="p-8 text-ink-2">Setting them side by side …</p>}>
        <Compare structure={design.structure} close={() => setComparing(false)} />
      </Suspense>
    );

  const s = wanted.structure;
  const placed = job.findings.filter((f) => f.structure === s.id && f.at && f.aside === undefined);
  const tell = (said: string): void => {
    const words = tellIn(said, job.doc.brief.units);
    setSaid(words);
    if (/[.!?]$/.test(words)) toast.error(words, { id: "refusal" });
  };
  const print = (d: Dimension): string =>
    d.unit !== "length"
      ? tellIn(printParam(paramAt(kindOf(s.kind).spec, d.param!)!, d.value), job.doc.brief.units)
      : P(d.value);
  const unit = 1 / job.design.scale.ratio;
  const centre = design.kind.centreLine(design.variant.params, design.context);
  const overall = design.kind.headline
    .map((h) => ({ ...h, value: dims.find((d) => d.id === h.dimension)?.value }))
    .find((h) => h.value !== undefined);
  const height = overall?.value ?? 0;
  const drawsDims = !build;
  const seenDims = dims.filter((d) => (d.view ?? home) === view);
  const line2 = trestle && view === "side" ? groundLine(trestle, job.design.scale.ratio) : [];
  const tint = show.forces && forces?.f.ok ? forceTint(forces.f) : undefined;
  const marks = job.marks(s.id);
  const selected = ticket?.piece;
  const line: [string, string] = selected
    ? [
        `${P(selected.shape.overall / unit)} ${selected.role} ${selected.mark}, tip to tip`,
        `${onModel(selected.shape.overall)} on the model`,
      ]
    : [`${P(height)} ${overall?.words ?? design.kind.headline[0]!.words}`, `${onModel(height * unit)} on the model`];
  /** In the unit of the job, and beside it in the other that people measure with; a metric job has one. */
  function onModel(mm: number): string {
    const u = job.doc.brief.units;
    if (u.prototype === "m" && u.model === "mm") return M(mm, 2);
    return `${M(mm, 2)} · ${u.model === "mm" ? printModel(model(mm), "64ths") : printMm(model(mm), 2)}`;
  }

  return (
    <div className="flex h-full flex-col">
      <div className="stage flex min-h-0 flex-1">
        <div className="stage-main relative flex min-w-0 flex-1">
          {inSpace ? (
            <Suspense fallback={<p className="m-auto text-ink-2">Setting it up in space …</p>}>
              <Space design={design} bare={bare} />
            </Suspense>
          ) : (
            <Board
              label={`${s.name}, ${view} elevation`}
              bounds={bounds}
              padding={PADDING}
              fitKey={`${s.id}/${build?.id ?? view}`}
              onView={setBoard}
              unitMm={1}
              underlay={(v) =>
                large && <SticksCanvas shown={shown} view={v} selected={job.selected} roles={show.roles} />
              }
              {...(large ? { hit: (p: readonly [number, number]) => sticksUnder(shown, p) } : {})}
              {...(ground.draws ? { cursor: "crosshair" } : {})}
              onPoint={(p, sticks) =>
                ground.draws
                  ? ground.press(p, board?.k ?? 1)
                  : job.select(sticks[(sticks.indexOf(job.selected ?? "") + 1) % Math.max(1, sticks.length)])
              }
              onMove={setCursor}
              overlay={(v) =>
                ground.draws && trestle ? (
                  <GroundHandles tool={ground} trestle={trestle} view={v} ratio={job.design.scale.ratio} />
                ) : (
                  show.dims &&
                  drawsDims && (
                    <>
                      <DimensionFigures
                        placed={placeDimensions({ dims: seenDims, view: v, bounds, print })}
                        print={print}
                        structure={s.id}
                        tell={tell}
                      />
                      <Handles dims={seenDims} view={v} structure={s.id} scale={job.design.scale} tell={tell} />
                    </>
                  )
                )
              }
              furniture={
                <>
                  {fault && <NotFramed why={fault} />}
                  <p className="pointer-events-none absolute right-5 bottom-3.5 flex border-[1.5px] border-ink bg-film text-[15px]">
                    <span className="head border-r-[1.5px] border-ink px-2.5 py-0.5">
                      {design.kind.describe(design.variant.params)}
                    </span>
                    <span className="head px-2.5 py-0.5">
                      {looked.look.sticks} pieces{marks !== undefined && ` · ${marks} marks`}
                      {unseen > 0 && ` · ${unseen} left out, unseen`}
                      {!fresh && <span className="late"> · framing …</span>}
                    </span>
                  </p>
                </>
              }
            >
              {(v) => (
                <>
                  <rect width={v.width} height={v.height} fill="transparent" />
                  {drawing?.picture && under && sheetScale && under.opacity > 0 && (
                    <PictureTiles
                      picture={drawing.picture}
                      scale={sheetScale}
                      anchor={under.anchor}
                      unit={unit}
                      view={v}
                      opacity={under.opacity}
                    />
                  )}
                  {lines && under && sheetScale && under.opacity > 0 && (
                    <g opacity={under.opacity}>
                      <LinesLayer
                        lines={lines}
                        hidden={drawing!.lines!.hidden}
                        onBoard={(p) => {
                          const [x, y] = fromPixel(sheetScale, under.anchor, p);
                          return [x * unit, y * unit];
                        }}
                        view={v}
                        paper={false}
                      />
                    </g>
                  )}
                  <g transform={v.transform}>
                    {!large && (
                      <Sticks
                        shown={shown}
                        selected={job.selected}
                        hidden={hidden}
                        roles={show.roles}
                        ghost={!!under && under.opacity > 0}
                        tint={tint}
                      />
                    )}
                  </g>
                  {drawsDims && view === home && centre !== undefined && (
                    <line
                      x1={v.X(centre)}
                      x2={v.X(centre)}
                      y1={v.Y(bounds.max[1]) - 14}
                      y2={v.Y(bounds.min[1]) + 14}
                      stroke="var(--ink-2)"
                      strokeWidth={0.9}
                      strokeDasharray="18 4 4 4"
                      style={{ pointerEvents: "none" }}
                    />
                  )}
                  {show.dims && drawsDims && (
                    <DimensionLines placed={placeDimensions({ dims: seenDims, view: v, bounds, print })} />
                  )}
                  {view === "front" && <FindingMarks findings={placed} view={v} />}
                  {show.marks && !large && !tint && !job.away && <Marks shown={shown} hidden={hidden} view={v} />}
                  <GroundLine line={line2} view={v} />
                </>
              )}
            </Board>
          )}
          <div className="stage-bar pointer-events-none absolute inset-x-4 top-2 flex items-start justify-between gap-2 *:pointer-events-auto">
            <div className="flex items-center gap-4 bg-film/85 px-1.5">
              {(["front", "side", "plan", "space"] as const).map((id) => (
                <button
                  key={id}
                  aria-pressed={wantedView === id && !build}
                  onClick={() => {
                    setPart(undefined);
                    setView({ structure: s.id, view: id });
                  }}
                  className={`head min-h-[30px] text-[17px] ${wantedView === id && !build ? "border-b-2 border-vermilion" : "text-ink-2"}`}
                >
                  {
                    {
                      front: home === "front" ? "Elevation" : "End",
                      side: home === "side" ? "Elevation" : "Side",
                      plan: "Plan",
                      space: "Space",
                    }[id]
                  }
                </button>
              ))}
              {builds.length > 0 && (
                <PartMenu
                  builds={builds}
                  clad={looked?.look.clad ?? false}
                  picked={build?.id}
                  pick={(id) => {
                    setPart(id === undefined ? undefined : { structure: s.id, build: id });
                    if (id !== undefined && inSpace) setView({ structure: s.id, view: home });
                  }}
                  bare={bare}
                  setBare={setBare}
                />
              )}
              {trestle?.values.groundBy === "profile" && view === "side" && !inSpace && (
                <>
                  <button
                    aria-pressed={ground.draws}
                    className={`head min-h-[30px] text-[17px] ${ground.draws ? "border-b-2 border-vermilion" : "text-ink-2"}`}
                    title="Press on the board to set points of the ground; drag those that are there; Escape leaves"
                    onClick={() => ground.setDraws(!ground.draws)}
                  >
                    Draw the ground
                  </button>
                  {ground.draws && (
                    <>
                      <button className="btn" disabled={ground.picked === undefined} onClick={ground.remove}>
                        Take the point away
                      </button>
                      <button className="btn" onClick={ground.clear}>
                        Start anew
                      </button>
                    </>
                  )}
                </>
              )}
              {s.variants.length > 1 && (
                <button className="head min-h-[30px] text-[17px] text-ink-2" onClick={() => setComparing(true)}>
                  Compare
                </button>
              )}
              <Popover className="relative">
                <PopoverButton className="head flex min-h-[30px] items-center gap-1 text-[17px] text-ink-2">
                  Show <ChevronDownIcon className="size-4" />
                </PopoverButton>
                <PopoverPanel className="absolute top-full left-0 z-30 border border-edge bg-film px-4 py-2 text-[16px]">
                  {(["dims", "marks", "roles", ...(forces ? (["forces"] as const) : [])] as const).map((k) => (
                    <label key={k} className="flex min-h-[32px] items-center gap-2 whitespace-nowrap">
                      <input
                        type="checkbox"
                        className="size-4 accent-[var(--ink)]"
                        checked={show[k]}
                        onChange={(e) => setShow({ ...show, [k]: e.target.checked })}
                      />
                      {
                        {
                          dims: "Dimensions",
                          marks: "Piece marks",
                          roles: "Roles in tints",
                          forces: "Forces in tints",
                        }[k]
                      }
                    </label>
                  ))}
                </PopoverPanel>
              </Popover>
            </div>
            {drawing && under && sheetScale && (
              <UnderControls
                drawing={drawing.id}
                structure={s.id}
                name={drawing.name}
                opacity={under.opacity}
                anchor={under.anchor}
                scale={sheetScale}
              />
            )}
          </div>
          {show.roles && (
            <ul className="pointer-events-none absolute bottom-14 left-5 space-y-0.5 bg-film/90 px-2 py-1 text-[14px]">
              {ROLE_LEGEND.filter((r) => shown.some((x) => r.has(x.role))).map((r) => (
                <li key={r.name} className="flex items-center gap-2">
                  <span className="inline-block h-3.5 w-6 border border-ink" style={{ background: r.tint }} /> {r.name}
                </li>
              ))}
            </ul>
          )}
          <VariantBar structure={s} which={which} setWhich={setWhich} compare={() => setComparing(true)} />
        </div>
        <SidePanel
          label="Ticket and parameters"
          head={
            <div role="tablist" className="flex border-b border-hair">
              {(["piece", "parameters", ...(forces ? (["forces"] as const) : [])] as const).map((t) => (
                <button
                  key={t}
                  role="tab"
                  aria-selected={tab === t}
                  onClick={() => setTab(t)}
                  className={`head flex-1 py-2 text-[16px] ${tab === t ? "border-b-2 border-vermilion" : "text-ink-2"}`}
                >
                  {t === "piece"
                    ? forces
                      ? "Piece"
                      : "Piece and findings"
                    : t === "parameters"
                      ? "Parameters"
                      : "Forces"}
                </button>
              ))}
            </div>
          }
        >
          {tab === "forces" && forces ? (
            <Suspense fallback={null}>
              <ForcesPanel design={design} />
            </Suspense>
          ) : tab === "piece" ? (
            <>
              <Ticket />
              <Findings />
              <Changes structure={s} />
            </>
          ) : design.kind.offers?.includes("trace") ? (
            <TracedNote structure={s} />
          ) : (
            <ParamsPanel structure={s.id} />
          )}
        </SidePanel>
      </div>
      <div className="flex h-[52px] shrink-0 border-t border-hair bg-shade">
        <div className="min-w-0 flex-1 overflow-hidden">
          <Rule view={board} scale={job.design.scale} units={job.doc.brief.units} perModel={board?.k ?? 1} />
        </div>
        <p className="w-[316px] shrink-0 border-l border-hair px-5 py-1 text-[15px] leading-[21px]" aria-live="polite">
          {cursor && !selected ? (
            <>
              <b>{P(Math.abs(cursor[0]) / unit)}</b>{" "}
              {home === "front" ? "from the centre" : cursor[0] < 0 ? "back" : "on"},{" "}
              <b>{P(Math.abs(cursor[1]) / unit)}</b> {cursor[1] > 0 ? "up" : "down"}
              <br />
              {M(Math.abs(cursor[0]))} · {M(Math.abs(cursor[1]))} on the model
            </>
          ) : (
            <>
              <b>
                <Figure>{line[0]}</Figure>
              </b>
              <br />
              <Figure>{line[1]}</Figure>
            </>
          )}
          <span className="sr-only">{said}</span>
        </p>
      </div>
    </div>
  );
}
