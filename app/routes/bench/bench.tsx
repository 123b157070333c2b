import { shortHash, whereRanges } from "core/job";
import { useJob } from "~/job/JobContext";
import { useCutMarks } from "~/job/useCutMarks";
import { clockOf } from "~/job/useKeeping";
import { Next } from "~/ui/Next";

const WORD = { print: "Jigs printed", cut: "Cut", uncut: "Taken back: not cut" } as const;
const INK = {
  valid: "text-verdigris",
  "too long": "text-ochre",
  "too short": "text-fault",
  "other ends": "text-fault",
  "other section": "text-fault",
  "not needed": "text-ink-2",
} as const;

/** What is cut and whether it still fits, and what happened when: read at arm's length. */
export default function Bench() {
  const { design, statuses, issues, doc } = useJob();
  const { takeBack } = useCutMarks();
  const all = design.pieces.reduce((n, p) => n + p.sticks.length, 0);
  const good = statuses.filter((s) => s.state === "valid").length;
  const groups = [...new Set(statuses.map((s) => `${s.mark}|${s.words}|${s.state}`))];
  return (
    <div className="h-full overflow-auto px-8 py-5 text-[19px]">
      <h2 className="head text-[30px]">
        {statuses.length === 0 ? "Nothing is cut yet" : `${good} of ${all} pieces are cut and fit`}
      </h2>
      {statuses.length === 0 && (
        <p className="my-2 max-w-2xl">
          Mark pieces as cut under Cutting, and print jigs under Jigs: both are noted here with what they were made
          from, and told when the design moves on.
        </p>
      )}
      <ul className="mt-3 max-w-4xl">
        {groups.map((g) => {
          const list = statuses.filter((s) => `${s.mark}|${s.words}|${s.state}` === g);
          const first = list[0]!;
          return (
            <li key={g} className="row flex min-h-[48px] items-center gap-5 py-1">
              <b className="head w-16 text-[26px]">{first.mark}</b>
              <span className="w-64">
                {list.length} × {first.role}
              </span>
              <span className={`font-semibold ${INK[first.state]}`}>
                {first.state === "valid" ? "✓ " : ""}
                {first.words}
              </span>
              <span className="ml-auto text-[16px] text-ink-2">{whereRanges(list.map((s) => s.stick))}</span>
              <button className="btn shrink-0" onClick={() => takeBack(list.map((s) => s.stick))}>
                Take back
              </button>
            </li>
          );
        })}
      </ul>
      <h2 className="head mt-8 text-[24px]">Log</h2>
      <ul className="max-w-4xl">
        {[...issues].reverse().map((i) => (
          <li key={i.id} className="row flex gap-5 py-2">
            <span className="w-44 text-ink-2">
              {i.at.slice(0, 10)} {clockOf(new Date(i.at))}
            </span>
            <span>
              {WORD[i.kind]}
              {i.kind === "print" ? `, issue ${shortHash(i.hash)}` : `: ${marks(i)}`}
            </span>
          </li>
        ))}
        {issues.length === 0 && <li className="text-ink-2">Nothing has happened yet.</li>}
      </ul>
      <p className="my-6 max-w-3xl border-t border-hair pt-3 text-[16px] text-ink-2">
        {doc.stock.series.includes("styrene")
          ? "Solvent cement and paint only with fresh air. "
          : "CA and spray paint only with fresh air. "}
        Cut away from the hand; a new blade is safer than a blunt one; wear eye protection at saws and when sticks snap.
      </p>
      <div className="max-w-md">
        <Next />
      </div>
    </div>
  );
}

function marks(i: {
  sticks: readonly string[];
  pieces: readonly { mark: string; sticks: readonly string[] }[];
}): string {
  const count = new Map<string, number>();
  for (const s of i.sticks) {
    const m = i.pieces.find((p) => p.sticks.includes(s))?.mark ?? "?";
    count.set(m, (count.get(m) ?? 0) + 1);
  }
  return [...count].map(([m, n]) => `${n} × ${m}`).join(", ");
}
