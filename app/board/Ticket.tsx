import { lazy, Suspense } from "react";
import { useJob } from "~/job/JobContext";
import { useTicket } from "~/job/useTicket";

const TicketFacts = lazy(() => import("./TicketFacts"));

/** The ticket of the stick that is pointed at: the same wherever a piece is named. */
export function Ticket() {
  const { selected } = useJob();
  const facts = useTicket();
  if (!facts || !selected)
    return (
      <section>
        <h2 className="label">Piece</h2>
        <p className="mt-1 text-ink-2">
          Point at a stick to see its ticket: lengths, both end cuts, and what it is cut from.
        </p>
      </section>
    );
  return (
    <Suspense fallback={null}>
      <TicketFacts facts={facts} selected={selected} />
    </Suspense>
  );
}
