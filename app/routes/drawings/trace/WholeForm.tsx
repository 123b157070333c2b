import { parseLength, printPrototype, barePrototype, type Prototype } from "core/units";
import { freeId, removeTrace } from "core/structures";
import { Link } from "react-router";
import { useJob } from "~/job/JobContext";
import { LengthField, SelectField, TextField } from "~/ui/Fields";
import { useSheet } from "../sheet";
import { readSection } from "./sections";
import { useTrace } from "./useTrace";

/** What concerns the whole trace: its centre line, where it stands along the track, and what runs across. */
export function WholeForm() {
  const job = useJob();
  const { choose } = useSheet();
  const t = useTrace();
  const p = t.params!;
  const unit = job.doc.brief.units.prototype;
  const spaced = p.places.map((x) => printPrototype(x as Prototype, unit)).join("; ");
  return (
    <div className="space-y-2">
      <p className="text-[15px]">
        {p.members.length} drawn, {t.design?.resolved.sticks.length ?? 0} sticks.{" "}
        <Link className="link" to={`/jobs/${job.id}/framing`}>
          See the frame
        </Link>
      </p>
      <div className="flex items-center gap-2 text-[15px]">
        <span className="flex-1">
          {p.mirror === null || p.mirror === undefined ? "Not mirrored." : "Mirrored about its centre line."}
        </span>
        {p.mirror === null || p.mirror === undefined ? (
          <button className="btn" onClick={() => choose("mirror")}>
            Mirror
          </button>
        ) : (
          <button className="btn" onClick={() => t.edit("No mirror", (x) => void (x.mirror = null))}>
            No mirror
          </button>
        )}
      </div>
      <TextField
        label="Stands at, along the track"
        value={spaced}
        hint="One place, or several with ; between: four bents, two side trusses."
        keep={(text) => {
          const places: number[] = [];
          for (const w of text.split(/[;\n]/).filter((s) => s.trim())) {
            const r = parseLength(w, barePrototype(unit));
            if (!r.ok) return [r.error];
            places.push(r.mm);
          }
          if (places.length === 0) return ["Write at least one place; 0 is where the drawing stands."];
          return t.edit("Places along the track", (x) => void (x.places = places));
        }}
      />
      {p.crosses.map((c) => (
        <fieldset key={c.id} className="space-y-1.5 border-l-[3px] border-hair pl-2">
          <legend className="text-[15px] font-semibold">
            Across {c.id}, on {p.members.find((m) => m.id === c.on)?.role ?? "nothing"}
          </legend>
          <TextField
            label="What it is"
            value={c.role}
            list="trace-roles"
            keep={(v) =>
              v.trim()
                ? t.edit("Role across", (x) => void (x.crosses.find((q) => q.id === c.id)!.role = v.trim()))
                : ["It needs a role."]
            }
          />
          <TextField
            label="Section"
            value={c.section}
            list="trace-sizes"
            keep={(v) => {
              const section = readSection(v);
              return section
                ? t.edit("Section across", (x) => void (x.crosses.find((q) => q.id === c.id)!.section = section))
                : [`Read “${v}”; write a nominal size such as 4×6.`];
            }}
          />
          <SelectField
            label="It runs"
            value={c.run}
            options={[
              { value: "through", label: "over all places, lying on the member" },
              { value: "between", label: "from place to place, between members" },
            ]}
            keep={(v) => void t.edit("Run across", (x) => void (x.crosses.find((q) => q.id === c.id)!.run = v))}
          />
          {c.run === "through" && (
            <LengthField
              label="Past the outer places"
              world="prototype"
              mm={c.overhang}
              units={job.doc.brief.units}
              empty={0}
              keep={(mm) =>
                t.edit("Overhang across", (x) => void (x.crosses.find((q) => q.id === c.id)!.overhang = mm))
              }
            />
          )}
          <div className="flex gap-3 text-[15px]">
            <button
              className="link"
              onClick={() =>
                t.edit("Side across", (x) => {
                  const q = x.crosses.find((y) => y.id === c.id)!;
                  q.side = q.side === "left" ? "right" : "left";
                })
              }
            >
              Other side
            </button>
            <button className="link" onClick={() => t.edit("Remove across", (x) => removeTrace(x, c.id))}>
              Remove
            </button>
          </div>
        </fieldset>
      ))}
    </div>
  );
}
/** A member across on another, at a station along it, prototype mm. */
export const acrossOn = (
  p: NonNullable<ReturnType<typeof useTrace>["params"]>,
  on: string,
  at: number,
  side: "left" | "right",
  section: string,
) => {
  const role = p.places.length > 1 ? "girt" : "purlin";
  p.crosses.push({ id: freeId(p, role), role, section, flat: false, on, at, run: "through", side, overhang: 0 });
};
