import type { ReactNode } from "react";

/** What there is to say of a search behind what is shown: that it goes on, with a way to end it; that it was ended, or came to its limits, with a way to take it up again. */
export function SearchBanner({
  seeking,
  stopped,
  open,
  what,
  stop,
  again,
  children,
}: {
  seeking: boolean;
  stopped: boolean;
  /** Something better may still be found. */
  open: boolean;
  /** "plan". */
  what: string;
  stop: () => void;
  again: () => void;
  /** What is said while it goes on. */
  children: ReactNode;
}) {
  if (!seeking && !(stopped && open)) return null;
  return (
    <p
      role="status"
      className={`flex flex-wrap items-center gap-4 border-l-[3px] bg-shade px-4 py-2 ${seeking ? "border-ochre" : "border-edge"}`}
    >
      <span>{seeking ? children : "Stopped. What is shown can be cut."}</span>
      <button className="btn" onClick={seeking ? stop : again}>
        {seeking ? "Stop and take it" : `Look for a better ${what}`}
      </button>
    </p>
  );
}
