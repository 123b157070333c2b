import { useEffect, useMemo, useState, type ReactNode } from "react";
import { toast } from "sonner";
import { setUps } from "core/cutting";
import { tubeOf } from "core/lumber";
import { printNumber } from "core/units";
import {
  makeJig,
  platesFile,
  solidOf,
  usualValues,
  WORKSHOP,
  workshopKind,
  type Made,
  type Plate,
  type Values,
} from "core/workshop";
import { useJob } from "~/job/JobContext";
import { post } from "~/job/post";
import { fileName, saveFile } from "~/job/saveFile";
import { useUnits } from "~/job/units";
import { LengthField, SelectField, TextField } from "~/ui/Fields";
import { SidePanel } from "~/ui/SidePanel";
import { cutterKerf } from "./Cutter";
import { TryCut } from "./TryCut";

interface Kept {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  readonly figures: Values;
  readonly madeFor: string;
  readonly at: string;
}
type Answer = { readonly jigs: readonly Kept[] } | { readonly sentence: string };

/** What of this job a jig is asked for: lengths of set-ups, angles of its cuts, tubes it has. */
function useProposals(kind: string): readonly { readonly label: string; readonly values: Values }[] {
  const { design, doc } = useJob();
  const { M } = useUnits();
  return useMemo(() => {
    const all = setUps(design.pieces, doc.cutting.allowance);
    const many = all.map((s) => ({ s, n: s.pieces.reduce((t, p) => t + p.sticks.length, 0) })).filter((x) => x.n > 1);
    const wide = (s: (typeof all)[number]): number => Math.max(...s.pieces[0]!.piece.shape.section);
    if (kind === "length")
      return many
        .sort((a, b) => b.n - a.n)
        .slice(0, 10)
        .map(({ s, n }) => ({ label: `${n} × ${s.pieces.map((p) => p.piece.mark).join(", ")}: ${M(s.length, 2)}`, values: { length: round(s.length), wide: round(wide(s)) } })); // prettier-ignore
    if (kind === "mitre") {
      const found = new Map<string, { angle: number; n: number; wide: number }>();
      for (const { s, n } of many)
        for (const c of s.pieces[0]!.piece.shape.ends.flat()) {
          const angle = Math.abs(c.mitre);
          if (angle < 0.05 || angle > 60 || Math.abs(c.bevel) > 0.05) continue;
          const key = angle.toFixed(1);
          const known = found.get(key) ?? { angle, n: 0, wide: 0 };
          found.set(key, { angle, n: known.n + n, wide: Math.max(known.wide, wide(s)) });
        }
      return [...found.values()].sort((a, b) => b.n - a.n).slice(0, 10).map((a) => ({ label: `${printNumber(a.angle, 1)}°, ${a.n} cuts`, values: { angle: round(a.angle), wide: round(a.wide) } })); // prettier-ignore
    }
    if (kind === "cradle") {
      const tubes = [...new Set(design.pieces.map((p) => p.stock))].flatMap((id) => tubeOf(id) ?? []);
      return tubes.map((t) => ({ label: t.name, values: { diameter: round(t.width) } }));
    }
    if (kind === "stripper")
      return [...design.stock.values()].filter((m) => m.item.shape === "strip").slice(0, 10).map((m) => ({ label: `${m.item.name}: ${M(m.item.width, 2)}`, values: { wide: round(m.item.width) } })); // prettier-ignore
    return [];
  }, [design, doc.cutting.allowance, kind, M]);
}
const round = (x: number): number => Number(x.toFixed(3));

/** Jigs as things, made by a few figures: drawn as their plates, saved for a cutter or a printer of solids, kept for other jobs. */
export function Workshop({ tabs }: { tabs: ReactNode }) {
  const job = useJob();
  const { units } = useUnits();
  const [id, setId] = useState("length");
  const kind = workshopKind(id)!;
  const [values, setValues] = useState<Readonly<Record<string, Values>>>({});
  const own = useMemo(() => ({ ...usualValues(kind), ...values[id] }), [kind, values, id]);
  const [kept, setKept] = useState<readonly Kept[]>([]);
  const [tried, setTried] = useState(false);
  const proposals = useProposals(id);
  useEffect(() => {
    fetch("/drawer/jigs")
      .then((r) => r.json() as Promise<Answer>)
      .then((a) => "jigs" in a && setKept(a.jigs))
      .catch(() => undefined);
  }, []);
  const made = useMemo((): Made | string => {
    try {
      return makeJig(kind, own);
    } catch (e) {
      return (e as Error).message;
    }
  }, [kind, own]);
  const set = (more: Values): void =>
    setValues((all) => ({ ...all, [id]: { ...usualValues(kind), ...all[id], ...more } }));
  const save = (as: "svg" | "dxf" | "stl") => async (): Promise<void> => {
    if (typeof made === "string") return;
    try {
      const data = as === "stl" ? new Uint8Array((await import("core/drawing/stl")).stlBytes(solidOf(made.solid), kind.name)) : platesFile(made, cutterKerf(), as, kind.name); // prettier-ignore
      saveFile(new Blob([data as BlobPart]), fileName(`${kind.name} ${own[kind.fields[0]!.id]}`, as));
    } catch (e) {
      toast.error((e as Error).message);
    }
  };
  const send = (body: object): void => {
    post<Answer>("/drawer/jigs", body).then(
      (a) => ("jigs" in a ? setKept(a.jigs) : toast.error(a.sentence)),
      (e: unknown) => toast.error(`The jig drawer does not answer: ${(e as Error).message}`),
    );
  };
  return (
    <div className="stage flex h-full">
      <div className="stage-main flex min-w-0 flex-1 flex-col">
        <div className="flex flex-wrap items-end gap-3 px-7 pt-3">
          {tabs}
          <span className="ml-auto flex flex-wrap gap-3">
            <button className="btn" disabled={typeof made === "string"} onClick={() => setTried(true)}>
              Try the cut
            </button>
            {(["svg", "dxf", "stl"] as const).map((as) => (
              <button key={as} className="btn" disabled={typeof made === "string"} onClick={() => void save(as)()}>
                {as === "stl" ? "Solid (STL)" : `Plates (${as.toUpperCase()})`}
              </button>
            ))}
          </span>
        </div>
        <div className="min-h-0 flex-1 overflow-auto px-7 py-3">
          <h2 className="head text-[24px]">{kind.name}</h2>
          <p className="max-w-3xl text-[17px]">{kind.use}</p>
          {typeof made === "string" ? (
            <p role="alert" className="my-3 border-l-[3px] border-fault pl-3 text-fault">
              {made}
            </p>
          ) : (
            <>
              <p className="text-[15px] text-ink-2">{made.words.join(" ")}</p>
              <ul className="mt-3 flex flex-wrap gap-8">
                {made.plates.map((p) => (
                  <li key={p.name}>
                    <PlatePicture plate={p} of={made.plates} />
                    <p className="text-[15px]">
                      {p.count > 1 && `${p.count} × `}
                      {p.name}, <Size plate={p} />
                    </p>
                  </li>
                ))}
              </ul>
            </>
          )}
        </div>
        <p className="border-t border-hair px-7 py-2 text-[15px] text-ink-2">
          Keep fingers behind the blade, not in front of it; clamp a jig before you saw in it. Never cut plastic that
          holds chlorine with a laser.
        </p>
      </div>
      {tried && typeof made !== "string" && (
        <TryCut
          name={kind.name}
          material="card"
          make={async () => platesFile(made, cutterKerf(), "dxf", kind.name)}
          close={() => setTried(false)}
        />
      )}
      <SidePanel label="Figures of the jig">
        <section className="space-y-2">
          <SelectField
            label="Jig"
            value={id}
            options={WORKSHOP.map((k) => ({ value: k.id, label: k.name }))}
            keep={setId}
          />
          {proposals.length > 0 && (
            <SelectField
              label="For this job"
              value=""
              options={[
                { value: "", label: "choose …" },
                ...proposals.map((p, i) => ({ value: String(i), label: p.label })),
              ]}
              keep={(v) => v !== "" && set(proposals[Number(v)]!.values)}
            />
          )}
          {kind.fields.map((f) =>
            f.unit === "mm" ? (
              <LengthField
                key={`${id} ${f.id}`}
                label={f.label}
                world="model"
                units={units}
                mm={own[f.id]}
                hint={f.hint || undefined}
                keep={(mm) => (mm >= f.min && mm <= f.max ? set({ [f.id]: mm }) : [`Read ${printNumber(mm, 2)} mm; it may be from ${f.min} to ${f.max} mm.`])} // prettier-ignore
              />
            ) : (
              <TextField
                key={`${id} ${f.id}`}
                label={f.unit === "degrees" ? `${f.label}, degrees` : f.label}
                value={printNumber(own[f.id]!, f.unit === "count" ? 0 : 2)}
                hint={f.hint || undefined}
                keep={(t) => {
                  const n = Number(t.replace(",", ".").replace(/\s*°$/, ""));
                  const good =
                    t.trim() !== "" && n >= f.min && n <= f.max && (f.unit !== "count" || Number.isInteger(n));
                  if (!good)
                    return [
                      `Read “${t}”; it may be ${f.unit === "count" ? "a whole number " : ""}from ${f.min} to ${f.max}.`,
                    ];
                  set({ [f.id]: n });
                }}
              />
            ),
          )}
          <p className="text-[14px] text-ink-2">
            Plates are led round by half the cutter&rsquo;s kerf, {printNumber(cutterKerf(), 2)} mm, as it is set under
            Templates.
          </p>
        </section>
        <section>
          <h2 className="label">Jig drawer</h2>
          <button
            className="btn my-1"
            disabled={typeof made === "string"}
            onClick={() => send({ do: "keep", kind: id, name: kind.name, figures: own, madeFor: job.doc.name })}
          >
            Keep this jig
          </button>
          {kept.length === 0 && (
            <p className="text-[15px] text-ink-2">No jig is kept yet. Once made they serve for years.</p>
          )}
          <ul className="text-[15px]">
            {kept.map((k) => (
              <li key={k.id} className="row py-1">
                <button
                  className="link min-h-6 text-left"
                  onClick={() => {
                    setId(k.kind);
                    setValues((all) => ({ ...all, [k.kind]: k.figures }));
                  }}
                >
                  {k.name}: {figuresOf(k)}
                </button>
                <span className="flex justify-between text-ink-2">
                  {k.at.slice(0, 10)}, for {k.madeFor || "no job"}
                  <button
                    className="link min-h-6"
                    aria-label={`Take ${k.name} ${figuresOf(k)} out`}
                    onClick={() => send({ do: "remove", id: k.id })}
                  >
                    Take out
                  </button>
                </span>
              </li>
            ))}
          </ul>
        </section>
      </SidePanel>
    </div>
  );
}
/** The two figures that tell a jig from others of its kind. */
function figuresOf(k: Kept): string {
  const fields = workshopKind(k.kind)?.fields ?? [];
  return fields.slice(0, 2).map((f) => `${printNumber(k.figures[f.id] ?? 0, f.unit === "count" ? 0 : 2)}${f.unit === "mm" ? " mm" : f.unit === "degrees" ? "°" : ""}`).join(" × "); // prettier-ignore
}

const reachOf = (p: Plate) => {
  const points = p.area.flat();
  const [xs, ys] = [points.map((q) => q[0]), points.map((q) => q[1])];
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
};
function Size({ plate }: { plate: Plate }) {
  const { M } = useUnits();
  const r = reachOf(plate);
  return (
    <>
      {M(r.x1 - r.x0)} × {M(r.y1 - r.y0)}, {M(plate.thickness)} thick
    </>
  );
}
/** A plate from above, all plates of a jig at one scale. */
function PlatePicture({ plate, of }: { plate: Plate; of: readonly Plate[] }) {
  const k = Math.min(8, 700 / Math.max(...of.map((p) => reachOf(p).x1 - reachOf(p).x0)), (of.length > 1 ? 230 : 420) / Math.max(...of.map((p) => reachOf(p).y1 - reachOf(p).y0))); // prettier-ignore
  const r = reachOf(plate);
  const to = (x: number, y: number): string => `${((x - r.x0) * k + 2).toFixed(2)},${((r.y1 - y) * k + 2).toFixed(2)}`;
  return (
    <svg
      width={(r.x1 - r.x0) * k + 4}
      height={(r.y1 - r.y0) * k + 4}
      role="img"
      aria-label={plate.name}
      className="block max-w-full"
    >
      <path
        d={plate.area.map((ring) => `M${ring.map(([x, y]) => to(x, y)).join("L")}Z`).join("")}
        fill="var(--timber)"
        fillRule="evenodd"
        stroke="var(--ink)"
        strokeWidth={1.3}
        strokeLinejoin="round"
      />
      <path
        d={plate.lines.map(([a, b]) => `M${to(a[0], a[1])}L${to(b[0], b[1])}`).join("")}
        stroke="var(--ink)"
        strokeWidth={0.8}
        strokeDasharray="4 3"
      />
      {plate.words.map((w, i) => {
        const [x, y] = to(w.at[0], w.at[1]).split(",");
        return (
          <text
            key={i}
            x={x}
            y={y}
            fontSize={w.size * k}
            fontFamily="var(--font-label)"
            fontWeight={600}
            fill="var(--ink)"
          >
            {w.text}
          </text>
        );
      })}
    </svg>
  );
}
