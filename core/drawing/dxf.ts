import {
  DxfWriter,
  LWPolylineFlags,
  point2d,
  point3d,
  TextHorizontalAlignment,
  TextVerticalAlignment,
  Units,
} from "@tarikjabiri/dxf";
import { LINES, type Drawing, type LineStyle } from "./drawing";

/** A line type's pattern as DXF wants it: dashes positive, gaps negative, mm. */
const typeName = (s: LineStyle): string => (LINES[s].dash.length ? `CARDO_${s.toUpperCase()}` : "Continuous");

/**
 * A drawing as DXF in mm, a layer for each of the drawing's layers. It carries outlines, circles and text; fills and line
 * widths are left out, since the files are for cutters and other drawing programs.
 */
export function toDxf(d: Drawing): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const [style, look] of Object.entries(LINES))
    if (look.dash.length)
      dxf.addLType(
        typeName(style as LineStyle),
        `${style} line`,
        look.dash.map((x, i) => (i % 2 ? -x : x)),
      );
  d.layers.forEach((l, i) => dxf.addLayer(l.name, (i % 6) + 1, "Continuous"));
  for (const l of d.layers)
    for (const e of l.entities) {
      const options = { layerName: l.name, ...("line" in e && e.line ? { lineType: typeName(e.line) } : {}) };
      switch (e.kind) {
        case "path":
          dxf.addLWPolyline(
            e.points.map((p) => ({ point: point2d(p[0], p[1]) })),
            { ...options, flags: e.closed ? LWPolylineFlags.Closed : LWPolylineFlags.None },
          );
          break;
        case "circle":
          dxf.addCircle(point3d(e.centre[0], e.centre[1]), e.radius, options);
          break;
        case "text": {
          const at = point3d(e.at[0], e.at[1]);
          const horizontalAlignment = {
            start: TextHorizontalAlignment.Left,
            middle: TextHorizontalAlignment.Center,
            end: TextHorizontalAlignment.Right,
          }[e.anchor];
          dxf.addText(at, e.size, plain(e.text), {
            ...options,
            rotation: e.turn ?? 0,
            horizontalAlignment,
            verticalAlignment: TextVerticalAlignment.BaseLine,
            secondAlignmentPoint: at,
          });
        }
      }
    }
  return dxf.stringify();
}

/** Feet and inch marks, × and the like as every reader's font has them. */
const plain = (s: string): string =>
  s
    .replace(/′/g, "'")
    .replace(/″/g, '"')
    .replace(/×/g, "x")
    .replace(/−/g, "-")
    .replace(/·/g, "-")
    .replace(/°/g, "%%d")
    .replace(/[^\x20-\x7e]/g, "?");
