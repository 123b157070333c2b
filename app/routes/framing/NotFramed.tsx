import { tellIn } from "core/units";
import { useUnits } from "~/job/units";

/** Why there is no frame, on the board where it would be. */
export function NotFramed({ why }: { why: string }) {
  const { units } = useUnits();
  return (
    <div className="absolute inset-x-10 top-1/3 mx-auto max-w-xl border-l-[3px] border-fault bg-film px-5 py-3">
      <h2 className="head text-[20px]">It cannot be framed like this</h2>
      <p className="text-fault">{tellIn(why, units)}</p>
      <p className="text-[15px] text-ink-2">Change it under Parameters, or take the last change back.</p>
    </div>
  );
}
