import {
  type KeyboardEvent,
  useCallback,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type PointerEvent,
  type ReactNode,
} from "react";
import type { Vec2 } from "core/geometry";
import { BOARD_KEY } from "~/job/Shortcuts";
import { RealSize } from "./RealSize";

/** How the drawing lies on the screen: k pixels per unit of the drawing, whose y runs up. */
export interface BoardView {
  readonly k: number;
  readonly width: number;
  readonly height: number;
  X(x: number): number;
  Y(y: number): number;
  /** A point of the board's pixels on the drawing. */
  toWorld(px: number, py: number): Vec2;
  /** Transform of an SVG group whose children are in the drawing's units. */
  readonly transform: string;
}
interface Props {
  readonly label: string;
  readonly bounds: { readonly min: Vec2; readonly max: Vec2 };
  /** Pixels kept free round the drawing when it is fitted: left, top, right, bottom. */
  readonly padding?: readonly [number, number, number, number];
  /** Fits again when it changes. */
  readonly fitKey: string;
  /** SVG in board pixels. */
  readonly children: (v: BoardView) => ReactNode;
  /** HTML under it: what is painted rather than drawn. */
  readonly underlay?: (v: BoardView) => ReactNode;
  /** The sticks under a point of the drawing, nearest first, where they are painted. */
  readonly hit?: (p: Vec2) => readonly string[];
  /** HTML over the drawing. */
  readonly overlay?: (v: BoardView) => ReactNode;
  /** Standing things: toolbars and the title block. */
  readonly furniture?: ReactNode;
  /** A press that was no drag, and the sticks it was on, the nearest first. */
  readonly onPoint?: (p: Vec2, sticks: readonly string[]) => void;
  readonly onMove?: (p: Vec2 | undefined) => void;
  readonly cursor?: string;
  readonly onView?: (v: BoardView) => void;
  /** Real mm of one unit of the drawing: offers real size on the screen. */
  readonly unitMm?: number;
}
const DEFAULT_PADDING = [60, 40, 60, 40] as const;
const ZOOM = 1.25;
const [LEAST, MOST] = [1e-4, 4000];

/** Sticks under a point of the screen, the nearest first, each once. */
function sticksAt(x: number, y: number): string[] {
  const ids = document.elementsFromPoint(x, y).map((el) => el.closest<SVGElement>("[data-stick]")?.dataset.stick);
  return [...new Set(ids.filter((id): id is string => id !== undefined))];
}

/** The zoomable drawing: wheel and pinch zoom, drag pans, F fits. */
export function Board({
  label,
  bounds,
  padding = DEFAULT_PADDING,
  fitKey,
  children,
  underlay,
  hit,
  overlay,
  furniture,
  onPoint,
  onMove,
  cursor,
  onView,
  unitMm,
}: Props) {
  const box = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState<Vec2>();
  const [place, setPlace] = useState({ k: 1, tx: 0, ty: 0 });
  const fit = useCallback(() => {
    if (!size) return;
    const [l, t, r, b] = padding;
    const [w, h] = [Math.max(bounds.max[0] - bounds.min[0], 1e-6), Math.max(bounds.max[1] - bounds.min[1], 1e-6)];
    const k = Math.min(Math.max(40, size[0] - l - r) / w, Math.max(40, size[1] - t - b) / h);
    setPlace({
      k,
      tx: l + (size[0] - l - r - k * (bounds.min[0] + bounds.max[0])) / 2,
      ty: t + (size[1] - t - b + k * (bounds.min[1] + bounds.max[1])) / 2,
    });
  }, [size, padding, bounds]);
  const fitNow = useRef(fit);
  fitNow.current = fit;

  useLayoutEffect(() => {
    const el = box.current!;
    const watch = new ResizeObserver(() => setSize([el.clientWidth, el.clientHeight]));
    watch.observe(el);
    return () => watch.disconnect();
  }, []);
  useLayoutEffect(() => fitNow.current(), [size, fitKey]);

  const zoomAt = useCallback((factor: number, px: number, py: number) => {
    setPlace((p) => {
      const k = Math.min(MOST, Math.max(LEAST, p.k * factor));
      const f = k / p.k;
      return { k, tx: px - (px - p.tx) * f, ty: py - (py - p.ty) * f };
    });
  }, []);
  useEffect(() => {
    const el = box.current!;
    const wheel = (e: WheelEvent): void => {
      e.preventDefault();
      const r = el.getBoundingClientRect();
      zoomAt(Math.exp(-e.deltaY * (e.deltaMode === 1 ? 0.05 : 0.0015)), e.clientX - r.left, e.clientY - r.top);
    };
    el.addEventListener("wheel", wheel, { passive: false });
    const key = (e: Event): void => void ((e as CustomEvent<string>).detail === "f" && fitNow.current());
    window.addEventListener(BOARD_KEY, key);
    return () => {
      el.removeEventListener("wheel", wheel);
      window.removeEventListener(BOARD_KEY, key);
    };
  }, [zoomAt]);

  const view = useMemo(
    (): BoardView | undefined =>
      size && {
        k: place.k,
        width: size[0],
        height: size[1],
        X: (x) => place.tx + place.k * x,
        Y: (y) => place.ty - place.k * y,
        toWorld: (px, py) => [(px - place.tx) / place.k, (place.ty - py) / place.k],
        transform: `translate(${place.tx} ${place.ty}) scale(${place.k} ${-place.k})`,
      },
    [place, size],
  );
  const tellView = useRef(onView);
  tellView.current = onView;
  useEffect(() => {
    if (view) tellView.current?.(view);
  }, [view]);

  const pointers = useRef(new Map<number, Vec2>());
  const moved = useRef(0);
  const at = (e: PointerEvent): Vec2 => {
    const r = box.current!.getBoundingClientRect();
    return [e.clientX - r.left, e.clientY - r.top];
  };
  const down = (e: PointerEvent): void => {
    if (e.button > 1) return;
    pointers.current.set(e.pointerId, at(e));
    moved.current = 0;
    e.currentTarget.setPointerCapture(e.pointerId);
  };
  const move = (e: PointerEvent): void => {
    const p = at(e);
    onMove?.(view?.toWorld(p[0], p[1]));
    const before = pointers.current.get(e.pointerId);
    if (!before) return;
    const others = [...pointers.current].filter(([id]) => id !== e.pointerId).map(([, q]) => q);
    if (others.length > 0) {
      const q = others[0]!;
      const spread = (a: Vec2): number => Math.max(8, Math.hypot(a[0] - q[0], a[1] - q[1]));
      zoomAt(spread(p) / spread(before), q[0], q[1]);
    } else setPlace((s) => ({ ...s, tx: s.tx + p[0] - before[0], ty: s.ty + p[1] - before[1] }));
    moved.current += Math.hypot(p[0] - before[0], p[1] - before[1]);
    pointers.current.set(e.pointerId, p);
  };
  const up = (e: PointerEvent): void => {
    if (!pointers.current.delete(e.pointerId)) return;
    if (moved.current < 4 && view && e.type === "pointerup") {
      const p = at(e);
      onPoint?.(view.toWorld(p[0], p[1]), [
        ...sticksAt(e.clientX, e.clientY),
        ...(hit?.(view.toWorld(p[0], p[1])) ?? []),
      ]);
    }
  };

  // by the keyboard: a cross that the arrow keys move and Space presses with, wherever a pointer could press
  const [cross, setCross] = useState<Vec2>();
  const keys = (e: KeyboardEvent): void => {
    if (e.target !== box.current || !view || !size || e.ctrlKey || e.metaKey || e.altKey) return;
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key];
    if (by) {
      const step = e.shiftKey ? 1 : 8;
      const from = cross ?? [size[0] / 2, size[1] / 2];
      const to: Vec2 = cross
        ? [
            Math.min(size[0], Math.max(0, from[0] + by[0]! * step)),
            Math.min(size[1], Math.max(0, from[1] + by[1]! * step)),
          ]
        : from;
      setCross(to);
      onMove?.(view.toWorld(to[0], to[1]));
    } else if (e.key === " " && cross) {
      const r = box.current.getBoundingClientRect();
      const p = view.toWorld(cross[0], cross[1]);
      onPoint?.(p, [...sticksAt(r.left + cross[0], r.top + cross[1]), ...(hit?.(p) ?? [])]);
    } else if (e.key === "+" || e.key === "-") {
      const c = cross ?? [size[0] / 2, size[1] / 2];
      zoomAt(e.key === "+" ? ZOOM : 1 / ZOOM, c[0], c[1]);
    } else if (e.key === "Escape" && cross) {
      setCross(undefined);
      onMove?.(undefined);
      return;
    } else return;
    e.preventDefault();
    e.stopPropagation();
  };

  return (
    <div
      ref={box}
      role="region"
      aria-label={label}
      aria-description="Arrow keys move a cross, with Shift finely; Space presses there; plus and minus zoom."
      tabIndex={0}
      onKeyDown={keys}
      onBlur={(e) => e.target === box.current && setCross(undefined)}
      data-board
      className="relative h-full min-w-0 flex-1 touch-none overflow-hidden select-none"
    >
      {view && (
        <>
          {underlay?.(view)}
          <svg
            width={view.width}
            height={view.height}
            className="absolute inset-0 block"
            style={{ cursor: cursor ?? "grab" }}
            onPointerDown={down}
            onPointerMove={move}
            onPointerUp={up}
            onPointerCancel={up}
            onPointerLeave={() => onMove?.(undefined)}
          >
            {children(view)}
          </svg>
          <div className="pointer-events-none absolute inset-0">{overlay?.(view)}</div>
          {cross && (
            <svg className="pointer-events-none absolute inset-0" width={view.width} height={view.height} aria-hidden>
              <g stroke="var(--vermilion)" strokeWidth={1.5} data-cross>
                <line x1={cross[0] - 16} x2={cross[0] + 16} y1={cross[1]} y2={cross[1]} />
                <line y1={cross[1] - 16} y2={cross[1] + 16} x1={cross[0]} x2={cross[0]} />
              </g>
            </svg>
          )}
        </>
      )}
      <div className="absolute bottom-3.5 left-5 flex gap-1.5">
        <button
          type="button"
          className="btn !px-0 w-[34px]"
          aria-label="Zoom out"
          onClick={() => size && zoomAt(1 / ZOOM, size[0] / 2, size[1] / 2)}
        >
          −
        </button>
        <button
          type="button"
          className="btn !px-0 w-[34px]"
          aria-label="Zoom in"
          onClick={() => size && zoomAt(ZOOM, size[0] / 2, size[1] / 2)}
        >
          +
        </button>
        <button type="button" className="btn !px-2.5" title="Fit the drawing (F)" onClick={fit}>
          Fit
        </button>
        {unitMm && (
          <RealSize onSize={(perMm) => size && zoomAt((perMm * unitMm) / place.k, size[0] / 2, size[1] / 2)} />
        )}
      </div>
      {furniture}
    </div>
  );
}
