import type { ReactNode } from "react";
import { Next } from "./Next";

/** The panel at the right of a stage: what it is about, scrolling, with the next useful step always at its foot. */
export function SidePanel({
  label,
  head,
  wide,
  children,
}: {
  label: string;
  head?: ReactNode;
  wide?: boolean;
  children: ReactNode;
}) {
  return (
    <aside
      aria-label={label}
      className={`flex shrink-0 flex-col border-l border-hair ${wide ? "w-[356px]" : "w-[316px]"}`}
    >
      {head}
      <div className="min-h-0 flex-1 space-y-5 overflow-auto px-5 py-3">{children}</div>
      <div className="px-5 pb-3">
        <Next />
      </div>
    </aside>
  );
}
