import { useMemo } from "react";
import { useJob } from "./JobContext";
import { askLooker } from "./framer";
import { ticketOf, type TicketFacts } from "./ticketFacts";
import { useAnswer } from "./useAnswer";

/** The facts of the stick that is pointed at; of one in a large frame they come from the worker, and until then they are those before. */
export function useTicket(): TicketFacts | undefined {
  const { design, selected, away, ask } = useJob();
  const now = useMemo(() => (away || !selected ? undefined : ticketOf(design, selected)), [design, selected, away]);
  const request = useMemo(
    () => (away && selected ? () => askLooker((w) => w.ticket(ask, selected)) : undefined),
    [ask, selected, away],
  );
  const { answer } = useAnswer<TicketFacts | undefined>(request);
  return away ? (answer?.stick === selected ? answer : undefined) : now;
}
