import { layElevation, removeTrace, drawnId, chooseJoint, type Made, type Trace } from "core/structures";
import { toModel, prototype } from "core/units";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { LengthField, SelectField, TextField } from "~/ui/Fields";
import { useSheet } from "../sheet";
import { LAYER_WORDS, readSection } from "./sections";
import { useTrace } from "./useTrace";

const JOINT_WORDS: Record<Made["kind"], string> = {
  butt: "butts on it",
  mitre: "mitred with it",
  notch: "let into it",
  halved: "halved with it",
  lap: "laid on it",
  none: "not joined",
};

/** The picked member: its role, section, place and ends, its joints, and who runs through. */
export function MemberForm() {
  const job = useJob();
  const { P } = useUnits();
  const { settings, setSettings, choose } = useSheet();
  const t = useTrace();
  const m = t.member!;
  const set = (label: string, f: (x: Trace) => void): readonly string[] =>
    t.edit(label, (p) => f(p.members.find((x) => x.id === m.id)!));
  const length = Math.hypot(m.to[0] - m.from[0], m.to[1] - m.from[1]);
  const joints = madeOf(t).filter((j) => drawnId(j.a) === m.id || drawnId(j.b) === m.id);
  const seen = new Set<string>();
  const each = joints.filter((j) => {
    const key = [drawnId(j.a), drawnId(j.b)].sort().join("|");
    return drawnId(j.a) !== drawnId(j.b) && !seen.has(key) && seen.add(key);
  });
  const nameOf = (id: string): string => {
    const x = t.params!.members.find((q) => q.id === id);
    return x ? `${x.role} ${x.section}` : id;
  };
  return (
    <section className="space-y-2" aria-label="Picked member">
      <h2 className="label">Member {m.id}</h2>
      <p className="text-[15px]">
        <b>{P(length)}</b> as drawn
      </p>
      <TextField
        label="What it is"
        value={m.role}
        list="trace-roles"
        keep={(r) =>
          r.trim()
            ? void set("Role of a member", (x) => void (x.role = r.trim().slice(0, 40)))
            : ["A member needs a role."]
        }
      />
      <TextField
        label="Section, nominal inches"
        value={m.section}
        list="trace-sizes"
        keep={(text) => {
          const section = readSection(text);
          return section
            ? set("Section of a member", (x) => void (x.section = section))
            : [`Read “${text}”; write a nominal size such as 8×10.`];
        }}
      />
      <label className="flex min-h-[28px] items-center gap-2 text-[15px]">
        <input
          type="checkbox"
          className="size-4 accent-[var(--ink)]"
          checked={m.flat}
          onChange={(e) => set("Turn a member", (x) => void (x.flat = e.target.checked))}
        />
        laid flat: its thickness shows
      </label>
      <SelectField
        label="Layer"
        value={m.layer}
        options={LAYER_WORDS}
        keep={(v) => void set("Layer of a member", (x) => void (x.layer = v))}
      />
      <SelectField
        label="The line drawn is"
        value={m.seat}
        options={[
          { value: "centre", label: "its middle" },
          { value: "left", label: "its right edge, from start to end" },
          { value: "right", label: "its left edge, from start to end" },
        ]}
        keep={(v) => void set("Seat of a member", (x) => void (x.seat = v))}
      />
      <div className="flex items-center gap-2 text-[15px]">
        <span className="flex-1">Runs through: {m.order}</span>
        <button
          className="btn"
          aria-label="Let others run through"
          onClick={() => set("Who runs through", (x) => void (x.order = Math.max(-1000, x.order - 10)))}
        >
          −
        </button>
        <button
          className="btn"
          aria-label="Let it run through"
          onClick={() => set("Who runs through", (x) => void (x.order = Math.min(1000, x.order + 10)))}
        >
          +
        </button>
      </div>
      {each.length > 0 && (
        <ul className="space-y-1.5">
          {each.map((j) => {
            const [a, b] = [drawnId(j.a), drawnId(j.b)];
            const other = a === m.id ? b : a;
            return (
              <li key={other}>
                <SelectField
                  label={a === m.id ? `At the ${nameOf(other)} it is` : `The ${nameOf(other)} at it is`}
                  value={j.kind}
                  options={j.possible.map((k) => ({
                    value: k,
                    label: `${JOINT_WORDS[k]}${k === j.proposed ? " (proposed)" : ""}`,
                  }))}
                  keep={(kind) =>
                    void t.edit("Choose a joint", (p) =>
                      chooseJoint(p, a, b, kind === j.proposed ? undefined : { kind }),
                    )
                  }
                />
                {j.kind === "notch" && (
                  <LengthField
                    label="Let in by"
                    world="prototype"
                    mm={j.depth}
                    units={job.doc.brief.units}
                    keep={(depth) => t.edit("Depth of a notch", (p) => chooseJoint(p, a, b, { kind: "notch", depth }))}
                  />
                )}
              </li>
            );
          })}
        </ul>
      )}
      <FreeEnds />
      <TextField
        label="Copies at once"
        value={String(settings.copies)}
        hint="Copy: press where from and where to, and so many are made at that spacing."
        keep={(text) => {
          const n = Number(text);
          if (!(Number.isInteger(n) && n >= 1 && n <= 200))
            return [`Read “${text}”; write a whole number from 1 to 200.`];
          setSettings({ copies: n });
        }}
      />
      <div className="flex gap-2">
        <button className="btn" onClick={() => choose("copy")}>
          Copy
        </button>
        <button
          className="btn"
          onClick={() => {
            t.edit(`Remove a ${m.role}`, (p) => removeTrace(p, m.id));
            job.select(undefined);
          }}
        >
          Remove
        </button>
        <button className="btn" onClick={() => job.select(undefined)}>
          Done
        </button>
      </div>
    </section>
  );
}

/** How the ends finish that nothing cuts. */
function FreeEnds() {
  const job = useJob();
  const t = useTrace();
  const m = t.member!;
  const cut = new Set(
    (t.design?.resolved.frame.joints ?? []).flatMap((j) =>
      j.kind === "butt" || j.kind === "mitre"
        ? [`${j.a}:${j.end}`, ...(j.kind === "mitre" ? [`${j.b}:${j.bEnd}`] : [])]
        : [],
    ),
  );
  const stick = `${t.structure}/${t.params!.places.length > 1 ? "place1/" : ""}${m.id}`;
  return (
    <>
      {([0, 1] as const)
        .filter((k) => !cut.has(`${stick}:${k}`) && !cut.has(`${stick}/1:${k}`))
        .map((k) => (
          <div key={k} className="grid grid-cols-2 gap-2">
            <SelectField
              label={k === 0 ? "Start is cut" : "End is cut"}
              value={m.ends[k].kind}
              options={(["square", "plumb", "level"] as const).map((v) => ({ value: v, label: v }))}
              keep={(v) =>
                void t.edit("End of a member", (p) => void (p.members.find((x) => x.id === m.id)!.ends[k].kind = v))
              }
            />
            <LengthField
              label="beyond"
              world="prototype"
              mm={m.ends[k].beyond}
              units={job.doc.brief.units}
              empty={0}
              hint="Past the end drawn."
              keep={(mm) =>
                t.edit("End of a member", (p) => void (p.members.find((x) => x.id === m.id)!.ends[k].beyond = mm))
              }
            />
          </div>
        ))}
    </>
  );
}

/** The joints as they are made; none while the trace cannot be laid out. */
export function madeOf(t: ReturnType<typeof useTrace>): readonly Made[] {
  if (!t.params || !t.design) return [];
  try {
    const back = 1 / toModel(t.design.context.scale, prototype(1));
    return layElevation(t.params, t.design.context).made.map((j) => ({ ...j, depth: j.depth * back }));
  } catch {
    return [];
  }
}
