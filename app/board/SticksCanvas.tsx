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
/** Whether the boxes round two sticks come within `pad` mm of each other on the drawing. */
const overlap = (a: Seen, b: Seen, pad: number): boolean =>
  a.min[0] < b.max[0] + pad && b.min[0] < a.max[0] + pad && a.min[1] < b.max[1] + pad && b.min[1] < a.max[1] + pad;

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
    const paint = (): void => {
      if (together.length === 0) return;
      g.beginPath();
      for (const s of together)
        for (const o of s.flat) {
          for (let i = 0; i < o.length; i += 2)
            if (i === 0) g.moveTo(view.X(o[i]!), view.Y(o[i + 1]!));
            else g.lineTo(view.X(o[i]!), view.Y(o[i + 1]!));
          g.closePath();
        }
      g.fill();
      g.stroke();
      together.length = 0;
    };
    for (const s of shown) {
      const on = s.id === selected;
      const own = on ? picked! : roles ? roleTint(s.role) : looks[lookOf(s.stock)];
      if (own !== tint || together.length === TOGETHER || together.some((o) => overlap(o, s, pad))) paint();
      if (own !== tint) g.fillStyle = tint = own;
      together.push(s);
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
