import { useState } from "react";
import { TextField } from "~/ui/Fields";
import { printNumber } from "core/units";
import { readRatio } from "./ratio";
import { useSheet } from "../sheet";
import { calibrationIn } from "./calibrationIn";

/** The scale that a drawing states, with the resolution it was scanned at where its file does not say its paper's size. */
export function StatedScale() {
  const { drawing, lines, change } = useSheet();
  const stated = drawing.calibration?.stated;
  const fromFile = lines?.unit && !drawing.picture ? lines.unit : undefined;
  const [dpi, setDpi] = useState(() => {
    const known = stated && !fromFile ? stated.unit : drawing.picture?.unit;
    return known ? String(Number((25.4 / known).toFixed(2))) : "300";
  });
  const unit = fromFile ?? 25.4 / Number(dpi);
  const [open, setOpen] = useState(stated !== undefined);
  if (drawing.straightened) return null;
  if (!open)
    return (
      <button className="link text-[15px]" onClick={() => setOpen(true)}>
        It states its scale …
      </button>
    );
  return (
    <section className="space-y-2">
      <h2 className="label">Stated scale</h2>
      <TextField
        label="The drawing says"
        value={stated ? (stated.ratio === 1 ? "1:1" : `1:${printNumber(stated.ratio, 3).replace(/\.?0+$/, "")}`) : ""}
        placeholder={lines?.of === "real" ? "1:1, drawn at full size" : "1/4 in = 1 ft, or 1:48"}
        hint={
          fromFile
            ? lines!.of === "real"
              ? "The file says its units; 1:1 when it is drawn at full size."
              : "The file says how large its paper is."
            : "Printed on paper and scanned. Paper shrinks: a known length checks it."
        }
        keep={(t) => {
          if (t.trim() === "")
            return change("Stated scale", (d) => {
              if (d.calibration) delete d.calibration.stated;
              if (d.calibration?.lengths.length === 0) delete d.calibration;
            });
          const ratio = readRatio(t);
          if (!(ratio > 0)) return [`Read “${t}”; write 1:48, or 1/4 in = 1 ft.`];
          if (!(unit > 0)) return ["Say first at how many dots to the inch it was scanned."];
          return change("Stated scale", (d) => void (calibrationIn(d).stated = { ratio, unit }));
        }}
      />
      {!fromFile && (
        <TextField
          label="Scanned at, dots to the inch"
          value={dpi}
          keep={(t) => {
            const n = Number(t);
            if (!(n >= 20 && n <= 5000)) return [`Read “${t}”; write a number from 20 to 5000.`];
            setDpi(t);
            if (stated) change("Stated scale", (d) => void (d.calibration!.stated!.unit = 25.4 / n));
          }}
        />
      )}
    </section>
  );
}
