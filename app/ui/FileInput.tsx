import { useEffect, useRef, type RefObject } from "react";

/** A file input out of sight, for a button to press. A file that came before the page was listening is taken too, and the same file may be chosen twice. */
export function FileInput(props: {
  readonly input: RefObject<HTMLInputElement | null>;
  readonly label: string;
  readonly accept: string;
  readonly chosen: (file: File) => void;
}) {
  const take = (): void => {
    const { current } = props.input;
    const file = current?.files?.[0];
    if (!current || !file) return;
    current.value = "";
    props.chosen(file);
  };
  const early = useRef(take);
  useEffect(() => early.current(), []);
  return (
    <input
      ref={props.input}
      type="file"
      accept={props.accept}
      className="sr-only"
      tabIndex={-1}
      aria-label={props.label}
      onChange={take}
    />
  );
}
