import { memo } from "react";
import type { Shown } from "core/drawing";

interface Props {
  readonly shown: readonly Shown[];
  readonly selected: string | undefined;
  readonly styrene: ReadonlySet<string>;
  /** Sticks drawn as hidden behind the rest. */
  readonly hidden: ReadonlySet<string>;
  readonly ghost?: boolean;
}
const pathOf = (s: Shown): string => s.outlines.map((o) => `M${o.map((p) => `${p[0].toFixed(4)} ${p[1].toFixed(4)}`).join("L")}Z`).join("");

/** Sticks as timber, in the drawing's own units: panning and zooming does not draw them again. */
export const Sticks = memo(function Sticks({ shown, selected, styrene, hidden, ghost }: Props) {
  return (
    <g>
      {shown.map((s) => {
        const back = hidden.has(s.id);
        const picked = s.id === selected;
        return (
          <path
            key={s.id}
            d={pathOf(s)}
            data-stick={s.id}
            vectorEffect="non-scaling-stroke"
            style={{
              cursor: "pointer",
              fill: picked ? "var(--picked)" : back ? "transparent" : styrene.has(s.id) ? "var(--styrene)" : "var(--timber)",
              fillOpacity: ghost && !picked ? 0.55 : picked ? 0.85 : 1,
              stroke: picked ? "var(--vermilion)" : back ? "var(--ink-2)" : "var(--ink)",
              strokeWidth: picked ? 2 : back ? 1 : 1.5,
              strokeDasharray: back && !picked ? "6 4" : undefined,
              strokeLinejoin: "round",
            }}
          />
        );
      })}
    </g>
  );
});
