import { useEffect, useMemo, useState, type ReactNode } from "react";
import { toast } from "sonner";
import { printNumber, parseNumber } from "core/units";
import {
  makeJig,
  platesFile,
  solidOf,
  usualValues,
  WORKSHOP,
  workshopKind,
  type Made,
  type Values,
} from "core/workshop";
import { useJob } from "~/job/JobContext";
import { post } from "~/job/post";
import { fileName, saveFile } from "~/job/saveFile";
import { useUnits } from "~/job/units";
import { LengthField, SelectField, TextField } from "~/ui/Fields";
import { SidePanel } from "~/ui/SidePanel";
import { cutterKerf } from "./Cutter";
import { PlatePicture, PlateSize } from "./PlatePicture";
import { TryCut } from "./TryCut";
import { useJigProposals } from "./useJigProposals";

interface Kept {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  readonly figures: Values;
  readonly madeFor: string;
  readonly at: string;
}
type Answer = { readonly jigs: readonly Kept[] } | { readonly sentence: string };

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
  const proposals = useJigProposals(id);
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
                      {p.name}, <PlateSize plate={p} />
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
                  const n = parseNumber(t, "°");
                  const good = n >= f.min && n <= f.max && (f.unit !== "count" || Number.isInteger(n));
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
