import { useEffect, useRef } from "react";
import type { Seen } from "core/drawing";

import { lookOf } from "core/lumber";
import type { BoardView } from "./Board";
import { roleTint } from "./Sticks";

/** More sticks than this are painted rather than drawn one by one. */
export const PAINT_FROM = 600;

interface Props {
  readonly shown: readonly Seen[];
  readonly view: BoardView;
  readonly selected: string | undefined;
  readonly roles?: boolean;
}

/** Sticks painted in one go, where none of them covers another: a few at a time are quicker than each alone, and than all. */
const TOGETHER = 8;
/** Whether the box round a stick comes within `pad` mm of the box of one of the first `count` others on the drawing. */
function meetsOne(s: Seen, others: readonly Seen[], count: number, pad: number): boolean {
  const [x0, y0, x1, y1] = [s.min[0] - pad, s.min[1] - pad, s.max[0] + pad, s.max[1] + pad];
  for (let i = 0; i < count; i++) {
    const { min, max } = others[i]!;
    if (x0 < max[0] && min[0] < x1 && y0 < max[1] && min[1] < y1) return true;
  }
  return false;
}

/** Thousands of sticks as timber on one canvas. Says when it was painted, so that a benchmark can wait for it. */
export function SticksCanvas({ shown, view, selected, roles }: Props) {
  const ref = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const el = ref.current!;
    const ratio = window.devicePixelRatio || 1;
    const size = [Math.round(view.width * ratio), Math.round(view.height * ratio)] as const;
    if (el.width !== size[0]) el.width = size[0];
    if (el.height !== size[1]) el.height = size[1];
    const g = el.getContext("2d")!;
    g.setTransform(ratio, 0, 0, ratio, 0, 0);
    g.clearRect(0, 0, view.width, view.height);
    g.lineJoin = "round";
    const style = getComputedStyle(document.documentElement);
    const [timber, styrene, glass, ink, picked, vermilion] = ["timber", "styrene", "glass", "ink", "picked", "vermilion"].map((name) => style.getPropertyValue(`--${name}`).trim()); // prettier-ignore
    const looks = { timber: timber!, styrene: styrene!, glass: glass! };
    // where sticks are but a few pixels wide their outlines would be all there is
    g.lineWidth = Math.max(0.25, Math.min(1.2, view.k / 6));
    g.strokeStyle = ink!;
    const pad = g.lineWidth / view.k;
    let tint = "";
    const together: Seen[] = [];
    let count = 0;
    // one step of the drawing on the screen, so that a point is two products
    const [kx, x0, ky, y0] = [view.X(1) - view.X(0), view.X(0), view.Y(1) - view.Y(0), view.Y(0)];
    const paint = (): void => {
      if (count === 0) return;
      g.beginPath();
      for (let n = 0; n < count; n++)
        for (const o of together[n]!.flat) {
          g.moveTo(kx * o[0]! + x0, ky * o[1]! + y0);
          for (let i = 2; i < o.length; i += 2) g.lineTo(kx * o[i]! + x0, ky * o[i + 1]! + y0);
          g.closePath();
        }
      g.fill();
      g.stroke();
      count = 0;
    };
    for (const s of shown) {
      const on = s.id === selected;
      const own = on ? picked! : roles ? roleTint(s.role) : looks[lookOf(s.stock)];
      if (own !== tint || count === TOGETHER || meetsOne(s, together, count, pad)) paint();
      if (own !== tint) g.fillStyle = tint = own;
      together[count++] = s;
      if (!on) continue;
      g.strokeStyle = vermilion!;
      g.lineWidth *= 2;
      paint();
      g.strokeStyle = ink!;
      g.lineWidth /= 2;
    }
    paint();
    performance.mark("cardo:painted");
  }, [shown, view, selected, roles]);
  return <canvas ref={ref} className="absolute inset-0 size-full" aria-hidden />;
}
