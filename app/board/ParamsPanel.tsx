import { COMMON_SIZES } from "core/lumber";
import { kindOf, paramAt, pathsOf } from "core/structures";
import { toast } from "sonner";
import { chosenVariant, useJob } from "~/job/JobContext";
import { SelectField, TextField } from "~/ui/Fields";
import { useUnits } from "~/job/units";
import { TableField } from "./TableField";
import { useParam } from "./useParam";

/** The same parameters as on the drawing, as a list. */
export function ParamsPanel({ structure }: { structure: string }) {
  const { doc } = useJob();
  const s = doc.structures.find((x) => x.id === structure)!;
  const kind = kindOf(s.kind);
  const params = chosenVariant(s).params;
  const paths = pathsOf(kind.spec)
    .filter((p) => kind.shown(params, p))
    .map((path) => ({ path, group: paramAt(kind.spec, path)!.group }));
  const groups = [...new Set(paths.map((p) => p.group))];
  return (
    <div className="space-y-5">
      <datalist id="nominal-sizes">
        {COMMON_SIZES.map((x) => (
          <option key={x} value={x} />
        ))}
      </datalist>
      {groups.map((g) => (
        <fieldset key={g}>
          <legend className="label mb-1.5 w-full border-b border-hair">{g}</legend>
          <div className="space-y-2.5">
            {paths
              .filter((p) => p.group === g)
              .map((p) => (
                <ParamField key={p.path} structure={structure} path={p.path} />
              ))}
          </div>
        </fieldset>
      ))}
    </div>
  );
}

/** One parameter as a field; `label` in place of its own where what it belongs to is plain. */
export function ParamField({ structure, path, label }: { structure: string; path: string; label?: string }) {
  const own = useParam(structure, path);
  const p = label === undefined ? own : { ...own, label };
  const { M, scale } = useUnits();
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
          hint={`${M(Number(p.value) / scale.ratio)} on the model. ${p.spec.help}`.trim()}
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
      return <TableField structure={structure} path={path} spec={p.spec} />;
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
