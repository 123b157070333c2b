import { useMemo } from "react";
import { sticksOf, type StructureDesign } from "core/job";
import { useFrames, useJob } from "~/job/JobContext";
import Space from "./Space";

/** A structure in space, once what makes its sticks is here. */
export default function SpaceOf({ design, bare }: { design: StructureDesign; bare: boolean }) {
  const { doc, selected, select } = useJob();
  useFrames(doc);
  const sticks = useMemo(() => sticksOf(design.resolved.sticks, undefined, bare), [design, bare]);
  return <Space name={design.structure.name} sticks={sticks} selected={selected} select={select} />;
}
