import { PAPERS, type PaperId } from "core/drawing";

/** The paper one prints on. */
export function PaperChoice({ paper, choose }: { paper: PaperId; choose: (p: PaperId) => void }) {
  return (
    <label className="flex items-center gap-2 text-[15px]">
      Paper
      <select className="field !w-[86px]" value={paper} onChange={(e) => choose(e.target.value as PaperId)}>
        {Object.keys(PAPERS).map((p) => (
          <option key={p}>{p}</option>
        ))}
      </select>
    </label>
  );
}
