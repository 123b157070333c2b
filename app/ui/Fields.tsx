import { useEffect, useId, useState, type ReactNode } from "react";
import {
  bareModel,
  barePrototype,
  parseLength,
  printModel,
  printPrototype,
  type Model,
  type Prototype,
  type Units,
} from "core/units";

interface TextProps {
  readonly label: ReactNode;
  readonly value: string;
  readonly hint?: string;
  readonly long?: boolean;
  readonly placeholder?: string;
  /** The keyboard goes on here when it appears. */
  readonly first?: boolean;
  /** Id of a datalist with proposals. */
  readonly list?: string;
  /** Keeps what was typed; answers why not. */
  readonly keep: (text: string) => readonly string[] | void;
  /** Told what stands in it at every key. */
  readonly typing?: (text: string) => void;
}
/** A labelled field that keeps what is typed when one leaves it or presses Enter; what it refuses stays in it to be mended. */
export function TextField({ label, value, hint, long, placeholder, list, first, keep, typing }: TextProps) {
  const id = useId();
  const [text, setText] = useState(value);
  const [errors, setErrors] = useState<readonly string[]>([]);
  useEffect(() => {
    setText(value);
    setErrors([]);
  }, [value]);
  const done = (): void => {
    if (text === value) return setErrors([]);
    setErrors(keep(text) ?? []);
  };
  const type = (t: string): void => {
    setText(t);
    typing?.(t);
  };
  const shared = {
    id,
    className: "field",
    value: text,
    placeholder,
    autoFocus: first,
    "aria-invalid": errors.length > 0,
    "aria-describedby": errors.length ? `${id}-error` : hint ? `${id}-hint` : undefined,
    onBlur: done,
  };
  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block text-[15px]">
        {label}
      </label>
      {long ? (
        <textarea rows={3} {...shared} onChange={(e) => type(e.target.value)} />
      ) : (
        <input
          {...shared}
          list={list}
          onChange={(e) => type(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "Enter") done();
            if (e.key === "Escape") {
              setText(value);
              setErrors([]);
            }
          }}
        />
      )}
      {hint && errors.length === 0 && (
        <p id={`${id}-hint`} className="mt-0.5 text-[14px] text-ink-2">
          {hint}
        </p>
      )}
      {errors.length > 0 && (
        <p id={`${id}-error`} role="alert" className="mt-0.5 text-[14px] text-fault">
          {errors[0]}
        </p>
      )}
    </div>
  );
}

/** A length of the prototype or the model in mm, typed in any notation. `empty` is the value of nothing typed, where that may be. */
export function LengthField({
  label,
  world,
  mm,
  units,
  hint,
  empty,
  first,
  keep,
}: {
  readonly label: string;
  readonly first?: boolean;
  readonly world: "prototype" | "model";
  readonly mm: number | undefined;
  readonly units: Units;
  readonly hint?: string;
  readonly empty?: number;
  readonly keep: (mm: number) => readonly string[] | void;
}) {
  const bare = world === "prototype" ? barePrototype(units.prototype) : bareModel(units.model);
  const print = (n: number): string =>
    world === "prototype"
      ? printPrototype(n as Prototype, units.prototype, 64)
      : printModel(n as Model, units.model, 2);
  const name = { ft: "feet", in: "inches", mm: "millimetres", m: "metres" }[bare];
  return (
    <TextField
      label={
        <>
          {label} <span className="text-ink-2">({world})</span>
        </>
      }
      value={mm === undefined || mm === empty ? "" : print(mm)}
      first={first}
      hint={hint ?? `A bare number is ${name}.`}
      keep={(text) => {
        if (text.trim() === "" && empty !== undefined) return keep(empty);
        const p = parseLength(text, bare);
        return p.ok ? keep(p.mm) : [p.error];
      }}
    />
  );
}

/** A labelled choice. */
export function SelectField<T extends string>({
  label,
  value,
  options,
  keep,
  hint,
}: {
  label: string;
  value: T;
  options: readonly { value: T; label: string }[];
  keep: (v: T) => void;
  hint?: string;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block text-[15px]">
        {label}
      </label>
      <select id={id} className="field" value={value} onChange={(e) => keep(e.target.value as T)}>
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.label}
          </option>
        ))}
      </select>
      {hint && <p className="mt-0.5 text-[14px] text-ink-2">{hint}</p>}
    </div>
  );
}
