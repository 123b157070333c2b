import { useCallback } from "react";
import { toast } from "sonner";
import type { CutMove } from "core/drawer";
import { isCardStick } from "core/job";
import { useJob } from "./JobContext";

/** "12 × P1, 3 × C2": sticks by their marks, so many of them at most. */
export function marksOf(sticks: readonly string[], markOf: ReadonlyMap<string, string>, most = 6): string {
  const count = new Map<string, number>();
  for (const s of sticks) {
    const mark = markOf.get(s) ?? (isCardStick(s) ? "card mock-up" : "?");
    count.set(mark, (count.get(mark) ?? 0) + 1);
  }
  const all = [...count].map(([m, n]) => `${n} × ${m}`);
  return all.length > most ? `${all.slice(0, most).join(", ")} and ${all.length - most} marks more` : all.join(", ");
}

/** What was told to the ledger of the drawer with pieces that were marked together, for the way back from taking them back. */
const told = new Map<string, readonly CutMove[]>();

/** Marking sticks as cut and taking that back: each says what it did, with the way back beside it. */
export function useCutMarks(): {
  /** `moves` are what cutting them takes out of the drawer and puts into it. */
  mark(sticks: readonly string[], moves?: readonly CutMove[]): void;
  takeBack(sticks: readonly string[]): void;
} {
  const { addIssue, design, statuses, whenFramed } = useJob();
  const words = useCallback(
    (sticks: readonly string[]) => {
      const markOf = new Map<string, string>(statuses.map((s) => [s.stick, s.mark]));
      design.pieces.forEach((p) => p.sticks.forEach((s) => markOf.set(s, p.mark)));
      return marksOf(sticks, markOf);
    },
    [design, statuses],
  );
  const mark = useCallback(
    (sticks: readonly string[], moves?: readonly CutMove[]) => {
      if (sticks.length === 0) return;
      if (moves) told.set(sticks.join(), moves);
      addIssue("cut", sticks, moves);
      whenFramed(() =>
        toast(`Marked as cut: ${words(sticks)}`, {
          id: "cut",
          duration: 10_000,
          action: { label: "Undo", onClick: () => addIssue("uncut", sticks) },
        }),
      );
    },
    [addIssue, words, whenFramed],
  );
  const takeBack = useCallback(
    (sticks: readonly string[]) => {
      if (sticks.length === 0) return;
      addIssue("uncut", sticks);
      whenFramed(() =>
        toast(`Not cut after all: ${words(sticks)}`, {
          id: "cut",
          duration: 10_000,
          action: { label: "Undo", onClick: () => addIssue("cut", sticks, told.get(sticks.join())) },
        }),
      );
    },
    [addIssue, words, whenFramed],
  );
  return { mark, takeBack };
}
