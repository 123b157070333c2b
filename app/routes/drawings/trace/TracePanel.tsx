import { toast } from "sonner";
import { COMMON_SIZES } from "core/lumber";
import { ROLES } from "core/structures";
import { tellIn } from "core/units";
import { useJob } from "~/job/JobContext";
import { SelectField, TextField } from "~/ui/Fields";
import { useSheet } from "../sheet";
import { FoundPanel } from "../found/FoundPanel";
import { MemberForm } from "./MemberForm";
import { WholeForm } from "./WholeForm";
import { LAYER_WORDS, readSection } from "./sections";
import { useTrace } from "./useTrace";

/** Drawing members over the drawing: how the next is drawn, the one that is picked, and the whole. */
export function TracePanel() {
  const job = useJob();
  const sheet = useSheet();
  const { settings, setSettings } = sheet;
  const t = useTrace();
  const drawing = sheet.tool === "edge" || sheet.tool === "centre";
  const traced = job.doc.structures.filter((s) => s.kind === "traced");
  return (
    <>
      <datalist id="trace-sizes">
        {COMMON_SIZES.map((x) => (
          <option key={x} value={x} />
        ))}
      </datalist>
      <datalist id="trace-roles">
        {ROLES.map(([r]) => (
          <option key={r} value={r} />
        ))}
      </datalist>
      {sheet.found.length > 0 && <FoundPanel />}
      {(!t.member || drawing) && (
        <section className="space-y-2">
          <h2 className="label">The next member</h2>
          {!sheet.scale && <p className="text-[15px] text-ink-2">Calibrate the drawing first: see the Scale tab.</p>}
          <TextField
            label="What it is"
            value={settings.role}
            list="trace-roles"
            keep={(r) => void (r.trim() && setSettings({ role: r.trim().slice(0, 40) }))}
          />
          <TextField
            label="Section, nominal inches"
            value={settings.section}
            list="trace-sizes"
            hint="Press on the other edge and it is proposed from the width."
            keep={(text) => {
              const section = readSection(text);
              if (!section) return [`Read “${text}”; write a nominal size such as 8×10.`];
              setSettings({ section });
            }}
          />
          <SelectField
            label="Layer"
            value={settings.layer}
            options={LAYER_WORDS}
            keep={(layer) => setSettings({ layer })}
          />
        </section>
      )}
      {t.member && <MemberForm key={t.member.id} />}
      {sheet.found.length === 0 && <FoundPanel />}
      {traced.length > 0 && (
        <section className="space-y-2">
          <h2 className="label">Traced structure</h2>
          <SelectField
            label="Draw into"
            value={t.structure ?? ""}
            options={[...traced.map((s) => ({ value: s.id, label: s.name })), { value: "", label: "a new structure" }]}
            keep={(v) => {
              sheet.setStructure(v || undefined);
              if (v && !sheet.drawing.under.some((u) => u.structure === v))
                toast("Say where it stands on this drawing: press Put under the frame.");
            }}
          />
          {t.params && <WholeForm />}
          {t.design?.fault && (
            <p role="alert" className="border-l-[3px] border-fault pl-2 text-[15px]">
              {tellIn(t.design.fault, job.doc.brief.units)}
            </p>
          )}
        </section>
      )}
    </>
  );
}
