import type { OrderMistake } from "core/buildOrder";
import { tellIn } from "core/units";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";

const EDGE: Readonly<Record<OrderMistake["level"], string>> = {
  fault: "border-fault",
  warning: "border-ochre",
  remark: "border-edge",
};
const WORD: Readonly<Record<OrderMistake["level"], string>> = { fault: "Fault", warning: "Warning", remark: "Remark" };
/** What would go wrong with the order or the finish; pressing one shows its first piece. */
export function Mistakes({ all }: { all: readonly OrderMistake[] }) {
  const { select } = useJob();
  const { units } = useUnits();
  if (all.length === 0) return null;
  return (
    <ul aria-label="What would go wrong" className="mx-7 mt-2 max-h-[22vh] shrink-0 overflow-auto">
      {all.map((m) => (
        <li key={m.key} className={`mt-1 border-l-[3px] ${EDGE[m.level]} bg-shade px-4 py-1.5 text-[16px]`}>
          <b>{`${WORD[m.level]}.`}</b> {tellIn(m.text, units)}{" "}
          {m.sticks.length > 0 && (
            <button className="link min-h-6" onClick={() => select(m.sticks[0])}>
              Show
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
