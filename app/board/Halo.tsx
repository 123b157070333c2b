/** Words on a board that stay readable over lines: in the middle of a place, with a rim of what lies under them. They take no press. */
export function Halo({
  x,
  y,
  words,
  size = 15,
  bold = false,
  ink = "var(--ink)",
  rim = "var(--film)",
  turn = 0,
}: {
  readonly x: number;
  readonly y: number;
  readonly words: string;
  readonly size?: number;
  readonly bold?: boolean;
  readonly ink?: string;
  readonly rim?: string;
  readonly turn?: number;
}) {
  return (
    <text
      x={x}
      y={y}
      transform={turn ? `rotate(${turn} ${x} ${y})` : undefined}
      textAnchor="middle"
      fontSize={size}
      fontWeight={bold ? 600 : undefined}
      fontFamily="var(--font-label)"
      fill={ink}
      stroke={rim}
      strokeWidth={size > 16 ? 4 : 3}
      paintOrder="stroke"
      style={{ pointerEvents: "none" }}
    >
      {words}
    </text>
  );
}
