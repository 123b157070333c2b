import { useState } from "react";
import { toast } from "sonner";
import { tellIn } from "core/units";
import { OWN_SHEET_MATERIALS, ownSheet, sheetOf, type SheetMaterial } from "core/lumber";
import type { ChoiceParam } from "core/structures";
import { LengthField, SelectField, TextField } from "~/ui/Fields";
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
      return <ChoiceField p={p} spec={p.spec} />;
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
          typing={p.typing}
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
          typing={p.typing}
        />
      );
    case "table":
      return null;
    case "lengths":
    case "points":
      return (
        <TextField
          long
          label={p.label}
          value={p.text}
          hint={`${p.unitHint}. ${p.spec.help}`}
          keep={p.set}
          typing={p.typing}
        />
      );
    case "batter":
      return (
        <TextField
          label={p.label}
          value={p.text}
          hint={`Inches in 12. ${p.spec.help}`}
          keep={p.set}
          typing={p.typing}
        />
      );
  }
}

type ParamHook = ReturnType<typeof useParam>;
/** What an option is called that asks for a size of one's own. */
const OWN = "own …";
function ChoiceField({ p, spec }: { p: ParamHook; spec: ChoiceParam }) {
  const [asking, setAsking] = useState(false);
  const { units } = useUnits();
  const now = String(p.value);
  const known = sheetOf(`sheet/${now}`);
  const own = spec.own && now.startsWith("own/") ? known : undefined;
  const [material, setMaterial] = useState<SheetMaterial>(own?.material ?? "card");
  const options = [
    ...spec.options,
    ...(own ? [{ value: now, label: own.name }] : []),
    ...(spec.own ? [{ value: OWN, label: "One of my own …" }] : []),
  ];
  const keep = (mm: number): readonly string[] | void => {
    try {
      const refused = p.setValue(ownSheet(material, mm));
      if (refused.length > 0) return refused;
      setAsking(false);
    } catch (e) {
      return [(e as Error).message];
    }
  };
  return (
    <>
      <SelectField
        label={p.label}
        value={asking ? OWN : now}
        options={options}
        keep={(v) => {
          setAsking(v === OWN);
          if (v !== OWN) told(p.setValue(v));
        }}
      />
      {asking && (
        <div className="ml-3 space-y-1 border-l-2 border-edge pl-3">
          <SelectField
            label="Sheet of"
            value={material}
            options={OWN_SHEET_MATERIALS.map((m) => ({ value: m, label: m }))}
            keep={setMaterial}
          />
          <LengthField
            label="Thickness, as measured"
            world="model"
            units={units}
            mm={own?.thickness}
            hint="On the model; the frame takes it at once."
            keep={keep}
          />
        </div>
      )}
    </>
  );
}

const SectionField = ({ p }: { p: ParamHook }) => (
  <TextField label={p.label} value={p.text} hint={p.spec.help} keep={p.set} typing={p.typing} />
);

/** Says why a value was refused: a list or a box goes back to what it was, and has no place of its own for a sentence. */
function told(refused: readonly string[]): void {
  if (refused[0]) toast.error(refused[0], { duration: 9000 });
}
function CountField({ p, options }: { p: ParamHook; options: { value: string; label: string }[] }) {
  const keep = (v: string): void => told(p.setValue(Number(v)));
  return <SelectField label={p.label} value={String(p.value)} options={options} hint={p.spec.help} keep={keep} />;
}
