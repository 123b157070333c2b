import { fromPixel, type SheetScale } from "core/prototype";
import type { Vec2 } from "core/geometry";
import type { BoardView } from "./Board";

const TILE = 512;
interface Props {
  readonly picture: { readonly hash: string; readonly width: number; readonly height: number };
  /** Where a pixel lies on the drawing. */
  readonly scale: SheetScale;
  readonly anchor: Vec2;
  /** Units of the drawing per unit that the scale gives. */
  readonly unit: number;
  readonly view: BoardView;
  readonly opacity?: number;
}

/** A picture under the drawing, as the tiles that the screen needs: coarse ones stay behind while fine ones load. */
export function PictureTiles({ picture, scale, anchor, unit, view, opacity = 1 }: Props) {
  const place = (p: Vec2): Vec2 => {
    const [x, y] = fromPixel(scale, anchor, p);
    return [x * unit, y * unit];
  };
  const [o, ex, ey] = [place([0, 0]), place([1, 0]), place([0, 1])];
  const m = [ex[0] - o[0], ex[1] - o[1], ey[0] - o[0], ey[1] - o[1], o[0], o[1]] as const;
  const perPixel = Math.hypot(m[0], m[1]) * view.k;
  const top = Math.max(0, Math.ceil(Math.log2(Math.max(picture.width, picture.height) / TILE)));
  const level = Math.max(0, Math.min(top, top + Math.ceil(Math.log2(Math.max(perPixel, 1e-9)) - 0.25)));
  const det = m[0] * m[3] - m[1] * m[2];
  const toPicture = ([x, y]: Vec2): Vec2 => [
    (m[3] * (x - m[4]) - m[2] * (y - m[5])) / det,
    (m[0] * (y - m[5]) - m[1] * (x - m[4])) / det,
  ];
  const corners = (
    [
      [0, 0],
      [view.width, 0],
      [0, view.height],
      [view.width, view.height],
    ] as const
  ).map(([x, y]) => toPicture(view.toWorld(x, y)));
  const span = (k: 0 | 1): readonly [number, number] => [
    Math.min(...corners.map((c) => c[k])),
    Math.max(...corners.map((c) => c[k])),
  ];
  const tilesOf = (z: number) => {
    const size = TILE * 2 ** (top - z);
    const range = (k: 0 | 1, limit: number): number[] => {
      const [lo, hi] = span(k);
      const [from, to] = [
        Math.max(0, Math.floor(lo / size)),
        Math.min(Math.ceil(limit / size) - 1, Math.floor(hi / size)),
      ];
      return Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i);
    };
    return range(1, picture.height).flatMap((row) =>
      range(0, picture.width).map((column) => ({ z, row, column, size })),
    );
  };
  const wanted = [...(level > 0 ? tilesOf(0) : []), ...tilesOf(level)];
  const clip = `picture-${picture.hash.slice(0, 8)}`;
  return (
    <g
      data-sheet=""
      transform={`${view.transform} matrix(${m.join(" ")})`}
      opacity={opacity}
      className={opacity < 1 ? "under-picture" : undefined}
      style={{ pointerEvents: "none" }}
    >
      <clipPath id={clip}>
        <rect width={picture.width} height={picture.height} />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        {wanted.map((t) => (
          <image
            key={`${t.z}/${t.column}/${t.row}`}
            href={`/pictures/${picture.hash}/${t.z}/${t.column}/${t.row}`}
            x={t.column * t.size}
            y={t.row * t.size}
            width={t.size * 1.0008}
            height={t.size * 1.0008}
            preserveAspectRatio="none"
          />
        ))}
      </g>
    </g>
  );
}
