import { useJob } from "~/job/JobContext";
import { SelectField } from "~/ui/Fields";
import { useSheet } from "../sheet";

/** The structures that the drawing lies under, and which of their elevations it shows. */
export function UnderFrames() {
  const { doc } = useJob();
  const { drawing, change } = useSheet();
  const under = drawing.under.flatMap((u, i) => {
    const s = doc.structures.find((x) => x.id === u.structure);
    return s ? [{ i, u, name: s.name }] : [];
  });
  if (under.length === 0) return null;
  return (
    <section className="space-y-2">
      <h2 className="label">Under the frame</h2>
      {under.map(({ i, u, name }) => (
        <div key={u.structure}>
          <SelectField
            label={name}
            value={u.view}
            options={[
              { value: "front", label: "shows its front" },
              { value: "side", label: "shows its side" },
            ]}
            keep={(v) => void change("Side that the drawing shows", (d) => void (d.under[i]!.view = v))}
          />
          <button
            className="link text-[15px]"
            onClick={() => change("Take the drawing from under the frame", (d) => void d.under.splice(i, 1))}
          >
            Take it away
          </button>
        </div>
      ))}
    </section>
  );
}
