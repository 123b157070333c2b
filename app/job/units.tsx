import { model, printModel, printPrototype, toPrototype, type Model, type Prototype } from "core/units";
import { useJob } from "./JobContext";

/** Prints lengths in the units the person works in. */
export function useUnits() {
  const { doc, design } = useJob();
  const u = doc.brief.units;
  return {
    units: u,
    scale: design.scale,
    /** A prototype length, mm. */
    P: (mm: number): string => printPrototype(mm as Prototype, u.prototype),
    /** A model length, mm. */
    M: (mm: number, decimals = 1): string => printModel(model(mm), u.model, decimals),
    /** The prototype length of a model length. */
    up: (mm: number): Prototype => toPrototype(design.scale, mm as Model),
  };
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
