import { EAVES, OPENINGS, type OpeningDoc } from "core/job";
import { measureValue } from "core/prototype";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { LengthField, SelectField, TextField } from "~/ui/Fields";
import { useSheet } from "../sheet";

const EAVE_WORDS = { bare: "bare tails", fascia: "a fascia board", boxed: "closed from below" } as const;
const options = <T extends string>(list: readonly T[]) => list.map((v) => ({ value: v, label: v }));

/** Openings as the picture shows them: how each stands to the wall, its trim, sill and swing, and what is bought for it. */
export function Openings() {
  const { doc } = useJob();
  const { P, M, scale: model } = useUnits();
  const { drawing, scale, change, picked, pick } = useSheet();
  return (
    <section>
      <h2 className="label">Openings</h2>
      {drawing.openings.length === 0 && (
        <p className="mt-1 text-[15px] text-ink-2">
          Note each door and window now, from the picture: flush, recessed or proud. Press Opening and two of its
          corners.
        </p>
      )}
      <ul className="space-y-3">
        {drawing.openings.map((o, i) => {
          const set = (f: (x: OpeningDoc) => void): readonly string[] =>
            change(`Note ${o.name}`, (d) => f(d.openings[i]!));
          const size =
            scale &&
            ([measureValue("across", [o.from, o.to], scale), measureValue("up", [o.from, o.to], scale)] as const);
          return (
            <li
              key={o.id}
              className={`border-l-[3px] pl-2 ${o.id === picked ? "border-vermilion" : "border-hair"}`}
              onFocus={() => pick(o.id)}
              onPointerDown={() => pick(o.id)}
            >
              <TextField
                label={<span className="sr-only">Name of opening {i + 1}</span>}
                value={o.name}
                keep={(t) => void set((x) => void (x.name = t.slice(0, 80)))}
              />
              <p className="my-1 text-[15px]">
                <b>{size ? `${P(size[0])} × ${P(size[1])}` : "not calibrated"}</b>
                {size && ` · ${M(size[0] / model.ratio, 1)} × ${M(size[1] / model.ratio, 1)}`}
                <span className="text-ink-2"> · {o.set === "flush" ? "flush" : `${P(o.by)} ${o.set}`}</span>
              </p>
              {o.id === picked && (
                <div className="space-y-2 pb-1">
                  <SelectField
                    label="What it is"
                    value={o.kind}
                    options={options(OPENINGS.kind)}
                    keep={(v) => void set((x) => void (x.kind = v))}
                  />
                  <SelectField
                    label="Its frame stands"
                    value={o.set}
                    options={options(OPENINGS.set)}
                    keep={(v) => void set((x) => void (x.set = v))}
                  />
                  {o.set !== "flush" && (
                    <LengthField
                      label={`How far ${o.set}`}
                      world="prototype"
                      mm={o.by}
                      units={doc.brief.units}
                      keep={(mm) => set((x) => void (x.by = mm))}
                    />
                  )}
                  <LengthField
                    label="Trim, width"
                    world="prototype"
                    mm={o.trim}
                    units={doc.brief.units}
                    empty={0}
                    keep={(mm) => set((x) => void (x.trim = mm))}
                  />
                  <TextField
                    label="Sill"
                    value={o.sill}
                    placeholder="2 in, slopes, past the trim"
                    keep={(t) => void set((x) => void (x.sill = t.slice(0, 200)))}
                  />
                  <SelectField
                    label="Opens"
                    value={o.swing}
                    options={options(OPENINGS.swing)}
                    keep={(v) => void set((x) => void (x.swing = v))}
                  />
                  <TextField
                    label="Casting to buy"
                    value={o.casting}
                    keep={(t) => void set((x) => void (x.casting = t.slice(0, 200)))}
                  />
                  <TextField
                    label="Cut by a roof or a floor?"
                    value={o.note}
                    keep={(t) => void set((x) => void (x.note = t.slice(0, 500)))}
                  />
                </div>
              )}
              <button
                className="link text-[15px]"
                onClick={() => change(`Remove ${o.name}`, (d) => void d.openings.splice(i, 1))}
              >
                Remove
              </button>
            </li>
          );
        })}
      </ul>
      <div className="mt-3">
        <SelectField
          label="Eaves on this drawing"
          value={drawing.eave ?? "unknown"}
          options={[
            { value: "unknown", label: "not noted" },
            ...EAVES.map((v) => ({ value: v, label: EAVE_WORDS[v] })),
          ]}
          keep={(v) =>
            void change("Note the eaves", (d) => {
              if (v === "unknown") delete d.eave;
              else d.eave = v;
            })
          }
        />
      </div>
    </section>
  );
}
