import { elevation, VIEWS, type Seen, type View } from "../drawing";
import type { Resolved } from "../frame";
import { isCladding, type Build } from "../structures";
import type { StructureDesign } from "./design";

/** From where a structure is looked at: a view of all of it, or one build by itself; without what covers the frame where that is asked for. */
export interface LookAt {
  readonly view: View["id"];
  readonly build?: string | undefined;
  readonly bare: boolean;
}
/** What a board shows of a structure. */
export interface Look {
  readonly fault: string | undefined;
  /** How many sticks the whole structure has. */
  readonly sticks: number;
  /** The builds that have sticks. */
  readonly builds: readonly Pick<Build, "id" | "name">[];
  /** Whether boards or sheets cover its frame. */
  readonly clad: boolean;
  readonly shown: readonly Seen[];
}
/** The sticks of one build, or all; without what covers the frame where that is asked for. */
export const sticksOf = (
  sticks: readonly Resolved[],
  build: Pick<Build, "has"> | undefined,
  bare: boolean,
): readonly Resolved[] => (build ? sticks.filter(build.has) : bare ? sticks.filter((s) => !isCladding(s)) : sticks);

/** Looks at a structure: frames it where that was not done yet. A build that has no sticks shows the whole. */
export function lookAt(d: StructureDesign, at: LookAt): Look {
  const { sticks } = d.resolved;
  const all = d.fault === undefined ? (d.kind.builds?.(d.variant.params, d.context) ?? []) : [];
  const builds = all.filter((b) => sticks.some(b.has));
  const build = builds.find((b) => b.id === at.build);
  return {
    fault: d.fault,
    sticks: sticks.length,
    builds: builds.map(({ id, name }) => ({ id, name })),
    clad: sticks.some(isCladding),
    shown: elevation(sticksOf(sticks, build, at.bare), build ? { ...build, id: at.view } : VIEWS[at.view]),
  };
}
