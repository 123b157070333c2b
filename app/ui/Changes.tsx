import { chosenVariant } from "core/job";
import type { StructureDoc } from "core/job";
import { useJob } from "~/job/JobContext";

/** What was changed on single sticks by hand, each to be taken back. Shown only where there is something. */
export function Changes({ structure }: { structure: StructureDoc }) {
  const job = useJob();
  const { overrides } = chosenVariant(structure);
  const paths = Object.keys(overrides);
  if (paths.length === 0) return null;
  const words = (path: string): string => {
    const o = overrides[path]!;
    return [o.omit && "left out", o.splice && "spliced over its posts", o.ends && "ends moved"]
      .filter(Boolean)
      .join(", ");
  };
  const takeBack = (path: string): void =>
    void job.edit(`Take back the change to ${path}`, (d) => {
      delete chosenVariant(d.structures.find((s) => s.id === structure.id)!).overrides[path];
    });
  return (
    <section aria-label="Changed by hand">
      <h2 className="label">Changed by hand</h2>
      <ul className="text-[15px]">
        {paths.map((path) => (
          <li key={path} className="row flex items-baseline gap-2 py-1">
            <span className="min-w-0 flex-1">
              {path
                .split("/")
                .slice(1)
                .join(" ")
                .replace(/(story|level)(\d)/, "$1 $2")}
              : {words(path)}
            </span>
            <button className="link" onClick={() => takeBack(path)}>
              Take back
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
