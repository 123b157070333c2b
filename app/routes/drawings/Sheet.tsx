import { useEffect, useMemo, useState } from "react";
import { toast } from "sonner";
import type { Vec2 } from "core/geometry";
import { fromPixel, measureAngle, measureLength, mmPerPixel, tiltOf, toPixel, type Calibration } from "core/prototype";
import type { DrawingDoc } from "core/job";
import { printNumber } from "core/units";
import { Board, type BoardView } from "~/board/Board";
import { PictureTiles } from "~/board/PictureTiles";
import { Rule } from "~/board/Rule";
import { useJob } from "~/job/JobContext";
import { BOARD_KEY } from "~/job/Shortcuts";
import { useUnits } from "~/job/units";
import { LengthField, TextField } from "~/ui/Fields";
import { SidePanel } from "~/ui/SidePanel";
import { CalibrateForm } from "./CalibrateForm";
import { MeasureLine } from "./MeasureLine";
import { SendTo } from "./SendTo";

type Tool = "look" | "calibrate" | "level" | "plumb" | "length" | "angle" | "anchor";
const TOOLS: readonly { id: Tool; name: string; say: string; points: number }[] = [
  { id: "look", name: "Look", say: "Drag to move, turn the wheel to zoom.", points: 0 },
  { id: "calibrate", name: "Calibrate", say: "Press on both ends of a length you know.", points: 2 },
  { id: "level", name: "Level", say: "Press on two points of a line that is level on the prototype.", points: 2 },
  { id: "plumb", name: "Plumb", say: "Press on two points of a line that is plumb on the prototype.", points: 2 },
  { id: "length", name: "Measure", say: "Press on both ends of what you measure.", points: 2 },
  { id: "angle", name: "Angle", say: "Press on one arm, the corner, and the other arm.", points: 3 },
  { id: "anchor", name: "Put under the frame", say: "Press on the middle of the top of the cap.", points: 1 },
];
const ORIGIN: Vec2 = [0, 0];
const PADDING = [24, 70, 24, 60] as const;
const newId = (): string => `m${crypto.randomUUID().slice(0, 6)}`;

/** One drawing on the board, with its tools, its scale and its measures. */
export function Sheet({
  drawing,
  setWhich,
  upload,
  busy,
  refused,
}: {
  drawing: DrawingDoc;
  setWhich: (id: string) => void;
  upload: () => void;
  busy: boolean;
  refused: string | undefined;
}) {
  const job = useJob();
  const { P, M, scale } = useUnits();
  const [tool, setTool] = useState<Tool>("look");
  const [points, setPoints] = useState<readonly Vec2[]>([]);
  const [hover, setHover] = useState<Vec2>();
  const [board, setBoard] = useState<BoardView>();
  const [picked, setPicked] = useState<string>();
  const cal = drawing.calibration as Calibration | undefined;
  const { width, height } = drawing.picture;
  // the board shows the picture upright, a unit to the pixel, whatever its scale
  const upright = useMemo<Calibration>(
    () => ({ from: ORIGIN, to: [1000, 0], length: 1000, tilt: cal?.tilt ?? 0 }),
    [cal?.tilt],
  );
  const onBoard = (p: Vec2): Vec2 => fromPixel(upright, ORIGIN, p);
  const onPicture = (p: Vec2): Vec2 => toPixel(upright, ORIGIN, p);
  const bounds = useMemo(() => {
    const c = (
      [
        [0, 0],
        [width, 0],
        [0, height],
        [width, height],
      ] as Vec2[]
    ).map((p) => fromPixel(upright, ORIGIN, p));
    return {
      min: [Math.min(...c.map((p) => p[0])), Math.min(...c.map((p) => p[1]))] as Vec2,
      max: [Math.max(...c.map((p) => p[0])), Math.max(...c.map((p) => p[1]))] as Vec2,
    };
  }, [upright, width, height]);
  const change = (label: string, f: (d: DrawingDoc) => void): readonly string[] =>
    job.edit(label, (d) => f(d.drawings.find((x) => x.id === drawing.id)! as DrawingDoc));
  const structure = job.doc.structures[0];

  useEffect(() => {
    const key = (e: Event): void => {
      if ((e as CustomEvent<string>).detail === "m") choose("length");
    };
    window.addEventListener(BOARD_KEY, key);
    return () => window.removeEventListener(BOARD_KEY, key);
  });
  const choose = (t: Tool): void => {
    setTool(t);
    setPoints([]);
    if (t === "anchor" && !structure) {
      toast("Frame a structure first; then the drawing can lie under it.");
      setTool("look");
    }
  };
  const point = (p: Vec2): void => {
    const need = TOOLS.find((t) => t.id === tool)!.points;
    if (need === 0) return;
    const at = onPicture(p);
    const next = [...points, [Number(at[0].toFixed(2)), Number(at[1].toFixed(2))] as Vec2];
    if (next.length < need) return setPoints(next);
    finish(next);
  };
  const finish = (p: readonly Vec2[]): void => {
    const [a, b] = p as [Vec2, Vec2];
    const pair = (v: Vec2): [number, number] => [v[0], v[1]];
    if (tool === "calibrate") return setPoints(p);
    setPoints([]);
    if (tool === "level" || tool === "plumb") {
      if (Math.hypot(b[0] - a[0], b[1] - a[1]) < 5)
        return void toast.error("The two points are too close together to tell a direction.");
      const tilt = tiltOf(a, b);
      if (!cal) return void toast.error("Calibrate the drawing first; then it can be set level.");
      change("Set the drawing level", (d) => void (d.calibration!.tilt = tilt));
      setTool("look");
    } else if (tool === "anchor") {
      change(
        "Put the drawing under the frame",
        (d) => void (d.under = { structure: structure!.id, anchor: pair(a), opacity: d.under?.opacity ?? 0.45 }),
      );
      setTool("look");
      toast("It lies under the frame now: go to Framing and fit the lines.");
    } else {
      const id = newId();
      const name = `${tool === "angle" ? "Angle" : "Length"} ${drawing.measures.filter((m) => m.kind === tool).length + 1}`;
      change(
        `Measure ${name}`,
        (d) => void d.measures.push({ id, name, kind: tool as "length" | "angle", points: p.map(pair) }),
      );
      setPicked(id);
    }
  };
  const value = (m: { kind: "length" | "angle"; points: readonly Vec2[] }): string => {
    if (m.kind === "angle") return `${printNumber(measureAngle(m.points[0]!, m.points[1]!, m.points[2]!), 1)}°`;
    return cal ? P(measureLength(cal, m.points[0]!, m.points[1]!)) : "not calibrated";
  };
  const onModel = (m: { kind: "length" | "angle"; points: readonly Vec2[] }): string =>
    m.kind === "length" && cal ? ` · ${M(measureLength(cal, m.points[0]!, m.points[1]!) / scale.ratio)}` : "";
  const live = tool !== "look" && points.length > 0 && hover ? [...points, onPicture(hover)] : points;
  const calibrating = tool === "calibrate" && points.length === 2;

  return (
    <>
      <div className="flex min-h-0 flex-1">
        <div className="relative flex min-w-0 flex-1">
          <Board
            label={`Drawing ${drawing.name}`}
            bounds={bounds}
            padding={PADDING}
            fitKey={drawing.id}
            onPoint={point}
            onMove={setHover}
            onView={setBoard}
            cursor={tool === "look" ? undefined : "crosshair"}
          >
            {(v) => (
              <>
                <rect width={v.width} height={v.height} fill="var(--shade)" />
                <PictureTiles picture={drawing.picture} calibration={upright} anchor={ORIGIN} unit={1} view={v} />
                {cal && (
                  <MeasureLine
                    a={onBoard(cal.from)}
                    b={onBoard(cal.to)}
                    view={v}
                    text={`calibrated: ${P(cal.length)}`}
                    colour="var(--verdigris)"
                    dashed
                  />
                )}
                {drawing.measures.map((m) => {
                  const p = m.points.map(onBoard);
                  const on = m.id === picked;
                  return m.kind === "length" ? (
                    <MeasureLine
                      key={m.id}
                      a={p[0]!}
                      b={p[1]!}
                      view={v}
                      text={`${m.name}: ${value(m)}${onModel(m)}`}
                      colour={on ? "var(--vermilion)" : "var(--ink)"}
                    />
                  ) : (
                    <g key={m.id}>
                      <MeasureLine
                        a={p[0]!}
                        b={p[1]!}
                        view={v}
                        text=""
                        colour={on ? "var(--vermilion)" : "var(--ink)"}
                      />
                      <MeasureLine
                        a={p[1]!}
                        b={p[2]!}
                        view={v}
                        text={`${m.name}: ${value(m)}${onModel(m)}`}
                        colour={on ? "var(--vermilion)" : "var(--ink)"}
                      />
                    </g>
                  );
                })}
                {live.slice(1).map((q, i) => (
                  <MeasureLine
                    key={i}
                    a={onBoard(live[i]!)}
                    b={onBoard(q)}
                    view={v}
                    text={
                      tool === "length" && cal
                        ? `${P(measureLength(cal, live[0]!, q))} · ${M(measureLength(cal, live[0]!, q) / scale.ratio)}`
                        : ""
                    }
                    colour="var(--vermilion)"
                  />
                ))}
                {live.length === 1 && (
                  <circle cx={v.X(onBoard(live[0]!)[0])} cy={v.Y(onBoard(live[0]!)[1])} r={4} fill="var(--vermilion)" />
                )}
              </>
            )}
          </Board>
          <div role="toolbar" aria-label="Tools" className="absolute top-2.5 left-4 flex flex-wrap gap-1.5">
            {TOOLS.map((t) => (
              <button key={t.id} className="btn" aria-pressed={tool === t.id} onClick={() => choose(t.id)}>
                {t.name}
              </button>
            ))}
          </div>
          <p
            className="pointer-events-none absolute bottom-4 left-1/2 -translate-x-1/2 bg-film/90 px-3 py-1 text-[15px]"
            aria-live="polite"
          >
            {calibrating ? "Now type the length at the right." : TOOLS.find((t) => t.id === tool)!.say}
          </p>
        </div>
        <SidePanel label="Drawing">
          <section>
            <h2 className="label">Drawings</h2>
            <ul>
              {job.doc.drawings.map((d) => (
                <li key={d.id} className="row flex items-center gap-2 py-1">
                  <button
                    className={`min-w-0 flex-1 truncate text-left ${d.id === drawing.id ? "font-semibold" : ""}`}
                    onClick={() => setWhich(d.id)}
                  >
                    {d.name}
                  </button>
                  <button
                    className="link text-[15px]"
                    onClick={() =>
                      job.edit(`Remove ${d.name}`, (x) => void (x.drawings = x.drawings.filter((y) => y.id !== d.id)))
                    }
                  >
                    Remove
                  </button>
                </li>
              ))}
            </ul>
            <button className="btn mt-2" disabled={busy} onClick={upload}>
              {busy ? "Taking it in …" : "Upload another"}
            </button>
            {refused && (
              <p role="alert" className="mt-2 border-l-[3px] border-fault pl-2 text-[15px] text-fault">
                {refused}
              </p>
            )}
            <div className="mt-3">
              <TextField
                label="Name"
                value={drawing.name}
                keep={(t) =>
                  t.trim()
                    ? void change("Rename the drawing", (d) => void (d.name = t.trim().slice(0, 120)))
                    : ["A drawing needs a name."]
                }
              />
            </div>
          </section>
          <section>
            <h2 className="label">Scale</h2>
            {calibrating ? (
              <CalibrateForm
                points={points as readonly [Vec2, Vec2]}
                tilt={cal?.tilt ?? 0}
                keep={(c) => {
                  const r = change("Calibrate the drawing", (d) => void (d.calibration = c));
                  if (r.length === 0) {
                    setPoints([]);
                    setTool("look");
                  }
                  return r;
                }}
              />
            ) : cal ? (
              <div className="space-y-2">
                <LengthField
                  label="Length between the two points"
                  world="prototype"
                  mm={cal.length}
                  units={job.doc.brief.units}
                  keep={(mm) =>
                    mm > 0
                      ? void change("Calibrate the drawing", (d) => void (d.calibration!.length = mm))
                      : ["The length has to be more than nothing."]
                  }
                />
                <TextField
                  label="Turned by, degrees"
                  value={printNumber(cal.tilt, 2).replace("−", "-")}
                  hint="Counter-clockwise; the Level and Plumb tools find it."
                  keep={(t) => {
                    const n = Number(t.replace(",", ".").replace("−", "-").replace("°", ""));
                    if (!(Math.abs(n) <= 180)) return [`Read “${t}”; write degrees from -180 to 180.`];
                    change("Turn the drawing", (d) => void (d.calibration!.tilt = n));
                  }}
                />
                <p className="text-[15px] text-ink-2">
                  {printNumber(25.4 / mmPerPixel(cal), 2)} pixels to a prototype inch.
                </p>
              </div>
            ) : (
              <p className="mt-1 text-[15px]">
                Not calibrated yet.{" "}
                <button className="link" onClick={() => choose("calibrate")}>
                  Calibrate
                </button>{" "}
                by two points and a length you know.
              </p>
            )}
          </section>
          <section>
            <h2 className="label">Measures</h2>
            {drawing.measures.length === 0 && (
              <p className="mt-1 text-[15px] text-ink-2">None yet: press Measure (M).</p>
            )}
            <ul className="space-y-2">
              {drawing.measures.map((m, i) => (
                <li
                  key={m.id}
                  className={`border-l-[3px] pl-2 ${m.id === picked ? "border-vermilion" : "border-hair"}`}
                  onFocus={() => setPicked(m.id)}
                  onPointerDown={() => setPicked(m.id)}
                >
                  <TextField
                    label={<span className="sr-only">Name of measure {i + 1}</span>}
                    value={m.name}
                    keep={(t) => void change("Name a measure", (d) => void (d.measures[i]!.name = t.slice(0, 80)))}
                  />
                  <p className="my-1 text-[15px]">
                    <b>{value(m)}</b>
                    {m.kind === "length" && cal
                      ? ` · ${M(measureLength(cal, m.points[0]!, m.points[1]!) / scale.ratio, 2)} on the model`
                      : ""}
                  </p>
                  <div className="flex items-center gap-2">
                    <SendTo drawing={drawing} index={i} />
                    <button
                      className="link text-[15px]"
                      onClick={() => change(`Remove ${m.name}`, (d) => void d.measures.splice(i, 1))}
                    >
                      Remove
                    </button>
                  </div>
                </li>
              ))}
            </ul>
          </section>
        </SidePanel>
      </div>
      <div className="h-[52px] shrink-0 border-t border-hair bg-shade">
        <Rule
          view={cal ? board : undefined}
          scale={scale}
          units={job.doc.brief.units}
          perModel={cal && board ? (board.k / mmPerPixel(cal)) * scale.ratio : 1}
        />
      </div>
    </>
  );
}
