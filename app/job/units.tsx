import { useMemo } from "react";
import { model, printModel, printPrototype, toPrototype, type Model, type Prototype } from "core/units";
import { useJob } from "./JobContext";

/**
 * Prints lengths in the units the person works in. The same functions as long as units and scale are the same: what is
 * made of them (a table's cells) is then not made anew under a press.
 */
export function useUnits() {
  const { doc, design } = useJob();
  const { prototype, model: own } = doc.brief.units;
  const { id, ratio } = design.scale;
  return useMemo(() => {
    const scale = design.scale;
    return {
      units: { prototype, model: own },
      scale,
      /** A prototype length, mm. */
      P: (mm: number): string => printPrototype(mm as Prototype, prototype),
      /** A model length, mm. */
      M: (mm: number, decimals = 1): string => printModel(model(mm), own, decimals),
      /** The prototype length of a model length. */
      up: (mm: number): Prototype => toPrototype(scale, mm as Model),
    };
    // a scale is the same where its name and ratio are
  }, [prototype, own, id, ratio]);
}

/** A printed length with its fractions set as fractions: feed it what P or M gave. */
export function Figure({ children }: { children: string }) {
  return (
    <>
      {children.split(/(\d+\/\d+)/).map((part, i) =>
        i % 2 ? (
          <span key={i} className="frac">
            {part}
          </span>
        ) : (
          part
        ),
      )}
    </>
  );
}
