import type { PieceShape } from "core/frame";
import { hull, type Vec2, type Vec3 } from "core/geometry";
import type { Look } from "core/lumber";
import { printNumber } from "core/units";

const WIDTH = 262;
const LEAST_DEPTH = 20;
const MOST_DEPTH = 46;
const UP: Record<string, Vec3> = { "-w": [0, 1, 0], "+w": [0, -1, 0], "-v": [0, 0, -1], "+v": [0, 0, 1] };
const ACROSS: Record<string, Vec3> = { "-w": [0, 0, 1], "+w": [0, 0, -1], "-v": [0, 1, 0], "+v": [0, -1, 0] };
const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** A piece at large size: lying on the face it is cut on, seen from above, and its edge. A long one is broken in the middle. */
export function PieceDrawing({ shape, length, look }: { shape: PieceShape; length: string; look: Look }) {
  const face = shape.ends[0][0]?.face ?? "-w";
  const [up, across] = [UP[face] ?? UP["-w"]!, ACROSS[face] ?? ACROSS["-w"]!];
  const depth = Math.max(...shape.corners.map((c) => dot(c, up))) - Math.min(...shape.corners.map((c) => dot(c, up)));
  const thick =
    Math.max(...shape.corners.map((c) => dot(c, across))) - Math.min(...shape.corners.map((c) => dot(c, across)));
  const k = Math.min(MOST_DEPTH / depth, Math.max(LEAST_DEPTH / depth, WIDTH / shape.overall));
  const broken = shape.overall * k > WIDTH + 1;
  const [h1, h2] = [depth * k, thick * k];
  const angle = (end: 0 | 1): string =>
    shape.ends[end]
      .map((c) =>
        [c.mitre, c.bevel]
          .filter((a) => Math.abs(a) > 0.005)
          .map((a) => `${printNumber(Math.abs(a), 1)}°`)
          .join(" / "),
      )
      .filter(Boolean)
      .join(", ");
  // what lies down is told beside the angles, or under them where they are long
  const told = angle(0) || angle(1) ? "from above, this face down" : "square both ends";
  const under = angle(0).length + angle(1).length > 12 ? 16 : 0;
  return (
    <svg
      width={WIDTH + 14}
      height={h1 + h2 + 96 + under}
      className="block"
      role="img"
      aria-label={`Drawing of the piece, ${length} tip to tip`}
    >
      <g transform="translate(7 6)">
        <line x1={0} x2={WIDTH} y1={9} y2={9} stroke="var(--ink)" strokeWidth={0.9} />
        {[0, WIDTH].map((x) => (
          <g key={x} stroke="var(--ink)">
            <line x1={x} x2={x} y1={2} y2={26} strokeWidth={0.7} />
            <line x1={x - 4} x2={x + 4} y1={13} y2={5} strokeWidth={1.7} />
          </g>
        ))}
        <text
          x={WIDTH / 2}
          y={14}
          textAnchor="middle"
          fontSize={15}
          fontWeight={600}
          fill="var(--ink)"
          stroke="var(--film)"
          strokeWidth={7}
          paintOrder="stroke"
        >
          {length}
        </text>
        <Outline shape={shape} axis={up} k={k} y={28 + h1 / 2} broken={broken} look={look} id="face" />
        <text x={2} y={28 + h1 + 15} fontSize={13.5} fill="var(--vermilion)">
          {angle(0)}
        </text>
        <text x={WIDTH - 2} y={28 + h1 + 15} fontSize={13.5} textAnchor="end" fill="var(--vermilion)">
          {angle(1)}
        </text>
        <text x={WIDTH / 2} y={28 + h1 + 15 + under} textAnchor="middle" fontSize={13} fill="var(--ink-2)">
          {told}
        </text>
        <Outline
          shape={shape}
          axis={across}
          k={k}
          y={28 + h1 + 28 + under + h2 / 2}
          broken={broken}
          look={look}
          id="edge"
        />
        <text x={WIDTH / 2} y={28 + h1 + 28 + under + h2 + 16} textAnchor="middle" fontSize={13} fill="var(--ink-2)">
          edge
        </text>
      </g>
    </svg>
  );
}

function Outline({
  shape,
  axis,
  k,
  y,
  broken,
  look,
  id,
}: {
  shape: PieceShape;
  axis: Vec3;
  k: number;
  y: number;
  broken: boolean;
  look: Look;
  id: string;
}) {
  const flat = (c: Vec3): Vec2 => [c[0], dot(c, axis)];
  const points = (corners: readonly Vec3[], shift: number): string =>
    hull(corners.map(flat), 1e-6)
      .map((p) => `${(p[0] * k + shift).toFixed(2)},${(y - p[1] * k).toFixed(2)}`)
      .join(" ");
  const half = WIDTH / 2;
  const reach = Math.max(...shape.corners.map((c) => Math.abs(flat(c)[1]))) * k + 3;
  const parts = broken
    ? [
        { from: 0, to: half - 5, shift: 0 },
        { from: half + 5, to: WIDTH + 1, shift: WIDTH - shape.overall * k },
      ]
    : [{ from: -1, to: WIDTH + 1, shift: (WIDTH - shape.overall * k) / 2 }];
  const fill = `var(--${look})`;
  return (
    <g>
      {parts.map((p, i) => (
        <g key={i}>
          <clipPath id={`break-${id}-${i}`}>
            <rect x={p.from} y={y - 60} width={p.to - p.from} height={120} />
          </clipPath>
          <g clipPath={`url(#break-${id}-${i})`}>
            <polygon
              points={points(shape.corners, p.shift)}
              fill={fill}
              stroke="var(--ink)"
              strokeWidth={1.4}
              strokeLinejoin="round"
            />
            {shape.notchCorners.map((n, j) => (
              <polygon key={j} points={points(n, p.shift)} fill="var(--film)" stroke="var(--ink)" strokeWidth={1.1} />
            ))}
          </g>
        </g>
      ))}
      {broken &&
        [half - 5, half + 5].map((x) => (
          <polyline
            key={x}
            points={`${x},${y - reach} ${x - 3},${y - reach / 4} ${x + 3},${y + reach / 4} ${x},${y + reach}`}
            fill="none"
            stroke="var(--ink-2)"
            strokeWidth={0.9}
          />
        ))}
    </g>
  );
}
