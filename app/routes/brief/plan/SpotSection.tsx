import { useCallback } from "react";
import { emptySpot, spotOf, type SpotCutDoc } from "core/job";
import { apartBy, levelsOf, widthOf, type Box, type SpotSection } from "core/spot/section";
import { Board, type BoardView } from "~/board/Board";
import { Halo } from "~/board/Halo";
import { askLooker } from "~/job/framer";
import { useAnswer } from "~/job/useAnswer";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { LengthField, SelectField } from "~/ui/Fields";

/** Pixels between two words beside levels. */
const APART = 19;
const MIDDLE: SpotCutDoc = { along: "depth", at: 0 };

/** Where the spot is cut, and how it looks there. */
export function useSection() {
  const { doc, ask } = useJob();
  const { along, at } = spotOf(doc).cut ?? MIDDLE;
  return useAnswer<SpotSection>(useCallback(() => askLooker((w) => w.section(ask, { along, at })), [ask, along, at]));
}
/** The spot in section: what is cut of structures, the room of the cars, levels with their figures. */
export function SectionBoard() {
  const { M } = useUnits();
  const { answer: s, fault } = useSection();
  if (!s) return <p className="p-8 text-lg" role="status">{fault ? `The section could not be drawn: ${fault}` : "Cutting …"}</p>; // prettier-ignore
  const [from, to] = widthOf(s);
  const levels = levelsOf(s);
  const tops = [...s.structures.flatMap((x) => x.seen.flat().map((p) => p[1])), ...s.things.map((t) => t.box.high), ...s.tracks.map((t) => t.car.high), ...levels.map((l) => l.z)]; // prettier-ignore
  const lows = [0, ...s.things.map((t) => t.box.low), ...levels.map((l) => l.z), ...s.structures.flatMap((x) => x.seen.flat().map((p) => p[1]))]; // prettier-ignore
  // the words beside the levels have room at the right
  const room = 50 + 6.5 * Math.max(0, ...levels.map((l) => l.names.join(", ").length + 9));
  const [low, high] = [Math.min(...lows), Math.max(20, ...tops)];
  return (
    <Board
      label="Section of the spot"
      bounds={{ min: [from, low], max: [to, high] }}
      padding={[40, 60, room, 90]}
      fitKey={`${s.cut.along} ${from} ${to} ${low} ${high}`}
      unitMm={1}
      furniture={
        <p className="pointer-events-none absolute right-5 bottom-3.5 flex border-[1.5px] border-ink bg-film text-[15px]">
          <span className="head border-r-[1.5px] border-ink px-2.5 py-0.5">Section of the spot</span>
          <span className="head px-2.5 py-0.5">
            {`${s.cut.along === "depth" ? "seen from the right" : "seen from the front"}, cut ${whereCut(s.cut, M)}`}
          </span>
        </p>
      }
    >
      {(v) => <Section v={v} s={s} from={from} to={to} M={M} />}
    </Board>
  );
}
/** "12.0 mm to the right of the middle". */
function whereCut({ along, at }: SpotCutDoc, M: (mm: number, decimals?: number) => string): string {
  if (Math.abs(at) < 0.005) return "through the middle";
  const side = along === "depth" ? (at > 0 ? "to the right of" : "to the left of") : at > 0 ? "behind" : "before";
  return `${M(Math.abs(at), 1)} ${side} the middle`;
}
function Section({
  v,
  s,
  from,
  to,
  M,
}: {
  v: BoardView;
  s: SpotSection;
  from: number;
  to: number;
  M: (mm: number, decimals?: number) => string;
}) {
  const path = (ring: readonly (readonly [number, number])[]): string =>
    `M${ring.map(([x, y]) => `${v.X(x).toFixed(1)} ${v.Y(y).toFixed(1)}`).join("L")}Z`;
  const rect = (b: Box) => ({ x: v.X(b.from), y: v.Y(b.high), width: (b.to - b.from) * v.k, height: (b.high - b.low) * v.k }); // prettier-ignore
  const words = apartBy(levelsOf(s).map((l) => ({ ...l, z: -v.Y(l.z) })), APART); // prettier-ignore
  const right = v.X(to) + 16;
  return (
    <>
      <rect width={v.width} height={v.height} fill="transparent" />
      <line x1={v.X(from) - 10} x2={right} y1={v.Y(0)} y2={v.Y(0)} stroke="var(--ink)" strokeWidth={2} />
      {(s.edges ?? []).map((x) => (
        <line key={x} x1={v.X(x)} x2={v.X(x)} y1={v.Y(0) + 34} y2={v.Y(0) - 60} stroke="var(--ink-2)" strokeDasharray="14 4 3 4" /> // prettier-ignore
      ))}
      {s.things.map((t) => (
        <g key={t.id}>
          <rect
            {...rect(t.box)}
            fill={t.kind === "platform" ? "var(--timber)" : "var(--shade)"}
            fillOpacity={0.8}
            stroke="var(--ink-2)"
            strokeDasharray={t.kind === "kept free" ? "6 4" : undefined}
          />
        </g>
      ))}
      {s.structures.map((x) => (
        <g key={x.id}>
          <path d={x.seen.map(path).join("")} fill="var(--shade)" fillRule="evenodd" stroke="var(--timber-line)" />
          <path d={x.wood.map(path).join("")} fill="var(--timber)" stroke="var(--ink)" strokeWidth={0.8} />
        </g>
      ))}
      {s.rails.map((t) => (
        <polyline
          key={t.id}
          points={t.points.map((p) => `${v.X(p[0])},${v.Y(p[1])}`).join(" ")}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={3}
        />
      ))}
      {s.things.map((t) => {
        const high = (t.box.high - t.box.low) * v.k;
        return <Halo key={t.id} x={v.X((t.box.from + t.box.to) / 2)} y={high > 26 ? v.Y((t.box.low + t.box.high) / 2) + 5 : v.Y(t.box.low) + 17} words={t.name} />; // prettier-ignore
      })}
      {s.tracks.map((t, i) => (
        <g key={i}>
          <rect {...rect(t.car)} fill="none" stroke="var(--vermilion)" strokeWidth={1.4} strokeDasharray="8 5" />
          <line
            x1={v.X(t.at) - 22}
            x2={v.X(t.at) + 22}
            y1={v.Y(t.rail)}
            y2={v.Y(t.rail)}
            stroke="var(--ink)"
            strokeWidth={4}
          />{" "}
          {/* prettier-ignore */}
          <Halo x={v.X(t.at)} y={v.Y(t.car.high) - 6} words={`longest car, ${t.name}`} />
        </g>
      ))}
      {words.map(({ z, y, names }, i) => (
        <g key={i} stroke="var(--edge)">
          <line x1={v.X(from)} x2={right} y1={-z} y2={-z} strokeDasharray="3 4" />
          <line x1={right} x2={right + 14} y1={-z} y2={-y} />
          <text x={right + 18} y={-y + 5} stroke="none" fill="var(--ink)" fontSize={15} fontFamily="var(--font-label)">
            <tspan fontWeight={600}>{M(levelsOf(s)[i]!.z, 1)}</tspan> {names.join(", ")}
          </text>
        </g>
      ))}
    </>
  );
}
/** Which way the spot is cut, and where. */
export function CutFields() {
  const { doc, edit } = useJob();
  const { M } = useUnits();
  const cut = spotOf(doc).cut ?? MIDDLE;
  const set = (part: Partial<SpotCutDoc>): void => void edit("Where the spot is cut", (d) => void ((d.spot ??= emptySpot()).cut = { ...cut, ...part })); // prettier-ignore
  return (
    <section className="space-y-2" aria-label="Section">
      <h2 className="label">Section</h2>
      <SelectField
        label="Cut"
        value={cut.along}
        options={[
          { value: "depth", label: "across it, seen from the right" },
          { value: "length", label: "along it, seen from the front" },
        ]}
        keep={(along) => set({ along })}
      />
      <LengthField
        label="Cut at, from the middle"
        world="model"
        mm={cut.at}
        units={doc.brief.units}
        hint={cut.along === "depth" ? "More is to the right." : "More is to the back."}
        keep={(at) => (Math.abs(at) > 1e5 ? [`Read ${M(at)}; it may be up to 100 m.`] : set({ at }))}
      />
      {doc.structures
        .filter((s) => s.place)
        .map((s) => (
          <button
            key={s.id}
            className="btn mr-2"
            onClick={() => set({ at: cut.along === "depth" ? s.place!.x : s.place!.y })}
          >
            Through {s.name}
          </button>
        ))}
      {spotOf(doc).cut ? (
        <p className="text-[15px] text-ink-2">
          It is printed at full size with the jigs.{" "}
          <button
            className="link min-h-6"
            onClick={() => edit("No section is printed", (d) => void delete d.spot?.cut)}
          >
            Do not print it
          </button>
        </p>
      ) : (
        <button className="btn" onClick={() => set({})}>
          Print it with the jigs
        </button>
      )}
    </section>
  );
}
