import { memo } from "react";
import type { Shown } from "core/drawing";
import { lookOf } from "core/lumber";

interface Props {
  readonly shown: readonly Shown[];
  readonly selected: string | undefined;
  /** Sticks drawn as hidden behind the rest. */
  readonly hidden: ReadonlySet<string>;
  readonly ghost?: boolean;
  /** Tint each stick by what it does. */
  readonly roles?: boolean;
  /** The tint of a stick for another reason: the force in it. */
  readonly tint?: ((stick: string) => string | undefined) | undefined;
}
/** Tints of the roles: told apart by lightness as well as hue, and named in the legend beside the board. */
const ROLE_TINTS: readonly (readonly [RegExp, string, string])[] = [
  [/^cap$/, "cap", "#c9b27a"],
  [/post$/, "posts", "#e6cf9c"],
  [/sill$/, "sills", "#a9c2a4"],
  [/^sash/, "sash braces", "#9fb4c8"],
  [/^sway/, "sway braces", "#d9a58c"],
  [/^stringer/, "stringers", "#d6bd8a"],
  [/tie$/, "ties", "#b08d63"],
  [/^(girt|longitudinal)/, "girts and longitudinal braces", "#c7b6d6"],
  [/chord$|end post|rafter/, "chords", "#c9b27a"],
  [/diagonal|counter|lattice/, "diagonals", "#d9a58c"],
  [/rod|vertical/, "verticals and rods", "#9fb4c8"],
];
export const roleTint = (role: string): string => ROLE_TINTS.find(([r]) => r.test(role))?.[2] ?? "#d8d4c7";
export const ROLE_LEGEND = ROLE_TINTS.map(([r, name, tint]) => ({ has: (role: string) => r.test(role), name, tint }));
const pathOf = (s: Shown): string =>
  s.outlines.map((o) => `M${o.map((p) => `${p[0].toFixed(4)} ${p[1].toFixed(4)}`).join("L")}Z`).join("");

/** Sticks as timber, in the drawing's own units: panning and zooming does not draw them again. */
export const Sticks = memo(function Sticks({ shown, selected, hidden, ghost, roles, tint }: Props) {
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
              fill: picked
                ? "var(--picked)"
                : back
                  ? "transparent"
                  : (tint?.(s.id) ?? (roles ? roleTint(s.role) : `var(--${lookOf(s.stock)})`)),
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
