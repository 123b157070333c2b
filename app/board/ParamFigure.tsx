import { useEffect, useRef, useState } from "react";
import { Figure } from "~/job/units";
import { useParam } from "./useParam";

/** A figure of the drawing that is a button: press, type, Enter. */
export function ParamFigure({
  structure,
  path,
  label,
  text,
  tell,
}: {
  structure: string;
  path: string;
  label: string;
  text: string;
  tell: (s: string) => void;
}) {
  const param = useParam(structure, path);
  const [typing, setTyping] = useState(false);
  const [errors, setErrors] = useState<readonly string[]>([]);
  const input = useRef<HTMLInputElement>(null);
  const button = useRef<HTMLButtonElement>(null);
  const back = useRef(false);
  useEffect(() => {
    if (typing) input.current?.select();
    else if (back.current) button.current?.focus();
    back.current = false;
  }, [typing]);
  const keep = (words: string): void => {
    const refused = param.set(words);
    setErrors(refused);
    if (refused.length === 0) {
      back.current = true;
      setTyping(false);
      tell(`${label}: ${words}`);
    }
  };
  if (!typing)
    return (
      <button
        ref={button}
        type="button"
        className="pointer-events-auto min-h-[24px] rounded-[3px] border border-edge bg-film px-1.5 text-[15px] leading-[22px] whitespace-nowrap hover:border-vermilion hover:text-vermilion"
        aria-label={`${label}, ${spoken(text)}${spoken(text) === text ? "" : `, ${text}`}`}
        title={label}
        onClick={() => {
          setErrors([]);
          setTyping(true);
        }}
      >
        <Figure>{text}</Figure>
      </button>
    );
  return (
    <form
      className="pointer-events-auto relative z-20"
      onSubmit={(e) => {
        e.preventDefault();
        keep(input.current!.value);
      }}
    >
      <input
        ref={input}
        defaultValue={param.text}
        aria-label={`${label} (${param.unitHint})`}
        aria-invalid={errors.length > 0}
        className="field !min-h-[28px] !w-[124px] text-center"
        onChange={(e) => param.typing(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Escape") {
            e.stopPropagation();
            back.current = true;
            setTyping(false);
          }
        }}
        onBlur={(e) => {
          if (e.target.value === param.text || errors.length > 0) setTyping(false);
          else keep(e.target.value);
        }}
      />
      {errors.length > 0 && (
        <p
          role="alert"
          className="absolute top-full left-1/2 z-30 mt-1 w-72 -translate-x-1/2 border border-fault bg-film p-2 text-[15px] text-fault"
        >
          {errors[0]}
        </p>
      )}
    </form>
  );
}
/** Marks read out as words. */
const spoken = (s: string): string => s.replace(/′-?/g, " feet ").replace(/″/g, " inches").replace(/\s+/g, " ").trim();
