import { toast } from "sonner";
import { tellIn } from "core/units";
import { SelectField, TextField } from "~/ui/Fields";
import { useUnits } from "~/job/units";
import { useParam } from "./useParam";

/** One parameter as a field; `label` in place of its own where what it belongs to is plain. A table is none: see TableField. */
export function ParamField({ structure, path, label }: { structure: string; path: string; label?: string }) {
  const own = useParam(structure, path);
  const p = label === undefined ? own : { ...own, label };
  const { M, scale, units } = useUnits();
  switch (p.spec.type) {
    case "flag":
      return (
        <label className="flex min-h-[28px] items-center gap-2 text-[15px]" title={p.spec.help}>
          <input
            type="checkbox"
            className="size-5 accent-[var(--vermilion)]"
            checked={Boolean(p.value)}
            onChange={(e) => told(p.setValue(e.target.checked))}
          />
          {p.label}
        </label>
      );
    case "choice":
      return (
        <SelectField
          label={p.label}
          value={String(p.value)}
          options={p.spec.options}
          keep={(v) => told(p.setValue(v))}
        />
      );
    case "section":
      return <SectionField p={p} />;
    case "count": {
      const { min, max } = p.spec;
      const options = Array.from({ length: max - min + 1 }, (_, i) => ({
        value: String(min + i),
        label: String(min + i),
      }));
      return <CountField p={p} options={options} />;
    }
    case "length":
      return (
        <TextField
          label={p.label}
          value={p.text}
          hint={`${M(Number(p.value) / scale.ratio)} on the model. ${tellIn(p.spec.help, units)}`.trim()}
          keep={p.set}
        />
      );
    case "number":
      return (
        <TextField
          label={
            <>
              {p.label} <span className="text-ink-2">({p.spec.unit.trim() || "a number"})</span>
            </>
          }
          value={p.text}
          hint={p.spec.help}
          keep={p.set}
        />
      );
    case "table":
      return null;
    case "lengths":
    case "points":
      return <TextField long label={p.label} value={p.text} hint={`${p.unitHint}. ${p.spec.help}`} keep={p.set} />;
    case "batter":
      return <TextField label={p.label} value={p.text} hint={`Inches in 12. ${p.spec.help}`} keep={p.set} />;
  }
}

type ParamHook = ReturnType<typeof useParam>;
const SectionField = ({ p }: { p: ParamHook }) => (
  <TextField label={p.label} value={p.text} hint={p.spec.help} keep={p.set} />
);

/** Says why a value was refused: a list or a box goes back to what it was, and has no place of its own for a sentence. */
function told(refused: readonly string[]): void {
  if (refused[0]) toast.error(refused[0], { duration: 9000 });
}
function CountField({ p, options }: { p: ParamHook; options: { value: string; label: string }[] }) {
  const keep = (v: string): void => told(p.setValue(Number(v)));
  return <SelectField label={p.label} value={String(p.value)} options={options} hint={p.spec.help} keep={keep} />;
}
