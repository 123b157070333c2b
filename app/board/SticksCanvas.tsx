import { useEffect, useRef } from "react";
import type { Shown } from "core/drawing";
import type { Vec2 } from "core/geometry";
import type { BoardView } from "./Board";
import { roleTint } from "./Sticks";

/** More sticks than this are painted rather than drawn one by one. */
export const PAINT_FROM = 600;

interface Props {
  readonly shown: readonly Shown[];
  readonly view: BoardView;
  readonly selected: string | undefined;
  readonly styrene: ReadonlySet<string>;
  readonly roles?: boolean;
}
const color = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** Thousands of sticks as timber on one canvas. Says when it was painted, so that a benchmark can wait for it. */
export function SticksCanvas({ shown, view, selected, styrene, roles }: Props) {
  const ref = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const el = ref.current!;
    const ratio = window.devicePixelRatio || 1;
    el.width = Math.round(view.width * ratio);
    el.height = Math.round(view.height * ratio);
    // read back or not, it is painted by the processor: without a graphics card that is the shorter way to the screen
    const g = el.getContext("2d", { willReadFrequently: true })!;
    g.setTransform(ratio, 0, 0, ratio, 0, 0);
    g.clearRect(0, 0, view.width, view.height);
    g.lineJoin = "round";
    const [timber, white, ink, picked, vermilion] = ["--timber", "--styrene", "--ink", "--picked", "--vermilion"].map(
      color,
    );
    // where sticks are but a few pixels wide their outlines would be all there is
    g.lineWidth = Math.max(0.25, Math.min(1.2, view.k / 6));
    g.strokeStyle = ink!;
    for (const s of shown) {
      const on = s.id === selected;
      g.fillStyle = on ? picked! : roles ? roleTint(s.role) : styrene.has(s.id) ? white! : timber!;
      g.beginPath();
      for (const o of s.outlines) {
        o.forEach((p, i) => (i === 0 ? g.moveTo(view.X(p[0]), view.Y(p[1])) : g.lineTo(view.X(p[0]), view.Y(p[1]))));
        g.closePath();
      }
      g.fill();
      if (on) {
        g.strokeStyle = vermilion!;
        g.lineWidth *= 2;
      }
      g.stroke();
      if (on) {
        g.strokeStyle = ink!;
        g.lineWidth /= 2;
      }
    }
    performance.mark("cardo:painted");
  }, [shown, view, selected, styrene, roles]);
  return <canvas ref={ref} className="absolute inset-0 size-full" aria-hidden />;
}

/** The painted sticks under a point of the drawing, the nearest to the eye first. */
export function sticksUnder(shown: readonly Shown[], p: Vec2): string[] {
  const inside = (o: readonly Vec2[]): boolean =>
    o.every((a, i) => {
      const b = o[(i + 1) % o.length]!;
      return (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) >= 0;
    });
  const out: string[] = [];
  for (let i = shown.length - 1; i >= 0; i--) if (shown[i]!.outlines.some(inside)) out.push(shown[i]!.id);
  return out;
}
