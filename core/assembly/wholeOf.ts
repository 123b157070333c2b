import type { Step } from "./step";

/** What a step's picture shows all of: the sub-assembly on its board, else the structure. */
export const wholeOf = (
  st: Pick<Step, "place" | "unit" | "structure">,
  steps: readonly Step[],
  all: Iterable<string>,
): readonly string[] => {
  // prettier-ignore
  const board = st.place === "join" || st.unit === undefined ? [] : steps.filter((o) => o.place === "board" && o.structure === st.structure && o.unit === st.unit); // prettier-ignore
  return board.length > 0 ? board.flatMap((o) => o.sticks) : [...all];
};
