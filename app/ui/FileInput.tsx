import { useEffect, useRef, type RefObject } from "react";

/** A file input out of sight, for a button to press. A file that came before the page was listening is taken too, and the same file may be chosen twice. */
export function FileInput(props: {
  readonly input: RefObject<HTMLInputElement | null>;
  readonly label: string;
  readonly accept: string;
  readonly chosen: (file: File) => void;
}) {
  const take = (input: HTMLInputElement): void => {
    const file = input.files?.[0];
    if (!file) return;
    input.value = "";
    props.chosen(file);
  };
  const early = useRef(() => props.input.current && take(props.input.current));
  useEffect(() => void early.current(), []);
  return (
    <input
      ref={props.input}
      type="file"
      accept={props.accept}
      className="sr-only"
      tabIndex={-1}
      aria-label={props.label}
      onChange={(e) => take(e.target)}
    />
  );
}
