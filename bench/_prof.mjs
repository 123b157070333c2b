var __defProp = Object.defineProperty;
var __getOwnPropDesc = Object.getOwnPropertyDescriptor;
var __decorateClass = (decorators, target, key, kind) => {
  var result = kind > 1 ? void 0 : kind ? __getOwnPropDesc(target, key) : target;
  for (var i = decorators.length - 1, decorator; i >= 0; i--)
    if (decorator = decorators[i])
      result = (kind ? decorator(target, key, result) : decorator(result)) || result;
  if (kind && result) __defProp(target, key, result);
  return result;
};

// core/drawing/dxf.ts
import {
  DxfWriter,
  LWPolylineFlags,
  point2d,
  point3d,
  TextHorizontalAlignment,
  TextVerticalAlignment,
  Units
} from "@tarikjabiri/dxf";

// core/drawing/pages.ts
var INCH = 25.4;
var BARS = [
  { length: 150, step: 10, label: "150 mm: measure this bar; print at 100 %, never \u201Cfit to page\u201D" },
  { length: 6 * INCH, step: INCH, label: "6 in" }
];

// core/drawing/pdf.ts
import fontkit from "@pdf-lib/fontkit";
import {
  appendBezierCurve,
  clip,
  closePath,
  endPath,
  fill,
  fillAndStroke,
  lineTo,
  moveTo,
  PDFDocument,
  popGraphicsState,
  PrintScaling,
  pushGraphicsState,
  rectangle as rectangle2,
  rgb,
  degrees,
  setDashPattern,
  setFillingRgbColor,
  setLineWidth,
  setStrokingRgbColor,
  stroke
} from "pdf-lib";
var PT = 72 / 25.4;

// core/geometry/vec.ts
var add = (a, b) => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
var sub = (a, b) => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
var scale = (a, k) => [a[0] * k, a[1] * k, a[2] * k];
var addScaled = (a, b, k) => [a[0] + b[0] * k, a[1] + b[1] * k, a[2] + b[2] * k];
var dot = (a, b) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
var cross = (a, b) => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0]
];
var length = (a) => Math.sqrt(a[0] * a[0] + a[1] * a[1] + a[2] * a[2]);
var distance = (a, b) => length(sub(a, b));
var negate = (a) => [-a[0], -a[1], -a[2]];
function normalize(a) {
  const l = length(a);
  if (!(l > 1e-12)) throw new Error("A direction needs two different points.");
  return scale(a, 1 / l);
}

// core/geometry/tolerance.ts
var TOLERANCE = {
  /** Points closer than this are one point: far below any saw, far above double rounding at layout size. */
  samePoint: 1e-7,
  /** Faces this close, and parallel, touch. */
  contact: 0.01,
  /** Two solids may overlap by this much and still count as touching. */
  penetration: 0.01,
  /** Two pieces are the same piece of material when no corner differs by more. */
  samePiece: 0.02,
  /** ... and no cut differs by more, degrees. */
  samePieceAngle: 0.05,
  /** Share of an end face or lap that has to bear for a joint that shows a face. */
  bearing: 0.99,
  /** A curve's chord may leave the arc by at most half of this, so chords are at most √(8·R·0.004) long. */
  chordSagitta: 4e-3
};

// core/geometry/plane.ts
function planeAt(point2, outward) {
  const n = normalize(outward);
  return { n, d: dot(n, point2) };
}
var flip = (p) => ({ n: negate(p.n), d: -p.d });
var heightOver = (p, point2) => dot(p.n, point2) - p.d;

// core/geometry/solid.ts
function prism(base2, along2, sideTags) {
  const top = base2.map((p) => add(p, along2));
  const n = base2.length;
  const face = (corners, tag) => ({ corners, plane: planeOf(corners), tag });
  const sides = base2.map((p, i) => face([p, base2[(i + 1) % n], top[(i + 1) % n], top[i]], sideTags[i]));
  return { faces: [...sides, face([...base2].reverse(), "a"), face(top, "b")] };
}
function planeOf(corners) {
  let n = [0, 0, 0];
  let c = [0, 0, 0];
  corners.forEach((p, i) => {
    const q = corners[(i + 1) % corners.length];
    n = add(n, cross(p, q));
    c = add(c, p);
  });
  const l = length(n);
  const unit = scale(n, 1 / l);
  return { n: unit, d: dot(unit, scale(c, 1 / corners.length)) };
}
function clip2(solid, plane, eps = TOLERANCE.samePoint) {
  let outside2 = false;
  let inside = false;
  const { n, d } = plane;
  for (const p of cornersFlat(solid)) {
    const h = n[0] * p[0] + n[1] * p[1] + n[2] * p[2] - d;
    if (h > eps) outside2 = true;
    else if (h < -eps) inside = true;
  }
  if (!inside) return void 0;
  if (!outside2) return solid;
  const faces = [];
  const rim = [];
  for (const f of solid.faces) {
    const kept = [];
    for (let i = 0; i < f.corners.length; i++) {
      const p = f.corners[i];
      const q = f.corners[(i + 1) % f.corners.length];
      const hp = heightOver(plane, p);
      const hq = heightOver(plane, q);
      if (hp <= eps) {
        kept.push(p);
        if (hp >= -eps) rim.push(p);
      }
      if (hp < -eps && hq > eps || hp > eps && hq < -eps) {
        const cut = add(p, scale(sub(q, p), hp / (hp - hq)));
        kept.push(cut);
        rim.push(cut);
      }
    }
    const clean = withoutRepeats(kept);
    if (clean.length >= 3) faces.push({ ...f, corners: clean });
  }
  const cap = orderAround(rim, plane.n);
  if (cap.length >= 3) faces.push({ corners: cap, plane, tag: plane.tag });
  return faces.length >= 4 ? { faces } : void 0;
}
function withoutRepeats(points2) {
  const out = points2.filter((p, i) => i === 0 || distance(p, points2[i - 1]) > TOLERANCE.samePoint);
  while (out.length > 1 && distance(out[0], out[out.length - 1]) <= TOLERANCE.samePoint) out.pop();
  return out;
}
function orderAround(points2, n) {
  const distinct2 = [];
  for (const p of points2) if (!distinct2.some((q) => distance(p, q) <= 10 * TOLERANCE.samePoint)) distinct2.push(p);
  if (distinct2.length < 3) return [];
  const centre = scale(distinct2.reduce(add), 1 / distinct2.length);
  const e1 = sub(distinct2[0], centre);
  const e2 = cross(n, e1);
  const angle = (p) => Math.atan2(dot(sub(p, centre), e2), dot(sub(p, centre), e1));
  return distinct2.sort((p, q) => angle(p) - angle(q));
}
function clipAll(solid, planes) {
  let s = solid;
  for (const p of planes) s = s && clip2(s, p);
  return s;
}
function subtract(solid, cutter) {
  const parts = [];
  let rest = solid;
  for (const p of cutter) {
    if (!rest) break;
    const outside2 = clip2(rest, { ...flip(p), tag: p.tag });
    if (outside2) parts.push(outside2);
    rest = clip2(rest, p);
  }
  return rest ? parts : [solid];
}
function cornersFlat(solid) {
  if (solid.corners) return solid.corners;
  const out = [];
  for (const face of solid.faces) for (const p of face.corners) out.push(p);
  return out;
}
function cornersOf(solid) {
  if (solid.corners) return [...solid.corners];
  const out = [];
  for (const f of solid.faces)
    for (const p of f.corners) if (!out.some((q) => distance(p, q) <= 10 * TOLERANCE.samePoint)) out.push(p);
  return out;
}

// core/geometry/polygon.ts
function hull(points2, eps = 1e-9) {
  const distinct2 = [];
  for (const q of points2)
    if (!distinct2.some((d) => Math.abs(d[0] - q[0]) < TOLERANCE.samePoint && Math.abs(d[1] - q[1]) < TOLERANCE.samePoint))
      distinct2.push(q);
  const column = (q) => Math.round(q[0] / TOLERANCE.samePoint);
  const p = distinct2.sort((a, b) => column(a) - column(b) || a[1] - b[1]);
  const half = (pts) => {
    const h = [];
    for (const q of pts) {
      while (h.length >= 2) {
        const [a, b] = [h[h.length - 2], h[h.length - 1]];
        if ((b[0] - a[0]) * (q[1] - a[1]) - (b[1] - a[1]) * (q[0] - a[0]) > eps) break;
        h.pop();
      }
      h.push(q);
    }
    h.pop();
    return h;
  };
  return p.length < 3 ? p : [...half(p), ...half(p.reverse())];
}

// core/drawing/elevation.ts
var VIEWS = {
  front: { id: "front", right: [0, 1, 0], up: [0, 0, 1], eye: [1, 0, 0] },
  side: { id: "side", right: [1, 0, 0], up: [0, 0, 1], eye: [0, -1, 0] },
  plan: { id: "plan", right: [0, 1, 0], up: [-1, 0, 0], eye: [0, 0, 1] }
};
function elevation(sticks, view) {
  return sticks.map((s) => shownOf(s, view)).sort((a, b) => a.near + a.far - (b.near + b.far));
}
function shownOf(s, view) {
  const { right, up, eye } = view;
  const outlines = [];
  let [near, far, left, most, low, high] = [-Infinity, Infinity, Infinity, -Infinity, Infinity, -Infinity];
  for (const part of s.parts) {
    const points2 = [];
    for (const c of cornersFlat(part)) {
      const p = [dot(c, right), dot(c, up)];
      const depth = dot(c, eye);
      if (depth > near) near = depth;
      if (depth < far) far = depth;
      if (p[0] < left) left = p[0];
      if (p[0] > most) most = p[0];
      if (p[1] < low) low = p[1];
      if (p[1] > high) high = p[1];
      points2.push(p);
    }
    outlines.push(hull(points2, 1e-7));
  }
  return {
    id: s.id,
    role: s.member.role,
    outlines,
    near,
    far,
    centre: [(left + most) / 2, (low + high) / 2],
    along: [dot(s.axes.u, right), dot(s.axes.u, up)]
  };
}

// core/units/brands.ts
var prototype = (mm) => mm;
var model = (mm) => mm;
var degrees2 = (deg) => deg;
var MM_PER_INCH = 25.4;
var MM_PER_FOOT = 304.8;
var inches = (n) => prototype(n * MM_PER_INCH);
var feet = (ft, inch2 = 0) => prototype(ft * MM_PER_FOOT + inch2 * MM_PER_INCH);

// core/units/scale.ts
var SCALES = [
  { id: "Z", name: "Z", ratio: 220 },
  { id: "N", name: "N", ratio: 160 },
  { id: "TT", name: "TT", ratio: 120 },
  { id: "HO", name: "HO", ratio: 304.8 / 3.5 },
  { id: "H0", name: "H0 (NEM)", ratio: 87 },
  { id: "OO", name: "OO", ratio: 304.8 / 4 },
  { id: "S", name: "S", ratio: 64 },
  { id: "O", name: "O", ratio: 48 },
  { id: "O45", name: "0 (NEM)", ratio: 45 },
  { id: "O7", name: "O (7 mm)", ratio: 304.8 / 7 },
  { id: "1", name: "No. 1", ratio: 32 },
  { id: "G", name: "II / G", ratio: 22.5 },
  { id: "F", name: "F", ratio: 304.8 / 15 }
];
function scaleOf(id2, ratio) {
  const known5 = SCALES.find((s) => s.id === id2);
  if (known5) return known5;
  if (ratio === void 0 || !(ratio >= 1 && ratio <= 1e3))
    throw new Error(`Scale "${id2}" is not a published one; a custom scale needs a ratio from 1 to 1000.`);
  return { id: "custom", name: "Custom", ratio };
}
var toModel = (s, p) => model(p / s.ratio);
var toPrototype = (s, m) => prototype(m * s.ratio);

// core/units/parseLength.ts
var NUM = String.raw`(?:\d+(?:[.,]\d+)?|[.,]\d+)`;
var FRAC = String.raw`\d+\s*/\s*\d+`;
var VALUE = String.raw`(?:\d+(?:\s+|\s*-\s*)${FRAC}|${FRAC}|${NUM})`;
var FEET_INCHES = new RegExp(`^(${VALUE})\\s*ft\\s*-?\\s*(?:(${VALUE})\\s*(?:in)?)?$`);
var FEET_DASH_INCHES = new RegExp(`^(\\d+)\\s*-\\s*(\\d+(?:\\s+${FRAC})|${FRAC}|${NUM})\\s*(?:in)?$`);
var WITH_UNIT = new RegExp(`^(${VALUE})\\s*(mm|cm|m|in)?$`);

// core/units/printLength.ts
var gcd = (a, b) => b > 0 ? gcd(b, a % b) : a;
function printFraction(parts, denominator) {
  const whole = Math.floor(parts / denominator);
  const rest = parts - whole * denominator;
  if (rest === 0) return String(whole);
  const g = gcd(rest, denominator);
  const frac = `${rest / g}/${denominator / g}`;
  return whole === 0 ? frac : `${whole} ${frac}`;
}
function printFeetInches(mm, denominator = 16) {
  const parts = Math.round(Math.abs(mm) / MM_PER_INCH * denominator);
  const ft = Math.floor(parts / (12 * denominator));
  const sign = mm < 0 && parts > 0 ? "\u2212" : "";
  const rest = parts - ft * 12 * denominator;
  return `${sign}${ft}\u2032-${rest > 0 && rest < denominator ? "0 " : ""}${printFraction(rest, denominator)}\u2033`;
}
function printNumber(n, decimals) {
  const s = Math.abs(n).toFixed(decimals);
  return n < 0 && Number(s) !== 0 ? `\u2212${s}` : s;
}

// core/frame/section.ts
var single = (v, w, stock2) => [
  { name: "", v, w, at: [model(0), model(0)], stock: stock2 }
];
function laminated(v, w, plies, along2, stock2) {
  const size = (along2 === "v" ? v : w) / plies;
  return Array.from({ length: plies }, (_, i) => {
    const off = model((i - (plies - 1) / 2) * size);
    return {
      name: String(i + 1),
      v: along2 === "v" ? model(size) : v,
      w: along2 === "w" ? model(size) : w,
      at: along2 === "v" ? [off, model(0)] : [model(0), off],
      stock: stock2
    };
  });
}
function envelope(components) {
  const lo = [0, 1].map((k) => Math.min(...components.map((c) => c.at[k] - (k ? c.w : c.v) / 2)));
  const hi = [0, 1].map((k) => Math.max(...components.map((c) => c.at[k] + (k ? c.w : c.v) / 2)));
  return { size: [hi[0] - lo[0], hi[1] - lo[1]], centre: [(hi[0] + lo[0]) / 2, (hi[1] + lo[1]) / 2] };
}

// core/frame/develop.ts
function developedStations(body, centre) {
  const points2 = body.rings.map((r) => onRing(r, centre[0], centre[1]));
  const out = [0];
  points2.slice(1).forEach((p, i) => {
    const d = sub(p, points2[i]);
    const rise = dot(d, body.axis);
    const flat2 = addScaled(d, body.axis, -rise);
    const half = (body.rings[i + 1].turn - body.rings[i].turn) / 2;
    const bow = Math.abs(half) < 1e-9 ? 1 : half / Math.sin(half);
    out.push(out[i] + Math.hypot(Math.hypot(...flat2) * bow, rise));
  });
  return out;
}
function beyond(body, i, p) {
  const r = body.rings[i];
  const n = [
    r.v[1] * r.w[2] - r.v[2] * r.w[1],
    r.v[2] * r.w[0] - r.v[0] * r.w[2],
    r.v[0] * r.w[1] - r.v[1] * r.w[0]
  ];
  return dot(sub(p, r.at), n) / Math.hypot(...n);
}
function stretchAt(body, p) {
  let [lo, hi] = [0, body.rings.length - 1];
  while (hi - lo > 1) {
    const mid = lo + hi >> 1;
    if (beyond(body, mid, p) >= -1e-9) lo = mid;
    else hi = mid;
  }
  const [a, b] = [beyond(body, lo, p), beyond(body, lo + 1, p)];
  return [lo, Math.abs(a - b) < 1e-12 ? 0 : a / (a - b)];
}
function developed(body, centre, stations, p) {
  const [i, f] = stretchAt(body, p);
  const [r, q] = [body.rings[i], body.rings[i + 1]];
  const mix = (a, b) => [0, 1, 2].map((k) => a[k] + (b[k] - a[k]) * f);
  const [at, v, w] = [mix(r.at, q.at), mix(r.v, q.v), mix(r.w, q.w)];
  const d = sub(p, at);
  const [vv, vw, ww, dv, dw] = [dot(v, v), dot(v, w), dot(w, w), dot(d, v), dot(d, w)];
  const det = vv * ww - vw * vw;
  return [
    stations[i] + (stations[i + 1] - stations[i]) * f,
    (dv * ww - dw * vw) / det - centre[0],
    (dw * vv - dv * vw) / det - centre[1]
  ];
}

// core/frame/axes.ts
var known = /* @__PURE__ */ new WeakMap();
function axesOf(body) {
  const before = known.get(body);
  if (before) return before;
  const made = makeAxes(body);
  known.set(body, made);
  return made;
}
function makeAxes(body) {
  if (body.shape === "panel") {
    const u2 = normalize(body.u);
    const v2 = normalize(addScaled(body.v, u2, -dot(body.v, u2)));
    return { origin: body.origin, u: u2, v: v2, w: cross(u2, v2) };
  }
  if (body.shape === "run") {
    const first = body.rings[0];
    const u2 = normalize(cross(first.v, first.w));
    const v2 = normalize(first.v);
    return { origin: first.at, u: u2, v: v2, w: cross(u2, v2) };
  }
  const u = normalize(sub(body.b, body.a));
  const v = normalize(addScaled(body.up, u, -dot(body.up, u)));
  return { origin: body.a, u, v, w: cross(u, v) };
}
var onRing = (r, v, w) => addScaled(addScaled(r.at, r.v, v), r.w, w);
function workLength(m) {
  const b = m.body;
  if (b.shape === "run") return developedStations(b, [0, 0]).at(-1);
  if (b.shape === "panel") {
    const us = b.outline.map((p) => p[0]);
    return Math.max(...us) - Math.min(...us);
  }
  return distance(b.a, b.b);
}
var seatShift = (seat, size) => seat === "centre" ? 0 : seat === "+" ? -size / 2 : size / 2;
function sectionBox(body) {
  if (body.shape === "round") return { size: [body.diameter, body.diameter], centre: [0, 0] };
  if (body.shape === "panel") {
    const vs = body.outline.map((p) => p[1]);
    const [lo, hi] = [Math.min(...vs), Math.max(...vs)];
    return { size: [hi - lo, body.thickness], centre: [(lo + hi) / 2, body.thickness / 2] };
  }
  if (body.components.length === 1) {
    const c = body.components[0];
    return { size: [c.v, c.w], centre: [seatShift(body.seat[0], c.v), seatShift(body.seat[1], c.w)] };
  }
  const e = envelope(body.components);
  return { size: e.size, centre: [seatShift(body.seat[0], e.size[0]), seatShift(body.seat[1], e.size[1])] };
}
function componentCentre(body, index) {
  const e = envelope(body.components);
  const box = sectionBox(body);
  const at = body.components[index].at;
  return [box.centre[0] + at[0] - e.centre[0], box.centre[1] + at[1] - e.centre[1]];
}
function toLocal(axes, p) {
  const r = sub(p, axes.origin);
  return [dot(r, axes.u), dot(r, axes.v), dot(r, axes.w)];
}
var turnLocal = (axes, d) => [dot(d, axes.u), dot(d, axes.v), dot(d, axes.w)];
var fromLocal = (axes, p) => addScaled(addScaled(addScaled(axes.origin, axes.u, p[0]), axes.v, p[1]), axes.w, p[2]);

// core/frame/stock-body.ts
var FACES = {
  "+v": (x) => x.v,
  "-v": (x) => scale(x.v, -1),
  "+w": (x) => x.w,
  "-w": (x) => scale(x.w, -1)
};
var SIDES = ["-w", "+v", "+w", "-v"];
var spare = (length3, size) => 0.5 * length3 + 12 * Math.max(...size);
var FLATS = 16;
function rectangle3(x, u, centre, size) {
  const [v, w] = [size[0] / 2, size[1] / 2];
  const at = (dv, dw) => fromLocal(x, [u, centre[0] + dv, centre[1] + dw]);
  return [at(-v, -w), at(v, -w), at(v, w), at(-v, w)];
}
function stockFace(m, face, near) {
  if (m.body.shape === "run") return runFace(m.body, m, face, near);
  let faces = known2.get(m.body);
  if (!faces) known2.set(m.body, faces = /* @__PURE__ */ new Map());
  let plane = faces.get(face);
  if (!plane) faces.set(face, plane = makeFace(m, face));
  return plane;
}
var known2 = /* @__PURE__ */ new WeakMap();
var noFace = (m, face) => new Error(`Member "${m.id}" is a ${m.kind}; it has no face "${face}".`);
function runFace(body, m, face, near) {
  const side = SIDES.indexOf(face);
  if (side < 0) throw noFace(m, face);
  const i = near ? stretchAt(body, near)[0] : Math.floor((body.rings.length - 1) / 2);
  const box = sectionBox(body);
  const [p, q] = [body.rings[i], body.rings[i + 1]].map((r) => ringBox(r, box.centre, box.size));
  const next = (side + 1) % 4;
  return facePlane([p[side], p[next], q[next], q[side]]);
}
function makeFace(m, face) {
  const body = m.body;
  const x = axesOf(body);
  if (body.shape === "panel") {
    if (face === "+w") return planeAt(fromLocal(x, [0, 0, body.thickness]), x.w);
    if (face === "-w") return planeAt(x.origin, scale(x.w, -1));
    const i = Number(face.slice(1));
    if (!face.startsWith("e") || !(i < body.outline.length))
      throw new Error(`Member "${m.id}" is a panel of ${body.outline.length} edges; it has no face "${face}".`);
    return edgePlane(x, body.outline, body.bevel, i);
  }
  if (face.startsWith("e")) throw noFace(m, face);
  const name = face;
  const box = sectionBox(body);
  const k = name[1] === "v" ? 0 : 1;
  const sign = name[0] === "+" ? 1 : -1;
  const local = [0, 0, 0];
  local[k + 1] = box.centre[k] + sign * box.size[k] / 2;
  return planeAt(fromLocal(x, local), FACES[name](x));
}
function edgePlane(x, outline2, bevel, i) {
  const [p, q] = [outline2[i], outline2[(i + 1) % outline2.length]];
  const l = Math.hypot(q[0] - p[0], q[1] - p[1]);
  const out = addScaled(scale(x.u, (q[1] - p[1]) / l), x.v, -(q[0] - p[0]) / l);
  const tilt = (bevel[i] ?? 0) * Math.PI / 180;
  return planeAt(fromLocal(x, [p[0], p[1], 0]), addScaled(scale(out, Math.cos(tilt)), x.w, Math.sin(tilt)));
}
function panelPlanes(m) {
  const x = axesOf(m.body);
  const planes = (outline2, bevel, tag) => outline2.map((_, i) => ({ ...edgePlane(x, outline2, bevel, i), tag: tag(i) }));
  return {
    edges: planes(m.body.outline, m.body.bevel, (i) => `e${i}`),
    holes: m.body.holes.map((h) => ({ name: h.name, planes: planes(h.outline, h.bevel, () => h.name) }))
  };
}
function stockBodies(m) {
  const body = m.body;
  if (body.shape === "panel") {
    const x = axesOf(body);
    const room2 = 2 * body.thickness * Math.max(1, ...body.bevel.map((b) => Math.abs(Math.tan(b * Math.PI / 180))));
    const [us, vs] = [body.outline.map((p) => p[0]), body.outline.map((p) => p[1])];
    const [u0, u1] = [Math.min(...us) - room2, Math.max(...us) + room2];
    const [v0, v1] = [Math.min(...vs) - room2, Math.max(...vs) + room2];
    const base2 = [
      [u0, v0, 0],
      [u1, v0, 0],
      [u1, v1, 0],
      [u0, v1, 0]
    ].map((p) => fromLocal(x, p));
    const whole = prism(base2, scale(x.w, body.thickness), ["blank", "blank", "blank", "blank"]);
    const solid = {
      faces: whole.faces.map((f) => ({ ...f, tag: f.tag === "a" ? "-w" : f.tag === "b" ? "+w" : f.tag }))
    };
    const box = sectionBox(body);
    return [{ id: m.id, stock: body.stock, size: box.size, centre: box.centre, parts: () => [solid] }];
  }
  if (body.shape === "round") {
    const x = axesOf(body);
    const s = spare(workLength(m), [body.diameter, body.diameter]);
    const r = body.diameter / 2 / Math.cos(Math.PI / FLATS);
    const base2 = Array.from({ length: FLATS }, (_, i) => {
      const t = (i - 0.5) * 2 * Math.PI / FLATS;
      return fromLocal(x, [-s, r * Math.cos(t), r * Math.sin(t)]);
    });
    const tags = base2.map((_, i) => ({ 0: "+v", 4: "+w", 8: "-v", 12: "-w" })[i] ?? "round");
    const parts = () => [prism(base2, scale(x.u, workLength(m) + 2 * s), tags)];
    return [{ id: m.id, stock: body.stock, size: [body.diameter, body.diameter], centre: [0, 0], parts }];
  }
  return body.components.map((c, i) => {
    const centre = componentCentre(body, i);
    const size = [c.v, c.w];
    return {
      id: c.name === "" ? m.id : `${m.id}#${c.name}`,
      stock: c.stock,
      size,
      centre,
      parts: () => body.shape === "run" ? runParts(body, centre, size) : [straightPart(m, centre, size)]
    };
  });
}
function straightPart(m, centre, size) {
  const x = axesOf(m.body);
  const s = spare(workLength(m), sectionBox(m.body).size);
  return prism(rectangle3(x, -s, centre, size), scale(x.u, workLength(m) + 2 * s), SIDES);
}
function ringBox(r, centre, size) {
  const [v, w] = [size[0] / 2, size[1] / 2];
  const at = (dv, dw) => onRing(r, centre[0] + dv, centre[1] + dw);
  return [at(-v, -w), at(v, -w), at(v, w), at(-v, w)];
}
function runParts(body, centre, size) {
  const boxes = body.rings.map((r) => ringBox(r, centre, size));
  return boxes.slice(1).map((far, k) => {
    const near = boxes[k];
    const quad = (p, tag) => ({ corners: p, plane: facePlane(p), tag });
    const sides = near.map((p, i) => {
      const j = (i + 1) % 4;
      return quad([p, near[j], far[j], far[i]], SIDES[i]);
    });
    return {
      faces: [
        ...sides,
        quad([...near].reverse(), k === 0 ? "end0" : "seam"),
        quad(far, k === boxes.length - 2 ? "end1" : "seam")
      ]
    };
  });
}
function facePlane(p) {
  const mid = [0, 1, 2].map((k) => (p[0][k] + p[1][k] + p[2][k] + p[3][k]) / 4);
  return planeAt(mid, cross(addScaled(p[2], p[0], -1), addScaled(p[3], p[1], -1)));
}

// core/frame/alignment.ts
var longestChord = (radius) => Math.sqrt(8 * radius * TOLERANCE.chordSagitta);
function arcBreaks(from, to, radius, at = []) {
  const fixed = [from, ...at.filter((t) => t > from + 1e-12 && t < to - 1e-12).sort((p, q) => p - q), to];
  const step = 2 * Math.asin(Math.min(1, longestChord(radius) / (2 * radius)));
  const out = [from];
  fixed.slice(1).forEach((t, i) => {
    const start = fixed[i];
    const n = Math.max(1, Math.ceil((t - start) / step - 1e-9));
    for (let k = 1; k <= n; k++) out.push(start + (t - start) * k / n);
  });
  return out;
}

// core/frame/component.ts
var wholeId = (id2) => id2.replace(/#.*$/, "");
function componentOf(m, name, id2) {
  const body = m.body;
  const i = body.shape === "straight" ? body.components.findIndex((c) => c.name === name) : -1;
  if (body.shape !== "straight" || i < 0)
    throw new Error(`A joint names "${id2}", and the ${m.role} "${m.id}" has no component "${name}".`);
  const x = axesOf(body);
  const [v, w] = componentCentre(body, i);
  const shift = (p) => addScaled(addScaled(p, x.v, v), x.w, w);
  const component = { ...body.components[i], at: [0, 0] };
  return {
    ...m,
    id: id2,
    body: { ...body, a: shift(body.a), b: shift(body.b), seat: ["centre", "centre"], components: [component] }
  };
}
function memberLookup(frame) {
  const members = new Map(frame.members.map((m) => [m.id, m]));
  return (id2) => {
    const m = members.get(wholeId(id2));
    if (!m) throw new Error(`A joint names the member "${id2}", which is not in the frame.`);
    return id2 === m.id ? m : componentOf(m, id2.slice(m.id.length + 1), id2);
  };
}

// core/frame/cuts.ts
var asEnd = (e) => e === 0 ? "end0" : "end1";
function endOf(m, end) {
  const x = axesOf(m.body);
  const point2 = end === 0 ? x.origin : addScaled(x.origin, x.u, workLength(m));
  return { point: point2, out: end === 0 ? negate(x.u) : x.u };
}
function middleOf(m) {
  if (m.body.shape === "run") return m.body.rings[m.body.rings.length >> 1].at;
  const x = axesOf(m.body);
  return addScaled(x.origin, x.u, workLength(m) / 2);
}
var outside = (f, gap) => flip({ n: f.n, d: f.d + gap });
function threePlanes(a, b, c) {
  const bc = cross(b.n, c.n);
  const det = dot(a.n, bc);
  if (Math.abs(det) < 1e-12) throw new Error("Three planes of a joint do not meet in a point.");
  const p = add(add(scale(bc, a.d), scale(cross(c.n, a.n), b.d)), scale(cross(a.n, b.n), c.d));
  return scale(p, 1 / det);
}
var sidesAcross = (f) => f[1] === "w" ? ["-v", "+v"] : ["-w", "+w"];
function crossingOf(a, b, j) {
  const [nearA, nearB] = [
    a.body.shape === "run" ? middleOf(b) : void 0,
    b.body.shape === "run" ? middleOf(a) : void 0
  ];
  const on = stockFace(a, j.aFace, nearA);
  const [a0, a1] = sidesAcross(j.aFace).map((f) => stockFace(a, f, nearA));
  const [b0, b1] = sidesAcross(j.bFace).map((f) => stockFace(b, f, nearB));
  return [threePlanes(on, a0, b0), threePlanes(on, a0, b1), threePlanes(on, a1, b1), threePlanes(on, a1, b0)];
}
function lapEndCut(a, b, j) {
  if (!j.finish) return void 0;
  const { end, finish, beyond: beyond2, past } = j.finish;
  const from = j.id;
  if (finish === "flush") {
    const f = stockFace(b, past);
    return { n: f.n, d: f.d + beyond2, as: asEnd(end), from };
  }
  const { out } = endOf(a, end);
  const reach = Math.max(...crossingOf(a, b, j).map((p) => dot(p, out)));
  return { n: out, d: reach + beyond2, as: asEnd(end), from };
}
function mitreCut(a, end, b, bEnd, from) {
  const [ea, eb] = [endOf(a, end), endOf(b, bEnd)];
  const n = sub(ea.out, eb.out);
  if (Math.hypot(...n) < 1e-9)
    throw new Error(`"${a.id}" and "${b.id}" run side by side, so their ends have no mitre.`);
  return { ...planeAt(scale(add(ea.point, eb.point), 0.5), n), as: asEnd(end), from };
}
function facing(above, m, end) {
  const inward = negate(endOf(m, end).out);
  const x = axesOf(above.body);
  const candidates = [
    ["+v", x.v],
    ["-v", negate(x.v)],
    ["+w", x.w],
    ["-w", negate(x.w)]
  ];
  return candidates.reduce((best, c) => dot(c[1], inward) > dot(best[1], inward) + 1e-12 ? c : best)[0];
}
function nodeCuts(node, member, put) {
  const above = [...node.passing ?? []];
  for (const tier of node.tiers) {
    for (const e of tier) {
      const m = member(e.member);
      for (const id2 of above) {
        const upper = member(id2);
        for (const face of e.faces?.[id2] ?? [facing(upper, m, e.end)])
          put(e.member, { ...outside(stockFace(upper, face), node.gap), as: asEnd(e.end), from: node.id });
      }
      for (const other of tier)
        if (other !== e) put(e.member, mitreCut(m, e.end, member(other.member), other.end, node.id));
    }
    above.push(...tier.map((e) => e.member));
  }
}
function freeEndCut(m, end) {
  const free = m.ends[end];
  if (!free || m.body.shape === "run" || m.body.shape === "panel") return void 0;
  const { point: point2, out } = endOf(m, end);
  const n = free.kind === "square" ? out : free.kind === "plumb" ? normalize([out[0], out[1], 0]) : [0, 0, Math.sign(out[2])];
  return { ...planeAt(addScaled(point2, out, free.beyond), n), as: asEnd(end), from: `${m.id}:free${end}` };
}
function passage(b, clearance) {
  const body = stockBodies(b)[0].parts()[0];
  return body.faces.filter((f) => f.tag !== "a" && f.tag !== "b").map((f) => ({ n: f.plane.n, d: f.plane.d + clearance }));
}
function cutsOf(frame) {
  const member = memberLookup(frame);
  const out = /* @__PURE__ */ new Map();
  const of = (id2) => {
    const known5 = out.get(id2);
    if (known5) return known5;
    const fresh = { cuts: [], cutters: [] };
    out.set(id2, fresh);
    return fresh;
  };
  const put = (id2, c) => void (c && of(id2).cuts.push(c));
  const carve = (id2, c) => void of(id2).cutters.push(c);
  for (const m of frame.members) for (const end of [0, 1]) put(m.id, freeEndCut(m, end));
  for (const j of frame.joints) applyJoint(j);
  for (const n of frame.nodes) nodeCuts(n, member, put);
  return out;
  function datum(name, j) {
    const known5 = frame.datums[name];
    if (!known5) throw new Error(`Joint "${j.id}" names the datum "${name}", which is not in the frame.`);
    return known5;
  }
  function applyJoint(j) {
    const a = member(j.a);
    switch (j.kind) {
      case "butt":
        return put(j.a, { ...outside(stockFace(member(j.b), j.face), j.gap ?? 0), as: asEnd(j.end), from: j.id });
      case "lap":
        return put(j.a, lapEndCut(a, member(j.b), j));
      case "mitre":
        put(j.a, mitreCut(a, j.end, member(j.b), j.bEnd, j.id));
        return put(j.b, mitreCut(member(j.b), j.bEnd, a, j.end, j.id));
      case "notch":
        return carve(j.a, {
          from: j.id,
          planes: j.faces.map((f) => "datum" in f ? datum(f.datum, j) : stockFace(member(f.of), f.face))
        });
      case "through":
      case "rod-in-hole":
        return carve(j.a, { from: j.id, planes: passage(member(j.b), j.clearance) });
      case "trim": {
        return put(j.a, { ...datum(j.datum, j), as: j.as, from: j.id });
      }
      case "bearing":
        member(j.b);
        return;
    }
  }
}

// core/frame/splice.ts
function spliceCuts(m) {
  const at = [...m.splices ?? []].sort((a, b) => a - b);
  if (at.length === 0 || m.body.shape !== "straight") return [[]];
  const x = axesOf(m.body);
  const cut = (station, as) => ({
    ...planeAt(addScaled(x.origin, x.u, station), as === "end0" ? negate(x.u) : x.u),
    as,
    from: `${m.id}:splice`
  });
  return [...at, void 0].map((end, i) => [
    ...i > 0 ? [cut(at[i - 1], "end0")] : [],
    ...end === void 0 ? [] : [cut(end, "end1")]
  ]);
}

// core/frame/resolve.ts
var partId = (body, member, part) => `${body === member ? `${member}#` : body}s${part + 1}`;
var NO_CUTS = { cuts: [], cutters: [] };
function sawn(member, body, cuts) {
  if (member.body.shape !== "straight" || cuts.length !== 2) return void 0;
  const [c, d] = cuts;
  const [start, far] = c.as === "end0" ? [c, d] : [d, c];
  if (start.as !== "end0" || far.as !== "end1") return void 0;
  const x = axesOf(member.body);
  const [s, f] = [dot(start.n, x.u), dot(far.n, x.u)];
  if (s > -1e-6 || f < 1e-6) return void 0;
  const near = [];
  const end = [];
  for (const [dv, dw] of CORNERS) {
    const p = fromLocal(x, [0, body.centre[0] + dv * body.size[0] / 2, body.centre[1] + dw * body.size[1] / 2]);
    const [t0, t1] = [(start.d - dot(start.n, p)) / s, (far.d - dot(far.n, p)) / f];
    if (t1 - t0 < 1e-6) return void 0;
    near.push(addScaled(p, x.u, t0));
    end.push(addScaled(p, x.u, t1));
  }
  return new Sawn(near, end, x, start, far);
}
var Sawn = class {
  constructor(near, end, x, start, far) {
    this.x = x;
    this.start = start;
    this.far = far;
    this.corners = [...near, ...end];
  }
  get faces() {
    return this.made ??= this.make();
  }
  make() {
    const [near, end] = [this.corners.slice(0, 4), this.corners.slice(4)];
    const { x, start, far } = this;
    const side = (i, n, tag) => {
      const k = (i + 1) % 4;
      return { corners: [near[i], near[k], end[k], end[i]], plane: { n, d: dot(n, near[i]) }, tag };
    };
    return [
      side(0, negate(x.w), "-w"),
      side(1, x.v, "+v"),
      side(2, x.w, "+w"),
      side(3, negate(x.v), "-v"),
      { corners: [...near].reverse(), plane: { n: start.n, d: start.d }, tag: start.from },
      { corners: end, plane: { n: far.n, d: far.d }, tag: far.from }
    ];
  }
};
function plainStick(member, own) {
  const body = member.body;
  if (body.shape !== "straight" || body.components.length !== 1 || member.splices?.length) return void 0;
  if (own.cutters.length > 0 || own.cuts.length !== 2 || body.components[0].name !== "") return void 0;
  const c = body.components[0];
  const size = [c.v, c.w];
  const centre = sectionBox(body).centre;
  const solid = sawn(member, { size, centre }, own.cuts);
  if (!solid) return void 0;
  const parts = [solid];
  return {
    id: member.id,
    member,
    stock: c.stock,
    size,
    centre,
    axes: axesOf(body),
    cuts: own.cuts,
    cutters: own.cutters,
    whole: parts,
    parts
  };
}
var CORNERS = [
  [-1, -1],
  [1, -1],
  [1, 1],
  [-1, 1]
];
function resolve(frame) {
  const all = cutsOf(frame);
  const sticks = [];
  const byMember = /* @__PURE__ */ new Map();
  for (const member of frame.members) {
    if (byMember.has(member.id)) throw new Error(`Two members are called "${member.id}".`);
    const common = all.get(member.id) ?? NO_CUTS;
    const plain = plainStick(member, common);
    if (plain) {
      sticks.push(plain);
      byMember.set(member.id, [plain]);
      continue;
    }
    const holes = member.body.shape === "panel" ? panelPlanes(member) : void 0;
    const spliced = spliceCuts(member);
    const sticksOf = stockBodies(member).flatMap(
      (body) => spliced.map((cuts, part) => ({ body, splices: cuts, part }))
    );
    const own = sticksOf.map(({ body, splices, part }) => {
      const single2 = body.id === member.id ? NO_CUTS : all.get(body.id) ?? NO_CUTS;
      const cuts = [...common.cuts, ...single2.cuts, ...splices];
      const ownCutters = [
        ...common.cutters,
        ...single2.cutters,
        ...holes?.holes.map((h) => ({ from: h.name, planes: h.planes })) ?? []
      ];
      if (member.body.shape === "straight" || member.body.shape === "round") {
        for (const end of ["end0", "end1"])
          if (!cuts.some((c) => c.as === end))
            throw new Error(
              `Nothing says how the ${member.role} "${body.id}" ends at its ${end === "end0" ? "start" : "far end"}.`
            );
      }
      const sawnOff = sawn(member, body, cuts);
      const planes = sawnOff ? [] : [...holes?.edges ?? [], ...cuts.map((c) => ({ ...c, tag: c.from }))];
      const whole = sawnOff ? [sawnOff] : body.parts().map((p) => clipAll(p, planes)).filter((p) => p !== void 0);
      const parts = ownCutters.reduce(
        (rest, c) => rest.flatMap(
          (p) => subtract(
            p,
            c.planes.map((q) => ({ ...q, tag: c.from }))
          )
        ),
        whole
      );
      if (parts.length === 0)
        throw new Error(
          `Nothing is left of the ${member.role} "${member.id}" after its cuts: what it joins is too close together.`
        );
      return {
        id: spliced.length === 1 ? body.id : partId(body.id, member.id, part),
        member,
        stock: body.stock,
        size: body.size,
        centre: body.centre,
        axes: axesOf(member.body),
        cuts,
        cutters: ownCutters,
        whole,
        parts
      };
    });
    sticks.push(...own);
    byMember.set(member.id, own);
    own.forEach((k, i) => {
      const { body } = sticksOf[i];
      if (body.id !== member.id)
        byMember.set(
          body.id,
          own.filter((_, n) => sticksOf[n].body === body)
        );
      if (k.id !== body.id) byMember.set(k.id, [k]);
    });
  }
  return { frame, sticks, byMember };
}

// core/frame/pieceShape.ts
var FACE_AXIS = { "+v": [0, 1, 0], "-v": [0, -1, 0], "+w": [0, 0, 1], "-w": [0, 0, -1] };
var NO_BEVEL = 5e-3;
function setting(n, end, face) {
  const down = FACE_AXIS[face];
  const s = end === 1 ? 1 : -1;
  const right = [0, s * down[2], -s * down[1]];
  const tidy = (deg) => degrees2(Math.abs(deg) < 1e-9 ? 0 : deg);
  return {
    mitre: tidy(Math.atan2(dot(n, right), s * n[0]) * 180 / Math.PI),
    bevel: tidy(Math.asin(Math.max(-1, Math.min(1, -dot(n, down)))) * 180 / Math.PI)
  };
}
function faceDown(n, end, section2) {
  const order = section2[0] >= section2[1] ? ["-w", "-v"] : ["-v", "-w"];
  return order.find((f) => Math.abs(setting(n, end, f).bevel) < NO_BEVEL) ?? order[0];
}
function pieceShape(s) {
  const body = s.member.body;
  const stations = body.shape === "run" ? developedStations(body, s.centre) : [];
  const local = (p) => {
    if (body.shape === "run") return developed(body, s.centre, stations, p);
    const q = toLocal(s.axes, p);
    return [q[0], q[1] - s.centre[0], q[2] - s.centre[1]];
  };
  const solids = s.whole.map((w) => cornersOf(w).map(local));
  const all = solids.flat();
  const start = Math.min(...all.map((p) => p[0]));
  const overall = Math.max(...all.map((p) => p[0])) - start;
  const shift = (p) => [p[0] - start, p[1], p[2]];
  const section2 = [model(s.size[0]), model(s.size[1])];
  const plane = (p) => {
    const n = turnLocal(s.axes, p.n);
    const d = p.d - dot(p.n, s.axes.origin) - n[1] * s.centre[0] - n[2] * s.centre[1] - n[0] * start;
    return { n, d };
  };
  const bent2 = body.shape === "run";
  const cutPlanes = bent2 ? [] : s.cuts.map((c) => ({ as: c.as, ...plane(c) }));
  const endCuts = (end) => {
    const square = {
      face: faceDown([end ? 1 : -1, 0, 0], end, section2),
      mitre: degrees2(0),
      bevel: degrees2(0),
      at: model(end ? overall : 0)
    };
    if (bent2 || body.shape === "panel") return [square];
    const active = cutPlanes.filter((c) => c.as === `end${end}` && touchesPlane(all.map(shift), c));
    return active.map((c) => ({
      face: faceDown(c.n, end, section2),
      ...setting(c.n, end, faceDown(c.n, end, section2)),
      at: model(c.d / c.n[0])
    })).filter((c, i, list2) => list2.findIndex((o) => sameCut(o, c)) === i);
  };
  const ends = [endCuts(0), endCuts(1)];
  const edges = bent2 || body.shape === "panel" ? [overall] : edgeLengths(cutPlanes, section2, overall);
  const holeParts = bent2 ? [] : s.cutters.map((c) => c.planes.map(plane));
  const notches = holeParts.filter((_, i) => removed(s, i).length > 0);
  return {
    kind: s.member.kind,
    section: section2,
    overall: model(overall),
    longPoint: model(Math.max(...edges)),
    shortPoint: model(Math.min(...edges)),
    ends,
    rips: cutPlanes.filter((c) => c.as === "length").map(({ n, d }) => ({ n, d })),
    notches,
    corners: distinct(all.map(shift)),
    notchCorners: s.cutters.map((_, i) => removed(s, i).map((p) => shift(local(p)))).filter((c) => c.length > 0),
    cutNormals: bent2 ? [] : s.whole.flatMap((w) => w.faces.filter((f) => !(f.tag in FACE_AXIS)).map((f) => turnLocal(s.axes, f.plane.n)))
  };
}
var sameCut = (a, b) => a.face === b.face && Math.abs(a.mitre - b.mitre) < 1e-6 && Math.abs(a.bevel - b.bevel) < 1e-6 && Math.abs(a.at - b.at) < 1e-6;
var touchesPlane = (points2, p) => points2.filter((q) => Math.abs(dot(q, p.n) - p.d) < 1e-5).length >= 3;
var distinct = (points2) => points2.filter((p, i) => points2.findIndex((q) => Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]) < 1e-6) === i);
function removed(s, i) {
  const planes = s.cutters[i].planes.map((p) => ({ ...p, tag: "" }));
  return s.whole.flatMap((w) => intersection(w, planes));
}
function intersection(w, planes) {
  const left = planes.reduce((x, p) => x && clip2(x, p), w);
  return left ? cornersOf(left) : [];
}
function edgeLengths(cuts, section2, overall) {
  const corner = [-0.5, 0.5].flatMap((i) => [-0.5, 0.5].map((k) => [i * section2[0], k * section2[1]]));
  return corner.map(([v, w]) => {
    const at = (c) => (c.d - c.n[1] * v - c.n[2] * w) / c.n[0];
    const lo = cuts.filter((c) => c.as === "end0").map(at);
    const hi = cuts.filter((c) => c.as === "end1").map(at);
    return (hi.length ? Math.min(...hi) : overall) - (lo.length ? Math.max(...lo) : 0);
  });
}

// core/frame/samePiece.ts
var QUARTERS = [
  (p) => p,
  (p) => [p[0], -p[2], p[1]],
  (p) => [p[0], -p[1], -p[2]],
  (p) => [p[0], p[2], -p[1]]
];
var TURNS = [
  ...QUARTERS,
  ...QUARTERS.map(
    (q) => (p) => q([-p[0], p[1], -p[2]])
  )
];
var FACE_TURNS = [(p) => p, (p) => [-p[0], -p[1], p[2]]];
var mirrored = (s) => {
  const m = (p) => [p[0], -p[1], p[2]];
  return {
    ...s,
    corners: s.corners.map(m),
    notchCorners: s.notchCorners.map((c) => c.map(m)),
    cutNormals: s.cutNormals.map(m)
  };
};
function samePiece(a, b, turning = "any") {
  const tol = TOLERANCE.samePiece;
  if (a.kind !== b.kind || Math.abs(a.overall - b.overall) > tol) return false;
  if (a.corners.length === 0 || a.notchCorners.length !== b.notchCorners.length) return false;
  return (turning === "face" ? FACE_TURNS : TURNS).some((turn) => {
    const size = turn([0, b.section[0], b.section[1]]);
    if (Math.abs(Math.abs(size[1]) - a.section[0]) > tol || Math.abs(Math.abs(size[2]) - a.section[1]) > tol)
      return false;
    const reversed = turn([1, 0, 0])[0] < 0;
    const place = (p) => {
      const q = turn(p);
      return reversed ? [q[0] + b.overall, q[1], q[2]] : q;
    };
    if (!sameSet(a.corners, b.corners.map(place), tol)) return false;
    const angle = 2 * Math.sin(TOLERANCE.samePieceAngle * Math.PI / 360);
    if (!sameSet(a.cutNormals, b.cutNormals.map(turn), angle)) return false;
    const left = b.notchCorners.map((n) => n.map(place));
    return a.notchCorners.every((n) => {
      const i = left.findIndex((m) => sameSet(n, m, tol));
      if (i >= 0) left.splice(i, 1);
      return i >= 0;
    });
  });
}
function sameSet(a, b, tol) {
  const covered = (x, y) => x.every((p) => y.some((q) => Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]) <= tol));
  return covered(a, b) && covered(b, a);
}

// core/frame/pieces.ts
function piecesOf(sticks, issued = []) {
  const groups = [];
  const buckets = /* @__PURE__ */ new Map();
  for (const s of sticks) {
    const shape = pieceShape(s);
    const bucket = (k2) => `${s.stock}|${s.member.letter}|${k2}`;
    const k = Math.round(shape.overall / (4 * TOLERANCE.samePiece));
    const near = [k, k - 1, k + 1].flatMap((n) => buckets.get(bucket(n)) ?? []);
    const same2 = near.filter((g) => samePiece(g.shape, shape, s.member.turning));
    const home = groups.find((g) => same2.includes(g));
    if (home) home.sticks.push(s.id);
    else {
      const g = { first: s, shape, sticks: [s.id] };
      groups.push(g);
      buckets.set(bucket(k), [...buckets.get(bucket(k)) ?? [], g]);
    }
  }
  const taken = new Set(issued.map((i) => i.mark));
  const given = /* @__PURE__ */ new Set();
  const numbers = /* @__PURE__ */ new Map();
  const markOf = (g) => {
    const old = issued.find((i) => !given.has(i.mark) && i.stock === g.first.stock && samePiece(i.shape, g.shape));
    if (old) return old.mark;
    const letter = g.first.member.letter;
    for (let n = (numbers.get(letter) ?? 0) + 1; ; n++) {
      numbers.set(letter, n);
      if (!taken.has(`${letter}${n}`)) return `${letter}${n}`;
    }
  };
  const marked = groups.map((g) => {
    const mark = markOf(g);
    given.add(mark);
    return { g, mark, handed: !samePiece(g.shape, mirrored(g.shape)) };
  });
  return marked.map(({ g, mark, handed }) => {
    const other = handed ? marked.find((o) => o.g !== g && o.g.first.stock === g.first.stock && samePiece(o.g.shape, mirrored(g.shape))) : void 0;
    return {
      mark,
      role: g.first.member.role,
      nominal: g.first.member.nominal,
      stock: g.first.stock,
      shape: g.shape,
      sticks: g.sticks,
      handed,
      ...other ? { handOf: other.mark } : {}
    };
  });
}

// core/job/document.ts
import "reflect-metadata";
import { Type } from "class-transformer";
import {
  ArrayMaxSize as ArrayMaxSize2,
  ArrayMinSize as ArrayMinSize2,
  Equals,
  IsArray as IsArray2,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber as IsNumber2,
  IsObject,
  IsOptional,
  IsString as IsString2,
  Matches as Matches2,
  Max,
  MaxLength as MaxLength2,
  Min,
  ValidateNested as ValidateNested2
} from "class-validator";

// core/prototype/measure.ts
var MEASURES = {
  length: { name: "Length", points: 2, unit: "length", say: "Press on both ends." },
  across: { name: "Across", points: 2, unit: "length", say: "Press on two points; only the level distance counts." },
  up: { name: "Up", points: 2, unit: "length", say: "Press on two points; only the plumb distance counts." },
  angle: { name: "Angle", points: 3, unit: "angle", say: "Press on one arm, the corner, and the other arm." },
  lean: { name: "Lean from plumb", points: 2, unit: "angle", say: "Press on two points of the leaning line." },
  slope: { name: "Slope from level", points: 2, unit: "angle", say: "Press on two points of the sloping line." },
  batter: { name: "Batter", points: 2, unit: "batter", say: "Press on two points of the battered line." },
  pitch: { name: "Pitch", points: 2, unit: "pitch", say: "Press on two points of the roof line." },
  radius: { name: "Radius", points: 3, unit: "length", say: "Press on three points of the arc." },
  count: { name: "Spacing", points: 2, unit: "spacing", say: "Press on the first and the last of the row." },
  area: { name: "Area", points: 0, unit: "area", say: "Press on the corners in turn, and on the first again." }
};

// core/prototype/homography.ts
import { Matrix, solve } from "ml-matrix";

// core/structures/fields.ts
import "reflect-metadata";
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsNumber,
  IsString,
  Matches,
  MaxLength,
  ValidateNested
} from "class-validator";
var finite = { allowNaN: false, allowInfinity: false };
var text2 = (max) => (target, key) => {
  IsString()(target, key);
  MaxLength(max)(target, key);
};
var id = () => Matches(/^[a-z0-9][a-z0-9-]{0,39}$/i, { message: "$property \u201C$value\u201D is no id; use letters, digits and hyphens" });
var nominalSize = () => Matches(/^\d+(\.\d+)?×\d+(\.\d+)?$/, {
  message: "$property is \u201C$value\u201D; write a nominal size in inches such as 12\xD712"
});
var point = () => (target, key) => {
  IsArray()(target, key);
  ArrayMinSize(2)(target, key);
  ArrayMaxSize(2)(target, key);
  IsNumber(finite, { each: true })(target, key);
};
var many = (max) => (target, key) => {
  IsArray()(target, key);
  ArrayMaxSize(max)(target, key);
  ValidateNested({ each: true })(target, key);
};

// core/job/document.ts
var JOB_FORMAT = "cardo-job";
var JOB_VERSION = 2;
var ScaleDoc = class {
};
__decorateClass([
  text2(12)
], ScaleDoc.prototype, "id", 2);
__decorateClass([
  IsNumber2(finite),
  Min(1),
  Max(1e3)
], ScaleDoc.prototype, "ratio", 2);
var UnitsDoc = class {
};
__decorateClass([
  IsIn(["ft-in", "m"])
], UnitsDoc.prototype, "prototype", 2);
__decorateClass([
  IsIn(["mm", "in", "64ths"])
], UnitsDoc.prototype, "model", 2);
var DecisionDoc = class {
};
__decorateClass([
  id()
], DecisionDoc.prototype, "id", 2);
__decorateClass([
  text2(300)
], DecisionDoc.prototype, "what", 2);
__decorateClass([
  text2(2e3)
], DecisionDoc.prototype, "reason", 2);
var BriefDoc = class {
};
__decorateClass([
  ValidateNested2(),
  Type(() => ScaleDoc)
], BriefDoc.prototype, "scale", 2);
__decorateClass([
  ValidateNested2(),
  Type(() => UnitsDoc)
], BriefDoc.prototype, "units", 2);
__decorateClass([
  text2(200)
], BriefDoc.prototype, "railroad", 2);
__decorateClass([
  text2(500)
], BriefDoc.prototype, "place", 2);
__decorateClass([
  IsNumber2(finite),
  Min(0),
  Max(1e5)
], BriefDoc.prototype, "spotLength", 2);
__decorateClass([
  IsNumber2(finite),
  Min(0),
  Max(1e5)
], BriefDoc.prototype, "spotDepth", 2);
__decorateClass([
  IsIn(["none", "beside", "under", "over"])
], BriefDoc.prototype, "track", 2);
__decorateClass([
  text2(100)
], BriefDoc.prototype, "era", 2);
__decorateClass([
  many(500),
  Type(() => DecisionDoc)
], BriefDoc.prototype, "decisions", 2);
var KnownLengthDoc = class {
};
__decorateClass([
  id()
], KnownLengthDoc.prototype, "id", 2);
__decorateClass([
  text2(80)
], KnownLengthDoc.prototype, "name", 2);
__decorateClass([
  point()
], KnownLengthDoc.prototype, "from", 2);
__decorateClass([
  point()
], KnownLengthDoc.prototype, "to", 2);
__decorateClass([
  IsNumber2(finite),
  Min(1),
  Max(1e7)
], KnownLengthDoc.prototype, "length", 2);
__decorateClass([
  IsIn(["scale", "check"])
], KnownLengthDoc.prototype, "use", 2);
__decorateClass([
  IsOptional(),
  IsInt(),
  Min(1),
  Max(1e5)
], KnownLengthDoc.prototype, "count", 2);
__decorateClass([
  IsOptional(),
  IsNumber2(finite),
  Min(0.1),
  Max(1e6)
], KnownLengthDoc.prototype, "each", 2);
var StatedScaleDoc = class {
};
__decorateClass([
  IsNumber2(finite),
  Min(1e-6),
  Max(1e6)
], StatedScaleDoc.prototype, "ratio", 2);
__decorateClass([
  IsNumber2(finite),
  Min(1e-9),
  Max(1e6)
], StatedScaleDoc.prototype, "unit", 2);
var CalibrationDoc = class {
};
__decorateClass([
  many(60),
  Type(() => KnownLengthDoc)
], CalibrationDoc.prototype, "lengths", 2);
__decorateClass([
  IsOptional(),
  ValidateNested2(),
  Type(() => StatedScaleDoc)
], CalibrationDoc.prototype, "stated", 2);
__decorateClass([
  IsIn(["auto", "apart", "together"])
], CalibrationDoc.prototype, "stretch", 2);
__decorateClass([
  IsNumber2(finite),
  Min(-180),
  Max(180)
], CalibrationDoc.prototype, "tilt", 2);
var MeasureDoc = class {
};
__decorateClass([
  id()
], MeasureDoc.prototype, "id", 2);
__decorateClass([
  text2(80)
], MeasureDoc.prototype, "name", 2);
__decorateClass([
  IsIn(Object.keys(MEASURES))
], MeasureDoc.prototype, "kind", 2);
__decorateClass([
  IsArray2(),
  ArrayMinSize2(2),
  ArrayMaxSize2(200)
], MeasureDoc.prototype, "points", 2);
__decorateClass([
  IsOptional(),
  IsInt(),
  Min(2),
  Max(1e4)
], MeasureDoc.prototype, "count", 2);
__decorateClass([
  IsOptional(),
  text2(120)
], MeasureDoc.prototype, "usedFor", 2);
var OPENINGS = {
  kind: ["window", "door", "freight door", "hatch", "vent", "other"],
  set: ["flush", "recessed", "proud"],
  swing: ["fixed", "left", "right", "up", "slides", "in pairs"]
};
var OpeningDoc = class {
};
__decorateClass([
  id()
], OpeningDoc.prototype, "id", 2);
__decorateClass([
  text2(80)
], OpeningDoc.prototype, "name", 2);
__decorateClass([
  IsIn(OPENINGS.kind)
], OpeningDoc.prototype, "kind", 2);
__decorateClass([
  point()
], OpeningDoc.prototype, "from", 2);
__decorateClass([
  point()
], OpeningDoc.prototype, "to", 2);
__decorateClass([
  IsIn(OPENINGS.set)
], OpeningDoc.prototype, "set", 2);
__decorateClass([
  IsNumber2(finite),
  Min(0),
  Max(5e3)
], OpeningDoc.prototype, "by", 2);
__decorateClass([
  IsNumber2(finite),
  Min(0),
  Max(5e3)
], OpeningDoc.prototype, "trim", 2);
__decorateClass([
  text2(200)
], OpeningDoc.prototype, "sill", 2);
__decorateClass([
  IsIn(OPENINGS.swing)
], OpeningDoc.prototype, "swing", 2);
__decorateClass([
  text2(200)
], OpeningDoc.prototype, "casting", 2);
__decorateClass([
  text2(500)
], OpeningDoc.prototype, "note", 2);
var UnderlayDoc = class {
};
__decorateClass([
  id()
], UnderlayDoc.prototype, "structure", 2);
__decorateClass([
  IsIn(["front", "side"])
], UnderlayDoc.prototype, "view", 2);
__decorateClass([
  point()
], UnderlayDoc.prototype, "anchor", 2);
__decorateClass([
  IsNumber2(finite),
  Min(0),
  Max(1)
], UnderlayDoc.prototype, "opacity", 2);
var sha256 = () => Matches2(/^[0-9a-f]{64}$/);
var PictureDoc = class {
};
__decorateClass([
  sha256()
], PictureDoc.prototype, "hash", 2);
__decorateClass([
  IsIn(["image/png", "image/jpeg", "image/webp", "image/tiff"])
], PictureDoc.prototype, "type", 2);
__decorateClass([
  IsInt(),
  Min(1),
  Max(2e5)
], PictureDoc.prototype, "width", 2);
__decorateClass([
  IsInt(),
  Min(1),
  Max(2e5)
], PictureDoc.prototype, "height", 2);
__decorateClass([
  IsOptional(),
  IsNumber2(finite),
  Min(1e-6),
  Max(1e3)
], PictureDoc.prototype, "unit", 2);
var LinesDoc = class {
};
__decorateClass([
  sha256()
], LinesDoc.prototype, "hash", 2);
__decorateClass([
  IsNumber2(finite),
  Min(1e-6),
  Max(1e9)
], LinesDoc.prototype, "width", 2);
__decorateClass([
  IsNumber2(finite),
  Min(1e-6),
  Max(1e9)
], LinesDoc.prototype, "height", 2);
__decorateClass([
  IsArray2(),
  ArrayMaxSize2(500),
  IsString2({ each: true }),
  MaxLength2(200, { each: true })
], LinesDoc.prototype, "hidden", 2);
var StraightenedDoc = class {
};
__decorateClass([
  id()
], StraightenedDoc.prototype, "drawing", 2);
__decorateClass([
  IsArray2(),
  ArrayMinSize2(4),
  ArrayMaxSize2(4)
], StraightenedDoc.prototype, "corners", 2);
__decorateClass([
  IsNumber2(finite),
  Min(1),
  Max(1e6)
], StraightenedDoc.prototype, "width", 2);
__decorateClass([
  IsNumber2(finite),
  Min(1),
  Max(1e6)
], StraightenedDoc.prototype, "height", 2);
__decorateClass([
  IsNumber2(finite),
  Min(-1),
  Max(1)
], StraightenedDoc.prototype, "lens", 2);
__decorateClass([
  point()
], StraightenedDoc.prototype, "size", 2);
var DrawingDoc = class {
};
__decorateClass([
  id()
], DrawingDoc.prototype, "id", 2);
__decorateClass([
  text2(120)
], DrawingDoc.prototype, "name", 2);
__decorateClass([
  IsOptional(),
  ValidateNested2(),
  Type(() => PictureDoc)
], DrawingDoc.prototype, "picture", 2);
__decorateClass([
  IsOptional(),
  ValidateNested2(),
  Type(() => LinesDoc)
], DrawingDoc.prototype, "lines", 2);
__decorateClass([
  IsOptional(),
  ValidateNested2(),
  Type(() => CalibrationDoc)
], DrawingDoc.prototype, "calibration", 2);
__decorateClass([
  many(500),
  Type(() => MeasureDoc)
], DrawingDoc.prototype, "measures", 2);
__decorateClass([
  many(500),
  Type(() => OpeningDoc)
], DrawingDoc.prototype, "openings", 2);
__decorateClass([
  many(100),
  Type(() => UnderlayDoc)
], DrawingDoc.prototype, "under", 2);
__decorateClass([
  IsOptional(),
  ValidateNested2(),
  Type(() => StraightenedDoc)
], DrawingDoc.prototype, "straightened", 2);
var OverrideDoc = class {
};
__decorateClass([
  IsOptional(),
  IsBoolean()
], OverrideDoc.prototype, "omit", 2);
__decorateClass([
  IsOptional(),
  IsBoolean()
], OverrideDoc.prototype, "splice", 2);
__decorateClass([
  IsOptional(),
  IsArray2(),
  ArrayMinSize2(2),
  ArrayMaxSize2(2),
  IsNumber2(finite, { each: true })
], OverrideDoc.prototype, "ends", 2);
var VariantDoc = class {
};
__decorateClass([
  id()
], VariantDoc.prototype, "id", 2);
__decorateClass([
  text2(80)
], VariantDoc.prototype, "name", 2);
__decorateClass([
  text2(1e3)
], VariantDoc.prototype, "reason", 2);
__decorateClass([
  IsObject()
], VariantDoc.prototype, "params", 2);
__decorateClass([
  IsObject()
], VariantDoc.prototype, "overrides", 2);
var StructureDoc = class {
};
__decorateClass([
  id()
], StructureDoc.prototype, "id", 2);
__decorateClass([
  text2(60)
], StructureDoc.prototype, "kind", 2);
__decorateClass([
  text2(120)
], StructureDoc.prototype, "name", 2);
__decorateClass([
  id()
], StructureDoc.prototype, "chosen", 2);
__decorateClass([
  many(50),
  ArrayMinSize2(1),
  Type(() => VariantDoc)
], StructureDoc.prototype, "variants", 2);
var StockChoiceDoc = class {
};
__decorateClass([
  text2(60)
], StockChoiceDoc.prototype, "item", 2);
__decorateClass([
  IsIn([1, 2])
], StockChoiceDoc.prototype, "plies", 2);
__decorateClass([
  IsIn(["thickness", "width"])
], StockChoiceDoc.prototype, "along", 2);
var StickDoc = class {
};
__decorateClass([
  IsNumber2(finite),
  Min(1),
  Max(1e5)
], StickDoc.prototype, "length", 2);
__decorateClass([
  IsOptional(),
  IsInt(),
  Min(0),
  Max(1e6)
], StickDoc.prototype, "count", 2);
__decorateClass([
  IsNumber2(finite),
  Min(0),
  Max(1e6)
], StickDoc.prototype, "price", 2);
var StockDoc = class {
};
__decorateClass([
  IsIn(["full-sawn", "dressed"])
], StockDoc.prototype, "milling", 2);
__decorateClass([
  IsArray2(),
  IsIn(["scale", "inch", "metric", "styrene", "round"], { each: true })
], StockDoc.prototype, "series", 2);
__decorateClass([
  IsObject()
], StockDoc.prototype, "choices", 2);
__decorateClass([
  IsObject()
], StockDoc.prototype, "sticks", 2);
var CuttingDoc = class {
};
__decorateClass([
  IsNumber2(finite),
  Min(0),
  Max(10)
], CuttingDoc.prototype, "kerf", 2);
__decorateClass([
  IsNumber2(finite),
  Min(0),
  Max(20)
], CuttingDoc.prototype, "allowance", 2);
var JobDoc = class {
};
__decorateClass([
  Equals(JOB_FORMAT)
], JobDoc.prototype, "format", 2);
__decorateClass([
  Equals(JOB_VERSION)
], JobDoc.prototype, "version", 2);
__decorateClass([
  text2(120)
], JobDoc.prototype, "name", 2);
__decorateClass([
  ValidateNested2(),
  Type(() => BriefDoc)
], JobDoc.prototype, "brief", 2);
__decorateClass([
  many(200),
  Type(() => DrawingDoc)
], JobDoc.prototype, "drawings", 2);
__decorateClass([
  many(200),
  Type(() => StructureDoc)
], JobDoc.prototype, "structures", 2);
__decorateClass([
  ValidateNested2(),
  Type(() => StockDoc)
], JobDoc.prototype, "stock", 2);
__decorateClass([
  ValidateNested2(),
  Type(() => CuttingDoc)
], JobDoc.prototype, "cutting", 2);
__decorateClass([
  IsObject()
], JobDoc.prototype, "aside", 2);

// core/job/read.ts
import { plainToInstance } from "class-transformer";
import { validateSync } from "class-validator";

// core/lumber/nominal.ts
var nominal = (a, b) => ({ thickness: Math.min(a, b), width: Math.max(a, b) });
function parseNominal(text3) {
  const rod = /^\s*[⌀ø]\s*(\d+(?:\.\d+)?)\s*$/i.exec(text3);
  if (rod) {
    const d = Number(rod[1]);
    return d >= 0.25 && d <= 48 ? { thickness: d, width: d, round: true } : void 0;
  }
  const m = /^\s*(\d+(?:\.\d+)?)\s*[x×*]\s*(\d+(?:\.\d+)?)\s*$/i.exec(text3);
  if (!m) return void 0;
  const [a, b] = [Number(m[1]), Number(m[2])];
  return [a, b].every((n) => n >= 0.25 && n <= 48) ? nominal(a, b) : void 0;
}
var DRESSED = {
  1: 0.75,
  2: 1.5,
  3: 2.5,
  4: 3.5,
  6: 5.5,
  8: 7.25,
  10: 9.25,
  12: 11.25
};
function dressedInches(n, timber) {
  if (timber) return n - 0.5;
  const known5 = DRESSED[n];
  if (known5 !== void 0) return known5;
  return n < 1 ? n : n < 6 ? n - 0.5 : n - 0.75;
}
function sectionOf(n, milling) {
  if (milling === "full-sawn" || n.round) return { thickness: inches(n.thickness), width: inches(n.width) };
  const timber = n.thickness >= 5;
  return { thickness: inches(dressedInches(n.thickness, timber)), width: inches(dressedInches(n.width, timber)) };
}

// core/lumber/series.ts
var SCALE_INCHES = [1, 2, 3, 4, 6, 8, 10, 12, 14, 16, 18];
var SIXTY_FOURTHS = [2, 3, 4, 5, 6, 8, 10, 12, 14, 16, 20, 24, 32];
var METRIC = [0.5, 1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12];
var THOUSANDTHS = [10, 15, 20, 30, 40, 60, 80, 100, 125, 156, 188, 250];
var ROUND_THOUSANDTHS = [20, 25, 30, 35, 40, 47, 62, 80, 93, 100, 125, 156, 187, 250, 312, 375];
var pairs = (sizes) => sizes.flatMap((t, i) => sizes.slice(i).map((w) => [t, w]));
var inch = (n) => model(n * MM_PER_INCH);
var thou = (n) => `.${String(n).padStart(3, "0")}`;
function catalogue(scale3) {
  const scaleLumber = pairs(SCALE_INCHES).map(([t, w]) => ({
    id: `scale/${t}x${w}`,
    series: "scale",
    name: `Scale lumber, ${scale3.id === "custom" ? `1:${scale3.ratio}` : scale3.name} ${t}\xD7${w}`,
    shape: "strip",
    thickness: model(t * MM_PER_INCH / scale3.ratio),
    width: model(w * MM_PER_INCH / scale3.ratio),
    lengths: [inch(11), inch(14)]
  }));
  const strip = (series, size, toMm, label, lengths2, unit) => ({
    id: `${series}/${size[0]}x${size[1]}`,
    series,
    name: `${series === "styrene" ? "Styrene strip" : "Strip wood"} ${label(size[0])} \xD7 ${label(size[1])}${unit}`,
    shape: "strip",
    thickness: toMm(size[0]),
    width: toMm(size[1]),
    lengths: lengths2
  });
  return [
    ...scaleLumber,
    ...pairs(SIXTY_FOURTHS).map(
      (s) => strip(
        "inch",
        s,
        (n) => inch(n / 64),
        (n) => printFraction(n, 64),
        [inch(24), inch(36)],
        " in"
      )
    ),
    ...pairs(METRIC).map((s) => strip("metric", s, model, String, [model(1e3)], " mm")),
    ...pairs(THOUSANDTHS).map((s) => strip("styrene", s, (n) => inch(n / 1e3), thou, [inch(14)], " in")),
    ...ROUND_THOUSANDTHS.map((d) => ({
      id: `round/${d}`,
      series: "round",
      name: `Round stock ${thou(d)} in diameter`,
      shape: "round",
      thickness: inch(d / 1e3),
      width: inch(d / 1e3),
      lengths: d >= 125 ? [inch(12), inch(36)] : [inch(10)]
    }))
  ];
}

// core/lumber/match.ts
function sectionError(wanted, real, scale3) {
  const of = (w, r) => ({
    model: model(r - w),
    prototype: toPrototype(scale3, model(r - w)),
    percent: (r - w) / w * 100
  });
  const thickness = of(wanted.thickness, real.thickness);
  const width = of(wanted.width, real.width);
  return { thickness, width, worstPercent: Math.max(Math.abs(thickness.percent), Math.abs(width.percent)) };
}
function builtSection(item, plies, along2) {
  const t = item.thickness * (along2 === "thickness" ? plies : 1);
  const w = item.width * (along2 === "width" ? plies : 1);
  return { thickness: model(Math.min(t, w)), width: model(Math.max(t, w)) };
}
function matchOf(item, plies, along2, wanted, scale3) {
  const section2 = builtSection(item, plies, along2);
  return { item, plies, along: along2, section: section2, error: sectionError(wanted, section2, scale3) };
}
function matches(wanted, series, scale3, laminated2 = true) {
  const found = [];
  for (const item of catalogue(scale3)) {
    if (item.shape !== (wanted.round ? "round" : "strip")) continue;
    if (!wanted.round && !series.includes(item.series)) continue;
    found.push(matchOf(item, 1, "thickness", wanted, scale3));
    if (wanted.round) continue;
    if (laminated2) {
      found.push(matchOf(item, 2, "thickness", wanted, scale3));
      if (item.width !== item.thickness) found.push(matchOf(item, 2, "width", wanted, scale3));
    }
  }
  const order = new Map(found.map((m, i) => [m, i]));
  return found.sort(
    (a, b) => (Math.abs(a.error.worstPercent - b.error.worstPercent) > 1e-9 ? a.error.worstPercent - b.error.worstPercent : 0) || a.plies - b.plies || order.get(a) - order.get(b)
  );
}

// core/lumber/choose.ts
function wantedSection(n, milling, scale3) {
  const p = sectionOf(n, milling);
  return {
    thickness: toModel(scale3, p.thickness),
    width: toModel(scale3, p.width),
    ...n.round ? { round: true } : {}
  };
}
function chooseStock(n, name, policy, scale3) {
  const wanted = wantedSection(n, policy.milling, scale3);
  const pick = policy.choices[name];
  if (pick) {
    const item = catalogue(scale3).find((i) => i.id === pick.item);
    if (!item) throw new Error(`Stock "${pick.item}" chosen for ${name} is in no series; choose another in Stock.`);
    return matchOf(item, pick.plies, pick.along, wanted, scale3);
  }
  const best = matches(wanted, policy.series, scale3, false)[0];
  if (!best) throw new Error(`No strip series is chosen, so ${name} cannot be matched; choose one in Stock.`);
  return best;
}

// core/structures/spec.ts
import "reflect-metadata";
import {
  ArrayMaxSize as ArrayMaxSize3,
  ArrayMinSize as ArrayMinSize3,
  IsArray as IsArray3,
  IsBoolean as IsBoolean2,
  IsIn as IsIn2,
  IsInt as IsInt2,
  IsNumber as IsNumber3,
  Matches as Matches3,
  Max as Max2,
  Min as Min2,
  ValidateBy
} from "class-validator";
var length2 = (p) => ({ type: "length", ...p });
var batter = (p) => ({ type: "batter", ...p });
var count = (p) => ({ type: "count", ...p });
var choice = (p) => ({ type: "choice", ...p });
var flag = (p) => ({ type: "flag", ...p });
var section = (p) => ({ type: "section", ...p });
var numeric = (p) => ({ type: "number", ...p });
var lengths = (p) => ({ type: "lengths", ...p });
var points = (p) => ({ type: "points", ...p });
var list = (p) => ({ type: "list", ...p });
function defaultsOf(spec) {
  const start = (p) => p.type === "list" ? [...p.defs] : p.type === "lengths" || p.type === "points" ? structuredClone(p.def) : p.def;
  return Object.fromEntries(Object.entries(spec).map(([k, p]) => [k, start(p)]));
}
function printParam(p, value) {
  if (p.type === "length") return printFeetInches(Number(value));
  if (p.type === "batter") return `${printNumber(Number(value), 3).replace(/\.?0+$/, "")} in 12`;
  if (p.type === "number")
    return `${printNumber(Number(value), 3).replace(/\.?0+$/, "")}${p.unit === "mm" ? " mm" : p.unit === "%" ? " %" : p.unit}`;
  if (p.type === "lengths") return value.map((v) => printFeetInches(v)).join(", ");
  if (p.type === "points") return `${value.length} points`;
  if (p.type === "choice") return p.options.find((o) => o.value === value)?.label ?? String(value);
  return String(value);
}
function dto(spec) {
  class Dto {
  }
  for (const [name, p] of Object.entries(spec)) {
    const on = (...decorators) => decorators.forEach((d) => d(Dto.prototype, name));
    const range = (q, each) => {
      const message = (a) => {
        const read = each && Array.isArray(a.value) ? a.value.map((v) => show(q, v)).join(", ") : show(q, a.value);
        return `${p.label} is ${read}; it may be from ${show(q, q.min)} to ${show(q, q.max)}.`;
      };
      const o = { each, message };
      on(
        q.type === "count" ? IsInt2(o) : IsNumber3({ allowNaN: false, allowInfinity: false }, o),
        Min2(q.min, o),
        Max2(q.max, o)
      );
    };
    switch (p.type) {
      case "length":
      case "batter":
      case "count":
      case "number":
        range(p, false);
        break;
      case "lengths": {
        const message = `${p.label} needs a list of at most ${p.most} lengths.`;
        on(IsArray3({ message }), ArrayMaxSize3(p.most, { message }));
        range(p.of, true);
        break;
      }
      case "points":
        on(
          ValidateBy({
            name: "points",
            validator: {
              validate: (v) => isPoints(v) && v.length <= p.most,
              defaultMessage: () => `${p.label} needs pairs of ${p.columns[0].toLowerCase()} and ${p.columns[1].toLowerCase()}, the ${p.columns[0].toLowerCase()} growing, at most ${p.most} of them.`
            }
          })
        );
        break;
      case "list": {
        const n = p.labels.length;
        const message = `${p.label} needs a list of ${n} values.`;
        on(IsArray3({ message }), ArrayMinSize3(n, { message }), ArrayMaxSize3(n, { message }));
        range(p.of, true);
        break;
      }
      case "choice":
        on(
          IsIn2(
            p.options.map((o) => o.value),
            {
              message: (a) => `${p.label} is \u201C${String(a.value)}\u201D; it may be ${p.options.map((o) => o.value).join(", ")}.`
            }
          )
        );
        break;
      case "flag":
        on(IsBoolean2({ message: `${p.label} is either true or false.` }));
        break;
      case "section":
        on(
          Matches3(/^\d+(\.\d+)?×\d+(\.\d+)?$/, {
            message: (a) => `${p.label} is \u201C${String(a.value)}\u201D; write a nominal size in inches such as 12\xD712.`
          })
        );
    }
  }
  return Dto;
}
var show = (p, v) => typeof v === "number" && Number.isFinite(v) ? printParam(p, v) : `\u201C${String(v)}\u201D`;
var isPoints = (v) => Array.isArray(v) && v.every(
  (q, i) => Array.isArray(q) && q.length === 2 && q.every((n) => typeof n === "number" && Number.isFinite(n) && Math.abs(n) <= 1e8) && (i === 0 || q[0] > v[i - 1][0])
);

// core/structures/timber.ts
function timberOf(name, m, flat2 = false) {
  let made = known3.get(m);
  if (!made) known3.set(m, made = /* @__PURE__ */ new Map());
  const key = flat2 ? `${name} flat` : name;
  let timber = made.get(key);
  if (!timber) made.set(key, timber = makeTimber(name, m, flat2));
  return timber;
}
var known3 = /* @__PURE__ */ new WeakMap();
function makeTimber(name, m, flat2) {
  const n = parseNominal(name);
  const nominal2 = [n.thickness, n.width];
  if (n.round) {
    const d = m.section.width;
    return { v: d, w: d, components: single(d, d, m.item.id), nominal: nominal2, round: m.item.id };
  }
  const [v, w] = flat2 ? [m.section.thickness, m.section.width] : [m.section.width, m.section.thickness];
  const doubled = 2 * (m.along === "thickness" ? m.item.thickness : m.item.width);
  const split = Math.abs(w - doubled) < 1e-9 ? "w" : "v";
  const components = m.plies === 1 ? single(v, w, m.item.id) : laminated(v, w, 2, split, m.item.id);
  return { v, w, components, nominal: nominal2 };
}

// core/structures/traced/parameters.ts
import { Type as Type2 } from "class-transformer";
import {
  ArrayMaxSize as ArrayMaxSize4,
  ArrayMinSize as ArrayMinSize4,
  IsArray as IsArray4,
  IsBoolean as IsBoolean3,
  IsIn as IsIn3,
  IsInt as IsInt3,
  IsNumber as IsNumber4,
  IsOptional as IsOptional2,
  Max as Max3,
  Min as Min3,
  ValidateNested as ValidateNested3
} from "class-validator";
var FAR = 1e6;
var TraceEnd = class {
};
__decorateClass([
  IsIn3(["square", "plumb", "level"])
], TraceEnd.prototype, "kind", 2);
__decorateClass([
  IsNumber4(finite),
  Min3(-FAR),
  Max3(FAR)
], TraceEnd.prototype, "beyond", 2);
var Trace = class {
};
__decorateClass([
  id()
], Trace.prototype, "id", 2);
__decorateClass([
  text2(40)
], Trace.prototype, "role", 2);
__decorateClass([
  nominalSize()
], Trace.prototype, "section", 2);
__decorateClass([
  point()
], Trace.prototype, "from", 2);
__decorateClass([
  point()
], Trace.prototype, "to", 2);
__decorateClass([
  IsIn3(["centre", "left", "right"])
], Trace.prototype, "seat", 2);
__decorateClass([
  IsBoolean3()
], Trace.prototype, "flat", 2);
__decorateClass([
  IsIn3(["near", "middle", "far"])
], Trace.prototype, "layer", 2);
__decorateClass([
  IsInt3(),
  Min3(-1e3),
  Max3(1e3)
], Trace.prototype, "order", 2);
__decorateClass([
  IsArray4(),
  ArrayMinSize4(2),
  ArrayMaxSize4(2),
  ValidateNested3({ each: true }),
  Type2(() => TraceEnd)
], Trace.prototype, "ends", 2);
var JOINTS = ["none", "butt", "mitre", "notch", "halved", "lap"];
var TraceJoint = class {
};
__decorateClass([
  id()
], TraceJoint.prototype, "a", 2);
__decorateClass([
  id()
], TraceJoint.prototype, "b", 2);
__decorateClass([
  IsIn3(JOINTS)
], TraceJoint.prototype, "kind", 2);
__decorateClass([
  IsOptional2(),
  IsNumber4(finite),
  Min3(0),
  Max3(1e3)
], TraceJoint.prototype, "depth", 2);
var TraceCross = class {
};
__decorateClass([
  id()
], TraceCross.prototype, "id", 2);
__decorateClass([
  text2(40)
], TraceCross.prototype, "role", 2);
__decorateClass([
  nominalSize()
], TraceCross.prototype, "section", 2);
__decorateClass([
  IsBoolean3()
], TraceCross.prototype, "flat", 2);
__decorateClass([
  id()
], TraceCross.prototype, "on", 2);
__decorateClass([
  IsNumber4(finite),
  Min3(-FAR),
  Max3(FAR)
], TraceCross.prototype, "at", 2);
__decorateClass([
  IsIn3(["through", "between"])
], TraceCross.prototype, "run", 2);
__decorateClass([
  IsIn3(["left", "right"])
], TraceCross.prototype, "side", 2);
__decorateClass([
  IsNumber4(finite),
  Min3(-FAR),
  Max3(FAR)
], TraceCross.prototype, "overhang", 2);
var TracedParams = class {
};
__decorateClass([
  many(2e3),
  Type2(() => Trace)
], TracedParams.prototype, "members", 2);
__decorateClass([
  many(4e3),
  Type2(() => TraceJoint)
], TracedParams.prototype, "joints", 2);
__decorateClass([
  many(1e3),
  Type2(() => TraceCross)
], TracedParams.prototype, "crosses", 2);
__decorateClass([
  IsArray4(),
  ArrayMinSize4(1),
  ArrayMaxSize4(200),
  IsNumber4(finite, { each: true })
], TracedParams.prototype, "places", 2);
__decorateClass([
  IsOptional2(),
  IsNumber4(finite)
], TracedParams.prototype, "mirror", 2);

// core/structures/traced/meeting.ts
var PARALLEL = Math.sin(8 * Math.PI / 180);

// core/structures/trestle/parameters.ts
var outline = "Outline";
var posts = "Posts";
var stories = "Stories";
var sway = "Sway braces";
var timbers = "Timbers";
var span = (min, max, usual) => ({ min, max, usual });
var byLengthOrOverhang = [
  { value: "length", label: "by its length" },
  { value: "overhang", label: "by its overhang" }
];
var bentSpec = {
  height: length2({
    group: outline,
    label: "Height, top of cap to foot of sill",
    def: feet(21),
    ...span(feet(5), feet(90), [feet(8), feet(60)]),
    help: "Everything hangs from the top of the cap, which stays where it is."
  }),
  posts: count({
    group: posts,
    label: "Posts",
    def: 4,
    min: 2,
    max: 6,
    help: "Two to six; an odd one stands plumb in the middle."
  }),
  spacings: list({
    group: posts,
    label: "Post spacing at the cap",
    labels: ["Spacing at the middle", "Spacing to the next pair", "Spacing to the outer pair"],
    of: length2({
      group: posts,
      label: "Post spacing",
      def: feet(3, 5),
      ...span(feet(1), feet(14), [feet(2), feet(6)]),
      help: "Centre to centre along the underside of the cap; with an odd number the middle one is from the middle post."
    }),
    defs: [feet(4, 2), feet(3, 5), feet(3)],
    help: "From the middle outwards."
  }),
  batters: list({
    group: posts,
    label: "Batter",
    labels: ["Batter of the outer posts", "Batter of the second pair", "Batter of the third pair"],
    of: batter({
      group: posts,
      label: "Batter",
      def: 2.5,
      min: 0,
      max: 6,
      usual: [0, 3],
      help: "Inches of lean for each foot of height; 2 to 3 for outer posts, inner ones plumb or nearly so."
    }),
    defs: [2.5, 0.5, 0],
    help: "From the outside inwards."
  }),
  capSet: choice({
    group: outline,
    label: "Cap is set",
    def: "length",
    options: byLengthOrOverhang,
    help: "Give its length, or how far it runs past the outer posts."
  }),
  capLength: length2({
    group: outline,
    label: "Cap length",
    def: feet(14),
    ...span(feet(4), feet(50), [feet(10), feet(30)]),
    help: "End to end."
  }),
  capOverhang: length2({
    group: outline,
    label: "Cap overhang",
    def: feet(1),
    ...span(feet(0), feet(6), [inches(4), feet(2, 6)]),
    help: "From the outer edge of the outer post, at the underside of the cap, to the end of the cap."
  }),
  sillSet: choice({
    group: outline,
    label: "Sill is set",
    def: "overhang",
    options: byLengthOrOverhang,
    help: "Give its length, or how far it runs past the outer posts."
  }),
  sillLength: length2({
    group: outline,
    label: "Sill length",
    def: feet(24),
    ...span(feet(4), feet(120), [feet(10), feet(60)]),
    help: "End to end."
  }),
  sillOverhang: length2({
    group: outline,
    label: "Sill overhang",
    def: feet(1),
    ...span(feet(0), feet(6), [inches(4), feet(3)]),
    help: "From the outer edge of the outer post, at the top of the sill, to the end of the sill."
  }),
  stories: count({
    group: stories,
    label: "Stories",
    def: 2,
    min: 1,
    max: 4,
    help: "Tall bents are built in stories of about 15 to 25 ft; models often take less."
  }),
  storyHeights: list({
    group: stories,
    label: "Story height",
    labels: ["Top story", "Second story", "Third story"],
    of: length2({
      group: stories,
      label: "Story height",
      def: feet(10),
      ...span(feet(4), feet(40), [feet(8), feet(25)]),
      help: "From the top of the cap, or the story line above, to the centre of the next horizontal. The lowest story takes the rest."
    }),
    defs: [feet(10, 2), feet(15), feet(15)],
    help: "From the top down."
  }),
  between: choice({
    group: stories,
    label: "Between stories",
    def: "solid",
    options: [
      { value: "solid", label: "solid sill, posts cut" },
      { value: "sash", label: "sash braces, posts through" },
      { value: "both", label: "solid sill and sash braces" }
    ],
    help: "Posts cut story by story on a solid sill, or running through with sash braces bolted on both faces, or solid sills with a thinner pair on their faces."
  }),
  levelOverhang: length2({
    group: stories,
    label: "Overhang of the horizontals",
    def: inches(9),
    ...span(feet(0), feet(4), [inches(2), feet(2)]),
    help: "How far solid sills and sash braces run past the outer posts."
  }),
  sway: flag({
    group: sway,
    label: "Sway braces",
    def: true,
    help: "One on each face in every story, crossing each other."
  }),
  swayTop: length2({
    group: sway,
    label: "Brace clear of what is above",
    def: inches(4),
    ...span(feet(0), feet(8), [feet(0), feet(3)]),
    help: "From the underside of the cap or horizontal to the highest corner of the brace."
  }),
  swayBottom: length2({
    group: sway,
    label: "Brace clear of what is below",
    def: inches(4),
    ...span(feet(0), feet(8), [feet(0), feet(3)]),
    help: "From the top of the sill or horizontal to the lowest corner of the brace."
  }),
  swayEnd: choice({
    group: sway,
    label: "Brace ends",
    def: "square",
    options: [
      { value: "square", label: "square, past the post" },
      { value: "flush", label: "flush with the post" }
    ],
    help: "Cut square beyond the post, or trimmed along its outer edge."
  }),
  swayBeyond: length2({
    group: sway,
    label: "Brace past the post",
    def: inches(2),
    ...span(feet(0), feet(3), [feet(0), feet(1)]),
    help: "How far a square end runs past the whole crossing."
  }),
  cap: section({ group: timbers, label: "Cap", def: "12\xD714", help: "Nominal inches; the larger side stands upright." }),
  post: section({
    group: timbers,
    label: "Posts",
    def: "12\xD712",
    help: "Nominal inches; the larger side lies along the bent."
  }),
  sill: section({
    group: timbers,
    label: "Sill",
    def: "12\xD712",
    help: "Nominal inches; the larger side stands upright."
  }),
  middleSill: section({
    group: timbers,
    label: "Sills between stories",
    def: "12\xD712",
    help: "Nominal inches; the larger side stands upright."
  }),
  sash: section({
    group: timbers,
    label: "Sash braces",
    def: "3\xD710",
    help: "Nominal inches; the smaller side is the thickness on the face."
  }),
  swayBrace: section({
    group: timbers,
    label: "Sway braces",
    def: "3\xD710",
    help: "Nominal inches; the smaller side is the thickness on the face."
  })
};
var BentParams = class extends dto(bentSpec) {
};

// core/structures/trestle/layout.ts
var MILLING = "full-sawn";
function nominalMm(name) {
  const n = parseNominal(name);
  if (!n) throw new Error(`\u201C${name}\u201D is no nominal size; write one such as 12\xD712.`);
  return sectionOf(n, MILLING);
}
var postAt = (p, z, capUnder) => p.yTop + p.lean * (capUnder - z);
function bentLayout(v) {
  let made = known4.get(v);
  if (!made) known4.set(v, made = makeLayout(v));
  return made;
}
var known4 = /* @__PURE__ */ new WeakMap();
function makeLayout(v) {
  const capUnder = -nominalMm(v.cap).width;
  const sillFoot = -v.height;
  const sillTop = sillFoot + nominalMm(v.sill).width;
  const pairs2 = Math.floor(v.posts / 2);
  const odd = v.posts % 2 === 1;
  const posts2 = odd ? [{ name: "C", side: 0, yTop: 0, lean: 0, pair: void 0 }] : [];
  let y = 0;
  for (let k = 0; k < pairs2; k++) {
    y += k === 0 && !odd ? v.spacings[0] / 2 : v.spacings[k];
    const pair = pairs2 - 1 - k;
    const lean = v.batters[pair] / 12;
    posts2.unshift({ name: `L${k + 1}`, side: -1, yTop: -y, lean: -lean, pair });
    posts2.push({ name: `R${k + 1}`, side: 1, yTop: y, lean, pair });
  }
  const outer = posts2[posts2.length - 1];
  const outerHalf = nominalMm(v.post).width / 2 * Math.hypot(1, outer.lean);
  let z = 0;
  const levels = Array.from({ length: v.stories - 1 }, (_, i) => z -= v.storyHeights[i]);
  const edge = (at) => postAt(outer, at, capUnder) + outerHalf;
  return {
    capTop: 0,
    capUnder,
    sillTop,
    sillFoot,
    posts: posts2,
    levels,
    capHalf: v.capSet === "length" ? v.capLength / 2 : edge(capUnder) + v.capOverhang,
    sillHalf: v.sillSet === "length" ? v.sillLength / 2 : edge(sillTop) + v.sillOverhang,
    levelHalves: levels.map((l) => edge(l - nominalMm(v.middleSill).width / 2) + v.levelOverhang),
    outerHalf
  };
}

// core/structures/trestle/sway.ts
function endHeights(brace, post, rule, outward) {
  const [cy, cz] = brace.dir;
  const n = [-cz, cy];
  const heights = [];
  let reach = -Infinity;
  for (const side of [-1, 1])
    for (const edge of [-1, 1]) {
      const p = [brace.at[0] + n[0] * side * brace.half, brace.at[1] + n[1] * side * brace.half];
      const q = [post.at[0] - post.dir[1] * edge * post.half, post.at[1] + post.dir[0] * edge * post.half];
      const det = cy * -post.dir[1] + post.dir[0] * cz;
      const t = ((q[0] - p[0]) * -post.dir[1] + post.dir[0] * (q[1] - p[1])) / det;
      heights.push(p[1] + cz * t);
      const along2 = (p[0] + cy * t - brace.at[0]) * cy + (p[1] + cz * t - brace.at[1]) * cz;
      reach = Math.max(reach, along2 * outward);
    }
  if (rule.finish === "square")
    for (const side of [-1, 1])
      heights.push(brace.at[1] + n[1] * side * brace.half + cz * outward * (reach + rule.beyond));
  return heights;
}
var STEPS = 60;
var CLOSE = 1e-10;
function placeSway(left, right, half, top, foot2, rule) {
  const on = (p, z) => [p.at[0] + p.dir[0] / p.dir[1] * (z - p.at[1]), z];
  const past = (zt2, zf2) => {
    const [a, b] = [on(left, zt2), on(right, zf2)];
    const l = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const brace = { at: a, dir: [(b[0] - a[0]) / l, (b[1] - a[1]) / l], half };
    return [
      Math.max(...endHeights(brace, left, rule, -1)) - top,
      Math.min(...endHeights(brace, right, rule, 1)) - foot2
    ];
  };
  const size = Math.max(1, top - foot2);
  let [zt, zf] = [top - half, foot2 + half];
  for (let i = 0; i < STEPS; i++) {
    const [t, f] = past(zt, zf);
    if (Math.abs(t) + Math.abs(f) < CLOSE * size) return zt - zf > half ? [on(left, zt), on(right, zf)] : void 0;
    const h = 1e-6 * size;
    const [byTop, byFoot] = [past(zt + h, zf), past(zt, zf + h)];
    const [a, b, c, d] = [(byTop[0] - t) / h, (byFoot[0] - t) / h, (byTop[1] - f) / h, (byFoot[1] - f) / h];
    const det = a * d - b * c;
    if (!(Math.abs(det) > 1e-9)) return void 0;
    const limit = (step) => Math.max(-size / 4, Math.min(size / 4, step));
    zt -= limit((d * t - b * f) / det);
    zf -= limit((a * f - c * t) / det);
    if (!(zt > zf)) return void 0;
  }
  return void 0;
}

// core/structures/trestle/frame.ts
var SQUARE = [
  { kind: "square", beyond: 0 },
  { kind: "square", beyond: 0 }
];
var CUT_BY_JOINTS = [void 0, void 0];
var same = (p) => p;
var ownSite = (structure) => ({
  root: `${structure}/bent`,
  place: same,
  turn: same,
  capTilt: 0,
  lowestSwayLift: 0,
  lowStoriesBare: false
});
function bentFrame(v, ctx, site = ownSite(ctx.structure)) {
  const lay = bentLayout(v);
  const mm = (n) => toModel(ctx.scale, prototype(n));
  const { root, place, turn } = site;
  const members = [];
  const joints = [];
  const timber = (name) => timberOf(name, ctx.stock(name));
  const put = (s) => {
    members.push({
      id: s.id,
      structure: ctx.structure,
      assembly: root,
      role: s.role,
      letter: s.letter,
      kind: s.round ? "round" : "strip",
      nominal: s.timber.nominal,
      body: s.round ? { shape: "round", a: place(s.a), b: place(s.b), up: turn(s.up), ...s.round } : {
        shape: "straight",
        a: place(s.a),
        b: place(s.b),
        up: turn(s.up),
        seat: s.seat,
        components: s.timber.components
      },
      ends: s.ends ?? CUT_BY_JOINTS,
      ...s.spliceOver ? { spliceOver: s.spliceOver } : {}
    });
  };
  const join = (j) => void joints.push(j);
  const level = (id2, role, letter, t, half, z, seat, tilt = 0) => put({
    id: id2,
    role,
    letter,
    timber: t,
    a: [0, -mm(half) * Math.cos(tilt), mm(z) - mm(half) * Math.sin(tilt)],
    b: [0, mm(half) * Math.cos(tilt), mm(z) + mm(half) * Math.sin(tilt)],
    up: [0, -Math.sin(tilt), Math.cos(tilt)],
    seat: [seat, "centre"],
    ends: SQUARE,
    spliceOver: lay.posts.map((p) => mm(half + postAt(p, z, lay.capUnder)))
  });
  const cap = timber(v.cap);
  const sill = timber(v.sill);
  const post = timber(v.post);
  const middle = timber(v.middleSill);
  const sash = timber(v.sash);
  const solid = v.between !== "sash";
  const postThick = site.pile?.diameter ?? post.w;
  const postHalf = (site.pile?.diameter ?? post.v) / 2;
  level(`${root}/cap`, "cap", "C", cap, lay.capHalf, lay.capTop, "+", site.capTilt);
  if (!site.ground) level(`${root}/sill`, "sill", "S", sill, lay.sillHalf, lay.sillFoot, "-");
  if (solid)
    lay.levels.forEach(
      (z, i) => level(`${root}/level${i + 1}/sill`, "intermediate sill", "M", middle, lay.levelHalves[i], z, "centre")
    );
  const tops = [`${root}/cap`, ...solid ? lay.levels.map((_, i) => `${root}/level${i + 1}/sill`) : []];
  const feet2 = [...tops.slice(1), `${root}/sill`];
  const zTops = [lay.capUnder, ...solid ? lay.levels : []];
  const zFeet = [...zTops.slice(1), lay.sillTop];
  const through = !solid || lay.levels.length === 0;
  const postId = (p, story) => through ? `${root}/post/${p.name}` : `${root}/story${story + 1}/post/${p.name}`;
  tops.forEach(
    (top, s) => lay.posts.forEach((p) => {
      const id2 = postId(p, s);
      const at = (z) => [0, mm(postAt(p, z, lay.capUnder)), mm(z)];
      const onGround = site.ground && s === tops.length - 1 ? site.ground(mm(postAt(p, zFeet[s], lay.capUnder))) : void 0;
      const role = site.ground ? "pile" : p.lean === 0 ? "plumb post" : "batter post";
      put({
        id: id2,
        role,
        letter: site.ground ? "Q" : "P",
        timber: post,
        ...site.pile ? { round: site.pile } : {},
        ...onGround === void 0 ? {} : { ends: [{ kind: "level", beyond: 0 }, void 0] },
        a: onGround === void 0 ? at(zFeet[s]) : onLine(p, onGround),
        b: at(zTops[s]),
        up: [0, -1, 0],
        seat: ["centre", "centre"]
      });
      join({ kind: "butt", id: `${id2}>head`, a: id2, end: 1, b: top, face: "-v", contact: "face", remedy: PROUD });
      if (onGround === void 0)
        join({
          kind: "butt",
          id: `${id2}>foot`,
          a: id2,
          end: 0,
          b: feet2[s],
          face: "+v",
          contact: "face",
          remedy: PROUD
        });
    })
  );
  function onLine(p, z) {
    return [0, mm(p.yTop) + p.lean * (mm(lay.capUnder) - z), z];
  }
  const lapContact = site.pile ? "line" : "face";
  const faces = [
    { name: "front", x: 1, own: "-w", other: "+w", seat: "-" },
    { name: "back", x: -1, own: "+w", other: "-w", seat: "+" }
  ];
  const outer = [lay.posts[0], lay.posts[lay.posts.length - 1]];
  const lapOnPosts = (id2, f, story, end, beyond2) => lay.posts.forEach((p) => {
    const at = p === outer[0] ? 0 : p === outer[1] ? 1 : void 0;
    const past = at === 0 ? "+v" : "-v";
    const finish = at === void 0 ? {} : { finish: { end: at, finish: end, beyond: end === "flush" ? 0 : mm(beyond2), past } };
    join({
      kind: "lap",
      id: `${id2}>${p.name}`,
      a: id2,
      b: postId(p, story),
      aFace: f.own,
      bFace: f.other,
      contact: lapContact,
      ...finish
    });
  });
  if (v.between !== "solid")
    lay.levels.forEach(
      (z, i) => faces.forEach((f) => {
        const id2 = `${root}/level${i + 1}/sash/${f.name}`;
        const on = solid ? middle : post;
        const x = f.x * (on === post ? postThick : on.w) / 2;
        const half = mm(lay.levelHalves[i]);
        put({
          id: id2,
          role: "sash brace",
          letter: "H",
          timber: sash,
          a: [x, -half, mm(z)],
          b: [x, half, mm(z)],
          up: [0, 0, 1],
          seat: ["centre", f.seat],
          ...solid ? { ends: SQUARE } : {}
        });
        if (solid)
          join({
            kind: "lap",
            id: `${id2}>sill`,
            a: id2,
            b: `${root}/level${i + 1}/sill`,
            aFace: f.own,
            bFace: f.other,
            contact: "face"
          });
        else lapOnPosts(id2, f, 0, "square", v.levelOverhang);
      })
    );
  if (v.sway) {
    const brace = timber(v.swayBrace);
    const horizontal = (solid ? middle.v : sash.v) / 2;
    const reach = Math.abs(postAt(outer[1], lay.capUnder, lay.capUnder)) + lay.outerHalf;
    const sunk = mm(reach) * Math.tan(Math.abs(site.capTilt));
    const above = [
      mm(lay.capTop) - cap.v / Math.cos(site.capTilt) - sunk,
      ...lay.levels.map((z) => mm(z) - horizontal)
    ];
    const below2 = [
      ...lay.levels.map((z) => mm(z) + horizontal),
      (site.ground ? Math.max(...outer.map((p) => onGroundOf(p))) : mm(lay.sillFoot) + sill.v) + site.lowestSwayLift
    ];
    above.forEach(
      (zTop, s) => faces.forEach((f) => {
        const id2 = `${root}/story${s + 1}/sway/${f.name}`;
        const work = swayLine(v, lay, mm, postHalf, brace.v / 2, zTop, below2[s]);
        if (!work && site.lowStoriesBare) return;
        if (!work) throw new Error(tooLow(s));
        const [l, r] = f.x === 1 ? work : [[-work[1][0], work[1][1]], [-work[0][0], work[0][1]]];
        const x = f.x * postThick / 2;
        put({
          id: id2,
          role: "sway brace",
          letter: "B",
          timber: brace,
          a: [x, l[0], l[1]],
          b: [x, r[0], r[1]],
          up: [0, 0, 1],
          seat: ["centre", f.seat]
        });
        lapOnPosts(id2, f, solid ? s : 0, v.swayEnd === "flush" ? "flush" : "square", v.swayBeyond);
      })
    );
  }
  return { members, joints, nodes: [], datums: {} };
  function onGroundOf(p) {
    return site.ground(mm(postAt(p, lay.sillTop, lay.capUnder)));
  }
}
var PROUD = "Choose a stick as thick as the post for what it stands on, or shave the post flush.";
var tooLow = (story) => `Story ${story + 1} has no room for its sway braces: make it higher or its posts wider apart, give the braces less clearance, or leave them off.`;
function swayLine(v, lay, mm, postHalf, half, top, foot2) {
  const band = (p) => {
    const l = Math.hypot(1, p.lean);
    return { at: [mm(p.yTop), mm(lay.capUnder)], dir: [-p.lean / l, 1 / l], half: postHalf };
  };
  const rule = { finish: v.swayEnd === "flush" ? "flush" : "square", beyond: mm(v.swayBeyond) };
  const [left, right] = [band(lay.posts[0]), band(lay.posts[lay.posts.length - 1])];
  return placeSway(left, right, half, top - mm(v.swayTop), foot2 + mm(v.swayBottom), rule);
}

// core/structures/whole-trestle/alignment.ts
var radiusOfDegree = (degree) => 50 / Math.sin(degree * Math.PI / 360);
function placeAt(a, station) {
  const mid = fromStart(a, a.length / 2);
  const p = fromStart(a, station);
  const [c, s] = [Math.cos(-mid.heading), Math.sin(-mid.heading)];
  const [dx, dy] = [p.x - mid.x, p.y - mid.y];
  const heading = p.heading - mid.heading;
  return {
    at: [dx * c - dy * s, dx * s + dy * c, a.grade * station],
    heading,
    along: [Math.cos(heading), Math.sin(heading), 0],
    left: [-Math.sin(heading), Math.cos(heading), 0]
  };
}
function fromStart(a, station) {
  const [from, to] = a.curve;
  const k = a.curvature;
  if (k === 0 || to <= from || station <= from) return { x: station, y: 0, heading: 0 };
  const on = Math.min(station, to) - from;
  const heading = k * on;
  const x = from + Math.sin(heading) / k;
  const y = (1 - Math.cos(heading)) / k;
  const past = Math.max(0, station - to);
  return { x: x + past * Math.cos(heading), y: y + past * Math.sin(heading), heading };
}

// core/structures/whole-trestle/layout.ts
var HEAD = inches(2.5);
var LEAST_SHIM = inches(1);
var LEAST_POST = feet(1);
function radiusOf(v, ratio) {
  if (v.curve === "none") return void 0;
  if (v.curve === "model") return v.modelRadius * ratio;
  return v.curve === "radius" ? v.radius : feet(radiusOfDegree(v.degree));
}
function stationsOf(v) {
  if (v.bentSet === "each") return v.bays.reduce((s, b) => [...s, s[s.length - 1] + b], [0]);
  const bays = Math.max(1, Math.ceil(v.length / v.spacing - 0.5 - 1e-9));
  return Array.from({ length: bays + 1 }, (_, i) => i === bays ? v.length : i * v.spacing);
}
function groundAt(profile, station) {
  if (profile.length === 0) return 0;
  const i = profile.findIndex((p2) => p2[0] >= station);
  if (i === 0) return profile[0][1];
  if (i < 0) return profile[profile.length - 1][1];
  const [p, q] = [profile[i - 1], profile[i]];
  return p[1] + (q[1] - p[1]) * (station - p[0]) / (q[0] - p[0]);
}
function storyLines(v, height) {
  const out = [];
  for (let line2 = v.topStory; height - line2 >= v.leastStory - 1e-9; line2 += v.story) out.push(line2);
  return out;
}
function bentValues(v, height) {
  const lines = storyLines(v, height);
  const post = v.bentKind === "pile" ? pileStrip(v.pileSize) : v.post;
  return {
    ...v,
    post,
    height: prototype(height),
    stories: lines.length + 1,
    storyHeights: lines.map((l, i) => l - (lines[i - 1] ?? 0)),
    ...v.bentKind === "pile" && v.between !== "sash" ? { between: "sash" } : {}
  };
}
function pileStrip(name) {
  const n = parseNominal(name);
  return n?.round ? `${n.thickness}\xD7${n.thickness}` : name;
}
function trestleLayout(v, ctx) {
  const mm = (n2) => toModel(ctx.scale, prototype(n2));
  const timber = (name, flat2 = false) => timberOf(name, ctx.stock(name), flat2);
  const stations = stationsOf(v);
  const length3 = stations[stations.length - 1];
  const radius = radiusOf(v, ctx.scale.ratio);
  const curvature = radius === void 0 ? 0 : (v.hand === "left" ? 1 : -1) / mm(radius);
  const alignment2 = {
    length: mm(length3),
    curve: radius === void 0 ? [0, 0] : [mm(v.tangentStart), mm(length3 - v.tangentEnd)],
    curvature,
    grade: v.grade / 100
  };
  const ply = timber(v.stringer, true);
  const laminated2 = curvature !== 0 && v.stringerSet === "laminated";
  const n = parseNominal(v.stringer);
  const strip = laminated2 ? timber(`${Number((n.thickness * v.plies / v.laminations).toFixed(3))}\xD7${n.width}`, true) : ply;
  const strips = laminated2 ? v.laminations : v.plies;
  const timbers2 = {
    tie: timber(v.tie),
    ply,
    cap: timber(v.cap),
    corbel: timber(v.corbel, true),
    guard: timber(v.guard)
  };
  const packWidth = strips * strip.v;
  const rail = mm(v.gauge + HEAD);
  const tracks = Array.from({ length: v.tracks }, (_, t) => (t - (v.tracks - 1) / 2) * mm(v.trackCentres));
  const packs = tracks.flatMap(
    (at, t) => [-1, 1].map((side) => ({
      name: `track${t + 1}/${side < 0 ? "right" : "left"}`,
      track: t,
      side,
      y: at + side * rail / 2
    }))
  );
  const cant = curvature === 0 ? 0 : -Math.sign(curvature) * Math.asin(Math.min(0.9, mm(v.superelevation) / rail));
  const deckAt = (i) => {
    const station = mm(stations[i]);
    const straight = placeAt(alignment2, station);
    const skew = (i === 0 ? v.skewStart : i === stations.length - 1 ? v.skewEnd : 0) * Math.PI / 180;
    const place = skew === 0 ? straight : turned(straight, skew);
    return { station, skew, place, ...canted(place, cant, skew, alignment2.grade), deck: straight.at };
  };
  const decks = stations.map((_, i) => deckAt(i));
  const base2 = { alignment: alignment2, packs, tracks, packWidth, cant, timbers: timbers2, strip, strips, laminated: laminated2, mm };
  const bents2 = decks.map((d, i) => {
    const corbelled = v.corbels;
    const shimmed = v.superBy === "shims" && cant !== 0;
    const slope = corbelled || shimmed ? alignment2.grade : 0;
    const half = corbelled ? mm(v.corbelLength) / 2 : timbers2.cap.w / 2;
    const heights = packs.map(
      (p) => undersides(base2, decks, i, p, half, slope, corbelled ? placeAt(alignment2, d.station).along : d.place.along)
    );
    const seatAt = (h, height2) => ({
      height: height2,
      flush: height2 - Math.min(...h) < 1e-4,
      dap: [0, 1].map((k) => height2 - Math.min(...h.filter((_, n2) => n2 % 2 === k)))
    });
    const seats = heights.map((h) => seatAt(h, Math.max(...h)));
    const high = Math.max(...seats.map((q) => q.height));
    const low = Math.min(...heights.flat());
    const uphill = (timbers2.cap.w / 2 / Math.cos(d.skew) + timbers2.corbel.v / 2 * Math.abs(Math.tan(d.skew))) * Math.abs(slope);
    const edges = packs.flatMap((p) => [-1, 1].map((k) => (p.y + k * packWidth / 2) * Math.sin(cant)));
    const cap = shimmed ? [d.deck[0], d.deck[1], d.deck[2] + Math.min(...edges) + low * Math.cos(cant) - uphill - mm(LEAST_SHIM)] : addScaled(
      d.deck,
      d.up,
      corbelled ? Math.max(...seats.map((q) => q.height)) - timbers2.corbel.w * Math.hypot(1, slope) + uphill : high
    );
    const { height, groundZ, footZ } = heightAt(
      v,
      i,
      stations[i],
      cap[2],
      mm,
      (m) => toPrototype(ctx.scale, model(m))
    );
    return {
      number: i + 1,
      station: d.station,
      place: d.place,
      across: d.across,
      up: d.up,
      deck: d.deck,
      cap,
      capTilt: v.superBy === "tilt" ? Math.atan(Math.tan(cant) * Math.cos(d.skew)) : 0,
      seats: corbelled || shimmed ? seats : heights.map((h) => seatAt(h, high)),
      values: bentValues(v, height),
      footZ,
      groundZ
    };
  });
  return { ...base2, bents: bents2 };
}
var turned = (p, by) => {
  const heading = p.heading + by;
  return {
    at: p.at,
    heading,
    along: [Math.cos(heading), Math.sin(heading), 0],
    left: [-Math.sin(heading), Math.cos(heading), 0]
  };
};
function canted(p, cant, skew, grade) {
  const k = 1 / Math.cos(skew);
  const [c, s] = [Math.cos(cant), Math.sin(cant)];
  const level = normalize([p.left[0] * c * k, p.left[1] * c * k, s]);
  const across = [p.left[0] * c * k, p.left[1] * c * k, s - grade * c * Math.tan(skew)];
  return { across, up: normalize(cross(p.along, level)) };
}
function topAt(l, d, y, above = 0) {
  const drop = (l.timbers.tie.v - above) * Math.hypot(1, l.alignment.grade);
  return addScaled(addScaled(d.deck, d.across, y), d.up, -drop);
}
function topOnRun(l, station, y, above = 0) {
  const p = placeAt(l.alignment, station);
  return topAt(l, { deck: p.at, ...canted(p, l.cant, 0, l.alignment.grade) }, y, above);
}
function bayLine(l, from, to, y, above = 0) {
  const [a, b] = [topAt(l, from, y, above), topAt(l, to, y, above)];
  const d = normalize(sub(b, a));
  const mean = [0, 1, 2].map((k) => from.across[k] + to.across[k]);
  const left = normalize(addScaled(mean, d, -dot(mean, d)));
  return { a, b, d, left, up: cross(d, left) };
}
function undersides(l, decks, i, pack, half, slope, way) {
  const at = decks[i];
  const out = [];
  const level = (p) => {
    const r = sub(p, at.deck);
    out.push(dot(r, at.up) - slope * dot(r, way));
  };
  const [before, after] = [i > 0, i < decks.length - 1];
  for (const dy of [-0.5, 0.5])
    for (const x of [0, half])
      for (const sign of [-1, 1]) {
        const ds = sign * x;
        if (l.laminated) {
          const y = pack.y + dy * l.packWidth;
          const steep = l.alignment.grade / (1 - y * l.alignment.curvature);
          const p2 = placeAt(l.alignment, at.station + ds);
          const c = canted(p2, l.cant, 0, l.alignment.grade);
          level(addScaled(topAt(l, { deck: p2.at, ...c }, y), c.up, -l.strip.w * Math.hypot(1, steep)));
          continue;
        }
        const k = sign < 0 && before || !after ? i - 1 : i;
        const line2 = bayLine(l, decks[k], decks[k + 1], pack.y);
        const p = addScaled(addScaled(line2.a, line2.left, dy * l.packWidth), line2.up, -l.strip.w);
        level(addScaled(p, line2.d, (ds - dot(sub(p, at.deck), way)) / dot(line2.d, way)));
      }
  return out;
}
function heightAt(v, i, station, capZ, mm, proto) {
  const under = footingHeight(v);
  if (v.groundBy === "heights") {
    const height2 = v.heights[Math.min(i, v.heights.length - 1)] ?? feet(21);
    const footZ = capZ - mm(height2);
    return { height: height2, footZ, groundZ: footZ - mm(under) };
  }
  const ground2 = groundAt(v.profile, station);
  let height = proto(capZ) - ground2 - under;
  if (v.bentKind === "framed" && v.crossfall !== 0)
    for (let k = 0; k < 6; k++) {
      const lay = bentLayout(bentValues(v, Math.max(height, feet(4))));
      const reach = Math.abs(postAt(lay.posts[lay.posts.length - 1], lay.sillTop, lay.capUnder));
      height = proto(capZ) - ground2 - reach * Math.abs(v.crossfall) / 100 - under;
    }
  return { height, footZ: capZ - mm(height), groundZ: mm(ground2) };
}
function footingHeight(v) {
  if (v.bentKind === "pile" || v.footing === "none") return 0;
  if (v.footing === "pedestal") return v.pedestalLeast;
  return inches(parseNominal(v.mudsill)?.thickness ?? 12);
}

// core/structures/whole-trestle/parameters.ts
var alignment = "Alignment";
var bents = "Bents";
var ground = "Ground and footings";
var bracing = "Bracing along the track";
var stringers = "Stringers";
var deck = "Ties and deck";
var span2 = (min, max, usual) => ({ min, max, usual });
var below = (n) => prototype(-n);
var { height: _height, stories: _stories, storyHeights: _storyHeights, ...bent } = bentSpec;
var trestleSpec = {
  length: length2({
    group: alignment,
    label: "Length, first bent to last",
    def: feet(180),
    ...span2(feet(10), feet(5e3), [feet(20), feet(1500)]),
    help: "Along the centre line of the track."
  }),
  curve: choice({
    group: alignment,
    label: "Curve is set",
    def: "none",
    options: [
      { value: "none", label: "straight" },
      { value: "model", label: "by its model radius" },
      { value: "radius", label: "by its prototype radius" },
      { value: "degree", label: "by its degree" }
    ],
    help: "A degree of curve is the angle that a 100 ft chord subtends."
  }),
  hand: choice({
    group: alignment,
    label: "Curve to the",
    def: "left",
    options: [
      { value: "left", label: "left" },
      { value: "right", label: "right" }
    ],
    help: "Seen from the first bent along the track."
  }),
  modelRadius: numeric({
    group: alignment,
    label: "Model radius",
    unit: "mm",
    def: 762,
    min: 60,
    max: 1e5,
    usual: [250, 5e3],
    help: "Of the centre line, on the layout."
  }),
  radius: length2({
    group: alignment,
    label: "Radius",
    def: feet(573.69),
    ...span2(feet(60), feet(3e4), [feet(150), feet(12e3)]),
    help: "Of the centre line."
  }),
  degree: numeric({
    group: alignment,
    label: "Degree of curve",
    unit: "\xB0",
    def: 10,
    min: 0.1,
    max: 90,
    usual: [0.5, 24],
    help: "10\xB0 is a radius of 573.69 ft."
  }),
  tangentStart: length2({
    group: alignment,
    label: "Tangent before the curve",
    def: feet(0),
    ...span2(feet(0), feet(5e3), [feet(0), feet(1500)]),
    help: "Straight track from the first bent to where the curve begins; there is no spiral."
  }),
  tangentEnd: length2({
    group: alignment,
    label: "Tangent after the curve",
    def: feet(0),
    ...span2(feet(0), feet(5e3), [feet(0), feet(1500)]),
    help: "Straight track from where the curve ends to the last bent."
  }),
  grade: numeric({
    group: alignment,
    label: "Grade",
    unit: "%",
    def: 0,
    min: -8,
    max: 8,
    usual: [-4, 4],
    help: "Rise in a hundred, from the first bent to the last."
  }),
  superelevation: length2({
    group: alignment,
    label: "Superelevation",
    def: feet(0),
    ...span2(feet(0), inches(10), [feet(0), inches(7)]),
    help: "How much higher the outer rail lies. It is the same all along; the run-off lies on the approaches."
  }),
  superBy: choice({
    group: alignment,
    label: "Superelevation by",
    def: "tilt",
    options: [
      { value: "tilt", label: "tilted caps" },
      { value: "shims", label: "shims on level caps" }
    ],
    help: "Tilted caps take posts of unequal length; shims are wedges under the stringers."
  }),
  gauge: length2({
    group: alignment,
    label: "Gauge",
    def: feet(4, 8.5),
    ...span2(inches(18), feet(7, 1), [inches(24), feet(5, 6)]),
    help: "Between the rails."
  }),
  tracks: count({ group: alignment, label: "Tracks", def: 1, min: 1, max: 3, help: "One to three." }),
  trackCentres: length2({
    group: alignment,
    label: "Track centres",
    def: feet(13),
    ...span2(feet(6), feet(30), [feet(9), feet(16)]),
    help: "Centre to centre of neighbouring tracks."
  }),
  bentSet: choice({
    group: bents,
    label: "Bents are set",
    def: "spacing",
    options: [
      { value: "spacing", label: "at a spacing" },
      { value: "each", label: "bay by bay" }
    ],
    help: "At a spacing the last bay takes what is left; bay by bay each has its own length."
  }),
  spacing: length2({
    group: bents,
    label: "Bent spacing",
    def: feet(15),
    ...span2(feet(5), feet(40), [feet(12), feet(16)]),
    help: "Centre to centre along the track; 14 ft and 15 ft are usual."
  }),
  bays: lengths({
    group: bents,
    label: "Bays",
    of: length2({
      group: bents,
      label: "Bay",
      def: feet(15),
      ...span2(feet(5), feet(40), [feet(12), feet(16)]),
      help: "Centre to centre along the track."
    }),
    def: [feet(15), feet(15), feet(15), feet(15)],
    most: 400,
    help: "One after another from the first bent; they make the length."
  }),
  skewStart: numeric({
    group: bents,
    label: "Skew of the first bent",
    unit: "\xB0",
    def: 0,
    min: -35,
    max: 35,
    usual: [-30, 30],
    help: "Turned out of square to the track, positive counter-clockwise seen from above."
  }),
  skewEnd: numeric({
    group: bents,
    label: "Skew of the last bent",
    unit: "\xB0",
    def: 0,
    min: -35,
    max: 35,
    usual: [-30, 30],
    help: "Turned out of square to the track, positive counter-clockwise seen from above."
  }),
  bentKind: choice({
    group: bents,
    label: "Bents",
    def: "framed",
    options: [
      { value: "framed", label: "framed: posts on a sill" },
      { value: "pile", label: "piles in the ground" }
    ],
    help: "Piles are cut off level at the ground."
  }),
  pileSize: section({
    group: bents,
    label: "Piles",
    def: "\u230012",
    help: "A round such as \u230012, or a square such as 12\xD712."
  }),
  topStory: length2({
    group: bents,
    label: "Top story",
    def: feet(14),
    ...span2(feet(5), feet(40), [feet(8), feet(25)]),
    help: "From the top of the cap to the centre of the first story line; the same in all bents."
  }),
  story: length2({
    group: bents,
    label: "Further stories",
    def: feet(15),
    ...span2(feet(5), feet(40), [feet(8), feet(25)]),
    help: "From story line to story line."
  }),
  leastStory: length2({
    group: bents,
    label: "Least lowest story",
    def: feet(7),
    ...span2(feet(4), feet(30), [feet(6), feet(15)]),
    help: "A story line that would leave less than this above the foot of the bent is left out."
  }),
  swayStep: length2({
    group: bents,
    label: "Lowest sway braces by steps of",
    def: feet(2),
    ...span2(feet(0), feet(10), [feet(0), feet(4)]),
    help: "Braces of the lowest story are made for its height rounded down to this, so that few lengths serve all bents; 0 makes each to fit."
  }),
  groundBy: choice({
    group: ground,
    label: "Heights come from",
    def: "profile",
    options: [
      { value: "profile", label: "the ground" },
      { value: "heights", label: "heights chosen" }
    ],
    help: "Make the bents to the ground, or choose heights and build the ground up to them."
  }),
  profile: points({
    group: ground,
    label: "Ground profile",
    columns: ["Station", "Height"],
    def: [
      [0, below(feet(6))],
      [feet(45), below(feet(20))],
      [feet(90), below(feet(38))],
      [feet(135), below(feet(22))],
      [feet(180), below(feet(6))]
    ],
    most: 2e3,
    help: "Station from the first bent, and height over the base of rail there (below it is negative)."
  }),
  heights: lengths({
    group: ground,
    label: "Bent heights",
    of: length2({
      group: ground,
      label: "Height of bent",
      def: feet(21),
      ...span2(feet(3), feet(150), [feet(5), feet(90)]),
      help: "Top of cap to foot of sill, or to the ground for piles."
    }),
    def: [feet(10), feet(20), feet(30), feet(20), feet(10)],
    most: 400,
    help: "One for each bent from the first; the last one serves all that follow."
  }),
  crossfall: numeric({
    group: ground,
    label: "Ground falls across",
    unit: "%",
    def: 0,
    min: -40,
    max: 40,
    usual: [-30, 30],
    help: "Rise of the ground to the left in a hundred; the profile is at the centre line."
  }),
  footing: choice({
    group: ground,
    label: "Footings",
    def: "mudsill",
    options: [
      { value: "none", label: "none" },
      { value: "mudsill", label: "mudsills" },
      { value: "pedestal", label: "pedestals" }
    ],
    help: "Under the sill at each post: short timbers along the track, or blocks each as high as the ground asks."
  }),
  mudsill: section({ group: ground, label: "Mudsills", def: "12\xD712", help: "Nominal inches; laid flat." }),
  mudsillLength: length2({
    group: ground,
    label: "Mudsill length",
    def: feet(4),
    ...span2(feet(2), feet(16), [feet(3), feet(8)]),
    help: "Along the track."
  }),
  pedestalTop: length2({
    group: ground,
    label: "Pedestal top",
    def: inches(20),
    ...span2(inches(8), feet(6), [inches(14), feet(3)]),
    help: "Side of its square top."
  }),
  pedestalLeast: length2({
    group: ground,
    label: "Least pedestal height",
    def: inches(12),
    ...span2(inches(2), feet(20), [inches(6), feet(4)]),
    help: "Of the lowest one at a bent, over the ground."
  }),
  pedestalBatter: numeric({
    group: ground,
    label: "Pedestal batter",
    unit: " in 12",
    def: 1.5,
    min: 0,
    max: 6,
    usual: [0, 3],
    help: "How much its sides spread, inches for each foot of height."
  }),
  girts: choice({
    group: bracing,
    label: "Longitudinal girts",
    def: "outer",
    options: [
      { value: "none", label: "none" },
      { value: "outer", label: "at the outer posts" },
      { value: "every", label: "at every post" }
    ],
    help: "From bent to bent at each story line."
  }),
  girt: section({
    group: bracing,
    label: "Girts",
    def: "6\xD78",
    help: "Nominal inches; the larger side stands upright."
  }),
  braces: choice({
    group: bracing,
    label: "Longitudinal braces",
    def: "alternate",
    options: [
      { value: "none", label: "none" },
      { value: "every", label: "every bay" },
      { value: "alternate", label: "alternate bays" },
      { value: "towers", label: "towers: girts there only" }
    ],
    help: "Diagonals on the outer posts, story by story."
  }),
  braceFaces: choice({
    group: bracing,
    label: "Braces are",
    def: "both",
    options: [
      { value: "outside", label: "outside the posts" },
      { value: "both", label: "one outside, one inside" }
    ],
    help: "A pair holds the posts between them; at a skew bent only the outer one has room."
  }),
  brace: section({
    group: bracing,
    label: "Longitudinal brace",
    def: "3\xD78",
    help: "Nominal inches; the smaller side is the thickness on the post."
  }),
  stringers: flag({ group: stringers, label: "Stringers", def: true, help: "The chords under the rails." }),
  plies: count({
    group: stringers,
    label: "Plies under each rail",
    def: 3,
    min: 1,
    max: 4,
    help: "Two or three are usual."
  }),
  stringer: section({ group: stringers, label: "Stringer ply", def: "8\xD716", help: "Nominal inches; stands on edge." }),
  stringerSet: choice({
    group: stringers,
    label: "On a curve the stringers are",
    def: "straight",
    options: [
      { value: "straight", label: "straight from bent to bent" },
      { value: "laminated", label: "laminated round the curve" }
    ],
    help: "The prototype's are straight; thin strips bent round pins follow the curve."
  }),
  laminations: count({
    group: stringers,
    label: "Strips in a laminated chord",
    def: 6,
    min: 2,
    max: 12,
    help: "They share the width of the plies."
  }),
  plyBays: count({
    group: stringers,
    label: "Bays to a ply",
    def: 2,
    min: 1,
    max: 8,
    help: "Plies are jointed over caps, staggered among neighbours; on a curve straight ones are one bay long."
  }),
  corbels: flag({ group: stringers, label: "Corbels", def: false, help: "Short timbers between cap and stringers." }),
  corbel: section({ group: stringers, label: "Corbel", def: "12\xD712", help: "Nominal inches." }),
  corbelLength: length2({
    group: stringers,
    label: "Corbel length",
    def: feet(4),
    ...span2(feet(2), feet(10), [feet(3), feet(6)]),
    help: "Along the track."
  }),
  ties: flag({ group: deck, label: "Ties", def: true, help: "At their true spacing." }),
  tie: section({ group: deck, label: "Tie", def: "8\xD78", help: "Nominal inches; the larger side stands upright." }),
  tieLength: length2({
    group: deck,
    label: "Tie length",
    def: feet(10),
    ...span2(feet(4), feet(16), [feet(7), feet(12)]),
    help: "End to end."
  }),
  tieSpacing: length2({
    group: deck,
    label: "Tie spacing",
    def: inches(13),
    ...span2(inches(8), feet(4), [inches(12), inches(16)]),
    help: "Centre to centre: 8 in ties with 4 to 6 in between."
  }),
  guards: flag({ group: deck, label: "Guard timbers", def: true, help: "Along the ends of the ties." }),
  guard: section({ group: deck, label: "Guard timber", def: "6\xD78", help: "Nominal inches; laid flat." }),
  guardInset: length2({
    group: deck,
    label: "Guard timber from the tie end",
    def: inches(4),
    ...span2(feet(0), feet(3), [feet(0), feet(1)]),
    help: "From the end of a tie to the outer side of the guard timber."
  }),
  walkway: choice({
    group: deck,
    label: "Walkway",
    def: "none",
    options: [
      { value: "none", label: "none" },
      { value: "left", label: "left" },
      { value: "right", label: "right" },
      { value: "both", label: "both sides" }
    ],
    help: "Planks on the ends of longer ties."
  }),
  longTieEvery: count({
    group: deck,
    label: "A longer tie every",
    def: 4,
    min: 1,
    max: 12,
    help: "Ties; they carry the walkway."
  }),
  walkPlank: section({ group: deck, label: "Walkway plank", def: "2\xD710", help: "Nominal inches; laid flat." }),
  walkPlanks: count({ group: deck, label: "Planks in the walkway", def: 2, min: 1, max: 6, help: "Side by side." }),
  refugeEvery: count({
    group: deck,
    label: "A refuge bay every",
    def: 0,
    min: 0,
    max: 20,
    help: "Bents, on the right; 0 is none. A place to stand clear of a train."
  }),
  barrelEvery: count({
    group: deck,
    label: "A fire barrel every",
    def: 0,
    min: 0,
    max: 20,
    help: "Bents, on the left; 0 is none."
  }),
  bulkheads: flag({
    group: deck,
    label: "End bulkheads",
    def: true,
    help: "Planks that hold the fill behind the end bents."
  }),
  bulkhead: section({ group: deck, label: "Bulkhead plank", def: "3\xD712", help: "Nominal inches; on edge." }),
  ...bent
};
var TrestleParams = class extends dto(trestleSpec) {
};

// core/structures/builder.ts
var endsOf = (square = false) => {
  const [a, b] = typeof square === "boolean" ? [square, square] : square;
  const end = (is) => is ? { kind: "square", beyond: 0 } : void 0;
  return [end(a), end(b)];
};
function builder(structure) {
  const members = [];
  const joints = [];
  const nodes = [];
  const datums = {};
  const add2 = (m) => (members.push(m), m);
  return {
    members,
    joints,
    datums,
    nodes,
    add: add2,
    stick: (s) => add2({
      id: s.id,
      structure,
      assembly: s.assembly,
      role: s.role,
      letter: s.letter,
      kind: s.timber.round ? "round" : "strip",
      nominal: s.timber.nominal,
      ends: endsOf(s.square),
      ...s.loose ? { loose: true } : {},
      body: s.timber.round ? { shape: "round", a: s.a, b: s.b, up: s.up, diameter: s.timber.v, stock: s.timber.round } : {
        shape: "straight",
        a: s.a,
        b: s.b,
        up: s.up,
        seat: s.seat ?? ["centre", "centre"],
        components: s.timber.components
      }
    }),
    join: (j) => void joints.push(j),
    frame: () => ({ members, joints, nodes, datums })
  };
}

// core/structures/lay.ts
var FLUSH = 15e-4;
var ROUNDS = 8;
function standsOut(s, a, d, out, width) {
  const across = cross(out, d);
  let [least, most] = [Infinity, -Infinity];
  for (const side of s.sides)
    for (const k of [-0.5, 0.5]) {
      const p = addScaled(a, across, k * width);
      const q = addScaled(p, d, (side.d - dot(side.n, p)) / dot(side.n, d));
      const h = (s.face.d - dot(s.face.n, q)) / dot(s.face.n, out);
      least = Math.min(least, h);
      most = Math.max(most, h);
    }
  return [least, most];
}
function layOnTwo(on, a, b, out, width) {
  let [p, q, n] = [a, b, out];
  let gaps = [
    [0, 0],
    [0, 0]
  ];
  for (let i = 0; i < ROUNDS; i++) {
    const d = normalize(sub(q, p));
    n = normalize(addScaled(n, d, -dot(n, d)));
    const [h, k] = [standsOut(on[0], p, d, n, width), standsOut(on[1], p, d, n, width)];
    gaps = [h, k];
    p = addScaled(p, n, h[1]);
    q = addScaled(q, n, k[1]);
  }
  return { a: p, b: q, out: n, gaps: gaps.map(([lo, hi]) => [0, hi - lo]) };
}
var contactOf = (gap) => gap[1] - gap[0] < FLUSH ? "face" : "line";

// core/structures/whole-trestle/bracing.ts
var bayBraced = (v, bay) => v.braces === "every" || (v.braces === "alternate" || v.braces === "towers") && bay % 2 === 0;
function bracing2(b, v, ctx, l) {
  const members = new Map(b.members.map((m) => [m.id, m]));
  l.bents.slice(1).forEach((to, bay) => {
    const from = l.bents[bay];
    if (v.girts !== "none" && (v.braces !== "towers" || bayBraced(v, bay))) girts(b, v, ctx, l, from, to, members);
    if (bayBraced(v, bay)) braces(b, v, ctx, l, from, to, members);
  });
}
var lineZ = (at, l, i) => -l.mm(at.values.storyHeights.slice(0, i + 1).reduce((s, h) => s + h, 0));
function girts(b, v, ctx, l, from, to, members) {
  const timber = timberOf(v.girt, ctx.stock(v.girt));
  const between2 = from.values.between;
  const count2 = Math.min(from.values.stories, to.values.stories) - 1;
  const lay = bentLayout(from.values);
  const posts2 = v.girts === "every" ? lay.posts : [lay.posts[0], lay.posts[lay.posts.length - 1]];
  const on = (at, level, front) => `${bentRoot(ctx.structure, at)}/level${level + 1}/${between2 === "solid" ? "sill" : `sash/${front ? "front" : "back"}`}`;
  for (let i = 0; i < count2; i++)
    for (const p of posts2) {
      const id2 = `${ctx.structure}/bay${from.number}/girt${i + 1}/${p.name}`;
      const point2 = (at) => {
        const z = lineZ(at, l, i);
        return bentPoint(at)([0, l.mm(postAt(p, z * ctx.scale.ratio, lay.capUnder)), z]);
      };
      const ends = [on(from, i, true), on(to, i, false)];
      const target = members.get(ends[0]);
      if (!target || !members.has(ends[1])) continue;
      b.stick({
        id: id2,
        assembly: `${ctx.structure}/bay${from.number}`,
        role: "girt",
        letter: "G",
        timber,
        a: point2(from),
        b: point2(to),
        up: [0, 0, 1]
      });
      const deep = target.body.shape === "straight" ? target.body.components[0].v : 0;
      const contact = timber.v <= deep + 1e-9 ? "face" : "line";
      b.join({ kind: "butt", id: `${id2}>0`, a: id2, end: 0, b: ends[0], face: "+w", contact });
      b.join({ kind: "butt", id: `${id2}>1`, a: id2, end: 1, b: ends[1], face: "-w", contact });
    }
}
function braces(b, v, ctx, l, from, to, members) {
  const timber = timberOf(v.brace, ctx.stock(v.brace));
  const lay = bentLayout(from.values);
  const [left, right] = [lay.posts[0], lay.posts[lay.posts.length - 1]];
  const stories2 = Math.min(from.values.stories, to.values.stories);
  for (let s = 0; s < stories2; s++)
    for (const p of [left, right]) {
      const rises = p === left;
      const ends = braceEnds(v, ctx, l, [from, to], p, s, rises, timber, members);
      if (!ends) continue;
      const posts2 = [members.get(ends[0].post), members.get(ends[1].post)];
      if (!posts2[0] || !posts2[1]) continue;
      const skew = from.number === 1 && v.skewStart !== 0 || to.number === l.bents.length && v.skewEnd !== 0;
      for (const where of v.braceFaces === "both" && !skew ? ["outside", "inside"] : ["outside"]) {
        const face = p === left === (where === "outside") ? "+v" : "-v";
        layBrace(b, ctx, {
          id: `${ctx.structure}/bay${from.number}/story${s + 1}/brace/${p.name}/${where}`,
          bay: from.number,
          posts: [posts2[0], posts2[1]],
          at: [ends[0].at, ends[1].at],
          face,
          timber
        });
      }
    }
}
var FLAT = Math.tan(Math.PI / 16);
function layBrace(b, ctx, s) {
  const support = (m) => {
    const inset = m.body.shape === "round" ? m.body.diameter / 2 * (1 - FLAT) : 0;
    const side = (f) => {
      const p = stockFace(m, f);
      return { n: p.n, d: p.d - inset };
    };
    return { face: stockFace(m, s.face), sides: [side("-w"), side("+w")] };
  };
  const on = [support(s.posts[0]), support(s.posts[1])];
  const foot2 = (i) => {
    const f = on[i].face;
    const p = s.at[i];
    return addScaled(p, f.n, f.d - (p[0] * f.n[0] + p[1] * f.n[1] + p[2] * f.n[2]));
  };
  const out = normalize([0, 1, 2].map((k) => on[0].face.n[k] + on[1].face.n[k]));
  const laid = layOnTwo(on, foot2(0), foot2(1), out, s.timber.v);
  const d = normalize(sub(laid.b, laid.a));
  b.stick({
    id: s.id,
    assembly: `${ctx.structure}/bay${s.bay}`,
    role: "longitudinal brace",
    letter: "N",
    timber: s.timber,
    a: laid.a,
    b: laid.b,
    up: cross(laid.out, d),
    seat: ["centre", "-"]
  });
  [0, 1].forEach(
    (end) => b.join({
      kind: "lap",
      id: `${s.id}>${end}`,
      a: s.id,
      b: s.posts[end].id,
      aFace: "-w",
      bFace: s.face,
      contact: s.posts[end].body.shape === "round" ? "line" : contactOf(laid.gaps[end]),
      finish: { end, finish: "flush", beyond: 0, past: end === 0 ? "-w" : "+w" },
      remedy: "The posts do not lie in one plane: shim the brace or dress the post."
    })
  );
}
function braceEnds(v, ctx, l, bents2, p, story, rises, brace, members) {
  const rooms = bents2.map((at) => room(v, ctx, l, at, p, story));
  const post = members.get(rooms[0].post);
  if (!post) return void 0;
  const thick = post.body.shape === "round" ? post.body.diameter : timberOf(v.post, ctx.stock(v.post)).w;
  const lay = bentLayout(bents2[0].values);
  const foot2 = (at) => bentPoint(at)([0, l.mm(postAt(p, lay.capUnder, lay.capUnder)), 0]);
  const [here, there] = [foot2(bents2[0]), foot2(bents2[1])];
  const run = Math.hypot(there[0] - here[0], there[1] - here[1]) - thick;
  const skew = Math.abs(bents2[1].place.heading - bents2[0].place.heading);
  const [clearTop, clearFoot] = [l.mm(v.swayTop), l.mm(v.swayBottom)];
  let half = brace.v;
  let zs = [0, 0];
  for (let i = 0; i < 8; i++) {
    const [at, to] = bents2.map((x, k) => {
      const r = rooms[k];
      return x.cap[2] + (k === 0 === rises ? r.foot + clearFoot + half : r.top - clearTop - half);
    });
    zs = [at, to];
    const steep = Math.abs(to - at) / run;
    half = brace.v / 2 * Math.hypot(1, steep) + (thick / 2 * 1.05 + brace.v * Math.tan(skew)) * steep / Math.cos(skew);
  }
  if (rooms.some((r) => r.top - r.foot < clearTop + clearFoot + 4.2 * half)) return void 0;
  return bents2.map((at, k) => {
    const z = zs[k] - at.cap[2];
    return {
      post: rooms[k].post,
      at: bentPoint(at)([0, l.mm(postAt(p, z * ctx.scale.ratio, lay.capUnder)), z])
    };
  });
}
function room(v, ctx, l, at, p, story) {
  const values = at.values;
  const lay = bentLayout(values);
  const root = bentRoot(ctx.structure, at);
  const solid = values.between !== "sash";
  const deep = (name) => timberOf(name, ctx.stock(name)).v;
  const half = Math.max(values.between === "solid" ? 0 : deep(v.sash), solid ? deep(v.middleSill) : 0) / 2;
  const tall = (n) => toModel(ctx.scale, prototype(n));
  const out = Math.abs(tall(postAt(p, lay.capUnder, lay.capUnder))) + l.mm(nominalMm(values.post).width);
  const tilted = out * Math.tan(Math.abs(at.capTilt));
  return {
    post: !solid || values.stories === 1 ? `${root}/post/${p.name}` : `${root}/story${story + 1}/post/${p.name}`,
    top: story === 0 ? -l.timbers.cap.v / Math.cos(at.capTilt) - tilted : lineZ(at, l, story - 1) - half,
    foot: story < values.stories - 1 ? lineZ(at, l, story) + half : v.bentKind === "pile" ? at.footZ - at.cap[2] + Math.abs(tall(postAt(p, lay.sillTop, lay.capUnder)) * v.crossfall / 100) : -tall(values.height) + deep(v.sill)
  };
}

// core/structures/whole-trestle/bays.ts
function jointsAlong(l, y, bays, shift, straight) {
  const last = l.bents.length - 1;
  const out = [0];
  for (let i = 1; i < last; i++) if ((i + shift) % bays === 0 || straight && turns(l, i, y)) out.push(i);
  return [...out, last];
}
function turns(l, i, y) {
  const [before, at, after] = [l.bents[i - 1], l.bents[i], l.bents[i + 1]];
  const [p, q] = [bayLine(l, before, at, y), bayLine(l, at, after, y)];
  return length(cross(p.d, q.d)) > 1e-7 || length(sub(p.left, q.left)) > 1e-7;
}

// core/structures/whole-trestle/stringers.ts
var corbelCount = (l) => Math.max(1, Math.ceil(l.packWidth / l.timbers.corbel.v - 0.3));
function bearerOf(structure, v, l, at, p, y) {
  const root = bentRoot(structure, at);
  if (!v.corbels) return v.superBy === "shims" && l.cant !== 0 ? `${root}/shim/${p.name}` : `${root}/cap`;
  const n = corbelCount(l);
  const k = Math.round((y - p.y) / l.timbers.corbel.v + (n - 1) / 2);
  return `${root}/corbel/${p.name}/${Math.min(n - 1, Math.max(0, k)) + 1}`;
}
function stringers2(b, v, ctx, l) {
  const [first, last] = [l.bents[0], l.bents[l.bents.length - 1]];
  const past = l.timbers.cap.w / 2;
  b.datums["start"] = planeAt(addScaled(first.deck, first.place.along, -past), first.place.along);
  b.datums["finish"] = planeAt(addScaled(last.deck, last.place.along, past), last.place.along);
  for (const at of l.bents) l.packs.forEach((p, i) => bearers(b, v, ctx, l, at, p, at.seats[i]));
  for (const pack of l.packs)
    for (let k = 0; k < l.strips; k++) {
      const y = pack.y + (k - (l.strips - 1) / 2) * l.strip.v;
      const shift = Math.floor(k * v.plyBays / l.strips);
      const joints = jointsAlong(l, pack.y, v.plyBays, shift, !l.laminated);
      joints.slice(1).forEach((to, n) => {
        const from = joints[n];
        const id2 = `${ctx.structure}/stringer/${pack.name}/ply${k + 1}/from${from + 1}`;
        const [start, end] = [l.bents[from], l.bents[to]];
        const bent2 = l.laminated && curved(l, start.station, end.station);
        const common = { id: id2, structure: ctx.structure, assembly: `${ctx.structure}/stringers` };
        if (bent2) b.add(bentPly(l, { ...common, y, pack, from, to }));
        else straightPly(b, l, { ...common, y, pack, from, to });
        const last2 = l.bents.length - 1;
        for (let i = from; i <= to; i++) {
          const on = bearerOf(ctx.structure, v, l, l.bents[i], pack, y);
          const own = { id: `${id2}>${i + 1}`, a: id2, b: on };
          const half = i === from && i > 0 || i === to && i < last2;
          const at = l.bents[i];
          const seat = at.seats[l.packs.indexOf(pack)];
          const shim = v.superBy === "shims" && l.cant !== 0;
          const skew = i === 0 && v.skewStart !== 0 || i === last2 && v.skewEnd !== 0;
          const sides = [...i > from ? [0] : [], ...i < to ? [1] : []];
          if (seat.flush && !shim)
            b.join({
              ...own,
              kind: "lap",
              aFace: "-w",
              bFace: v.corbels ? "+w" : "+v",
              contact: half || bent2 || v.corbels || skew ? "line" : "face"
            });
          else
            b.join({
              ...own,
              kind: "notch",
              faces: v.corbels ? [{ datum: `${on}:back` }, { datum: `${on}:fore` }, { of: on, face: "+w" }] : shim ? [{ of: on, face: "-v" }, { of: on, face: "+v" }, { datum: `${on}:top` }] : ["-w", "+w", "+v"].map((face) => ({ of: on, face })),
              // an outer ply may hang over a corbel narrower than the pack; a skew seat is dapped askew
              contact: bent2 || v.corbels || skew || sides.some((k2) => seat.dap[k2] < FLUSH) ? "line" : "face",
              remedy: "Dap the stringer over what it lies on."
            });
        }
      });
    }
}
var curved = (l, from, to) => l.alignment.curvature !== 0 && from < l.alignment.curve[1] - 1e-9 && to > l.alignment.curve[0] + 1e-9;
var base = (l, p) => ({
  id: p.id,
  structure: p.structure,
  assembly: p.assembly,
  role: "stringer",
  letter: "T",
  nominal: l.strip.nominal
});
function straightPly(b, l, p) {
  const last = l.bents.length - 1;
  const line2 = bayLine(l, l.bents[p.from], l.bents[p.from + 1], p.pack.y);
  const far = bayLine(l, l.bents[p.to - 1], l.bents[p.to], p.pack.y);
  const aside = (q) => addScaled(q, line2.left, p.y - p.pack.y);
  b.add({
    ...base(l, p),
    kind: "strip",
    ends: [void 0, void 0],
    spliceOver: l.bents.slice(p.from + 1, p.to).map((at) => at.station - l.bents[p.from].station),
    body: {
      shape: "straight",
      a: aside(line2.a),
      b: aside(far.b),
      up: line2.left,
      seat: ["centre", "+"],
      components: l.strip.components
    }
  });
  const trim = (end, name, back) => {
    if (back) b.datums[`${name}:back`] = flip(b.datums[name]);
    b.join({
      kind: "trim",
      id: `${p.id}>end${end}`,
      a: p.id,
      datum: back ? `${name}:back` : name,
      as: end === 0 ? "end0" : "end1",
      contact: "gap"
    });
  };
  trim(0, p.from === 0 ? "start" : `bent${p.from + 1}`, true);
  trim(1, p.to === last ? "finish" : `bent${p.to + 1}`, false);
}
function bentPly(l, p) {
  const last = l.bents.length - 1;
  const past = l.timbers.cap.w / 2;
  const from = l.bents[p.from].station - (p.from === 0 ? past : 0);
  const to = l.bents[p.to].station + (p.to === last ? past : 0);
  return {
    ...base(l, p),
    kind: "bent",
    ends: [void 0, void 0],
    body: {
      shape: "run",
      axis: [0, 0, 1],
      rings: ringsOf(l, from, to, p.y),
      seat: ["centre", "+"],
      components: single(l.strip.v, l.strip.w, l.strip.components[0].stock)
    }
  };
}
function ringsOf(l, from, to, y, above = 0) {
  const a = l.alignment;
  const [c0, c1] = a.curve;
  const all = [from, ...breaksOf(l).filter((s) => s > from + 1e-6 && s < to - 1e-6), to];
  return all.map((s) => {
    const place = placeAt(a, s);
    const at = topOnRun(l, s, y, above);
    const v = normalize(sub(topOnRun(l, s, y + 1, above), at));
    const up = normalize(cross(place.along, v));
    const steep = a.grade / (1 - y * (s >= c0 && s <= c1 ? a.curvature : 0));
    return { at, v, w: scaleBy(up, Math.hypot(1, steep)), turn: place.heading };
  });
}
function breaksOf(l) {
  const known5 = breaks.get(l);
  if (known5) return known5;
  const k = Math.abs(l.alignment.curvature);
  const [c0, c1] = l.alignment.curve;
  const bents2 = l.bents.map((x) => x.station);
  const widest = 1 / k + Math.max(...l.packs.map((q) => Math.abs(q.y))) + l.packWidth;
  const on = arcBreaks(
    c0 * k,
    c1 * k,
    widest,
    bents2.map((s) => s * k)
  ).map((t) => t / k);
  const all = [...bents2, ...on].sort((p, q) => p - q);
  const made = all.filter((t, i) => i === 0 || t - all[i - 1] > 1e-6);
  breaks.set(l, made);
  return made;
}
var breaks = /* @__PURE__ */ new WeakMap();
var scaleBy = (p, k) => [p[0] * k, p[1] * k, p[2] * k];
function bearers(b, v, ctx, l, at, p, on) {
  const root = bentRoot(ctx.structure, at);
  const seat = addScaled(addScaled(at.deck, at.across, p.y), at.up, on.height);
  const along2 = normalize(
    addScaled((v.corbels ? placeAt(l.alignment, at.station) : at.place).along, [0, 0, 1], l.alignment.grade)
  );
  const n = v.corbels ? corbelCount(l) : 0;
  for (let k = 0; k < n; k++) {
    const id3 = `${root}/corbel/${p.name}/${k + 1}`;
    const middle = addScaled(seat, normalize(at.across), (k - (n - 1) / 2) * l.timbers.corbel.v);
    const half2 = l.mm(v.corbelLength) / 2;
    const [starts, ends] = [at.number === 1, at.number === l.bents.length];
    b.stick({
      id: id3,
      assembly: root,
      role: "corbel",
      letter: "L",
      timber: l.timbers.corbel,
      a: addScaled(middle, along2, -half2),
      b: addScaled(middle, along2, half2),
      up: normalize(at.across),
      seat: ["centre", "+"],
      square: [!starts, !ends]
    });
    const trim = (end, datum) => b.join({ kind: "trim", id: `${id3}>end${end}`, a: id3, datum, as: `end${end}`, contact: "gap" });
    if (starts) b.datums["start:back"] ??= flip(b.datums["start"]);
    if (starts) trim(0, "start:back");
    if (ends) trim(1, "finish");
    b.datums[`${id3}:back`] = planeAt(addScaled(seat, along2, -half2), [-along2[0], -along2[1], -along2[2]]);
    b.datums[`${id3}:fore`] = planeAt(addScaled(seat, along2, half2), along2);
    const own = { id: `${id3}>cap`, a: id3, b: `${root}/cap` };
    if (l.alignment.grade === 0) b.join({ ...own, kind: "lap", aFace: "-w", bFace: "+v", contact: "face" });
    else
      b.join({
        ...own,
        kind: "notch",
        faces: ["-w", "+w", "+v"].map((face) => ({ of: own.b, face })),
        contact: "face",
        remedy: "Dap the corbel over the cap."
      });
  }
  if (v.corbels) return;
  if (v.superBy !== "shims" || l.cant === 0) return;
  const id2 = `${root}/shim/${p.name}`;
  const half = l.packWidth / 2 + l.timbers.cap.w / 8 + (l.strip.w + l.timbers.tie.v) * Math.abs(Math.sin(l.cant));
  const up = cross(along2, normalize(at.across));
  b.datums[`${id2}:top`] = planeAt(seat, up);
  const foot2 = bentPoint(at);
  const [lo, hi] = [p.y - half, p.y + half].map((y) => foot2([0, y, 0]));
  const rise = Math.max(...[lo, hi].map((q) => dot(sub(seat, q), up) / up[2])) + l.timbers.cap.w / 2 * Math.abs(l.alignment.grade);
  const timber = shimTimber(ctx, l.timbers.cap.nominal[0], rise);
  b.stick({
    id: id2,
    assembly: root,
    role: "shim",
    letter: "W",
    timber,
    a: lo,
    b: hi,
    up: [-at.place.along[0], -at.place.along[1], 0],
    seat: ["centre", "-"],
    square: true
  });
  b.join({ kind: "trim", id: `${id2}>top`, a: id2, datum: `${id2}:top`, as: "length", contact: "face" });
  b.join({ kind: "lap", id: `${id2}>cap`, a: id2, b: `${root}/cap`, aFace: "-w", bFace: "+v", contact: "line" });
}
function shimTimber(ctx, wide, rise) {
  for (let high = Math.ceil(rise * ctx.scale.ratio / 25.4); ; high++) {
    const name = `${Math.min(high, wide)}\xD7${Math.max(high, wide)}`;
    const t = timberOf(name, ctx.stock(name), high > wide);
    if (t.w >= rise || high > 40) return t;
  }
}

// core/structures/whole-trestle/deck.ts
function tieStations(v, l) {
  const half = l.timbers.tie.w / 2;
  const past = l.timbers.cap.w / 2;
  const widest = Math.max(...l.packs.map((p) => Math.abs(p.y))) + l.packWidth / 2;
  const skewed = (deg) => {
    const t = Math.abs(Math.tan(deg * Math.PI / 180));
    return past / Math.cos(Math.atan(t)) - widest * t;
  };
  const from = half - skewed(v.skewStart);
  const to = l.alignment.length - half + skewed(v.skewEnd);
  const pitch = l.mm(v.tieSpacing);
  return Array.from({ length: Math.max(0, Math.floor((to - from) / pitch + 1e-9) + 1) }, (_, i) => from + i * pitch);
}
function deck2(b, v, ctx, l) {
  const stations = tieStations(v, l);
  const plank = timberOf(v.walkPlank, ctx.stock(v.walkPlank));
  const half = l.mm(v.tieLength) / 2;
  const rights = l.tracks[0] - half;
  const lefts = l.tracks[l.tracks.length - 1] + half;
  const [onRight, onLeft] = [
    v.walkway === "right" || v.walkway === "both",
    v.walkway === "left" || v.walkway === "both"
  ];
  const bow = Math.max(...l.bents.slice(1).map((x, i) => x.station - l.bents[i].station)) ** 2 / 8 * Math.abs(l.alignment.curvature);
  const walk = v.walkPlanks * plank.v + bow;
  const spare2 = 1.5 * bow + l.mm(50.8);
  const past = { refuge: l.mm(REFUGE.depth) + bow + spare2, barrel: l.mm(BARREL.depth) + bow + spare2 };
  const bays = (every) => every === 0 ? [] : l.bents.slice(1, -1).filter((x) => (x.number - 1) % every === 0).map((x) => x.station);
  const [refuges, barrels] = [bays(v.refugeEvery), bays(v.barrelEvery)];
  const near = (list2, s, reach) => list2.some((x) => Math.abs(x - s) <= reach);
  const places = l.tracks.map(
    (at, t) => stations.map((s, i) => {
      const long = i % v.longTieEvery === 0;
      const [outerRight, outerLeft] = [t === 0, t === l.tracks.length - 1];
      const more = (own, list2, reach, extra) => Math.max(own && long ? walk + spare2 : 0, near(list2, s, reach) ? (own ? walk : 0) + extra : 0);
      const right = at - half - (outerRight ? more(onRight, refuges, l.mm(REFUGE.half), past.refuge) : 0);
      const left = at + half + (outerLeft ? more(onLeft, barrels, l.mm(BARREL.half), past.barrel) : 0);
      return layTie(b, ctx, l, { track: t, at, number: i + 1, station: s, reach: [right, left] });
    })
  );
  if (v.guards)
    l.tracks.forEach(
      (at, t) => [-1, 1].forEach((side) => {
        const y = at + side * (half - l.mm(v.guardInset) - l.timbers.guard.v / 2);
        guard(b, ctx, v, l, `track${t + 1}/${side < 0 ? "right" : "left"}`, y, places[t]);
      })
    );
  const rows = (from, side, n) => Array.from({ length: n }, (_, k) => from + side * (k + 0.5) * plank.v);
  const strip = (id2, y, from, to, list2) => along(
    b,
    ctx,
    l,
    { id: id2, role: "walkway plank", letter: "K", timber: plank, assembly: `${ctx.structure}/deck` },
    y,
    from,
    to,
    list2
  );
  const onLong = (list2, y) => list2.filter((p) => y > p.reach[0] - 1e-6 && y < p.reach[1] + 1e-6);
  for (const [has, side, edge, list2] of [
    [onRight, -1, rights, places[0]],
    [onLeft, 1, lefts, places[places.length - 1]]
  ])
    if (has)
      rows(edge + side * bow, side, v.walkPlanks).forEach(
        (y, k) => l.bents.slice(1).forEach((to, bay) => {
          const from = l.bents[bay];
          const edgeOf = (i, s) => i === 0 ? stations[0] - l.timbers.tie.w / 2 : i === l.bents.length - 1 ? stations[stations.length - 1] + l.timbers.tie.w / 2 : s;
          const [s0, s1] = [edgeOf(bay, from.station), edgeOf(bay + 1, to.station)];
          strip(
            `${ctx.structure}/walkway/${side < 0 ? "right" : "left"}${k + 1}/bay${from.number}`,
            y,
            s0,
            s1,
            onLong(list2, y)
          );
        })
      );
  const platform = (name, list2, side, edge, reach, depth, on) => list2.forEach((s) => {
    const under = on.filter((p) => Math.abs(p.station - s) <= reach);
    if (under.length < 2) return;
    const [s0, s1] = [
      under[0].station - l.timbers.tie.w / 2,
      under[under.length - 1].station + l.timbers.tie.w / 2
    ];
    const n = Math.floor((depth - bow - spare2) / plank.v + 1e-9);
    rows(edge + side * bow, side, n).forEach(
      (y, k) => strip(
        `${ctx.structure}/${name}/bent${l.bents.find((x) => x.station === s).number}/plank${k + 1}`,
        y,
        s0,
        s1,
        under
      )
    );
  });
  platform("refuge", refuges, -1, rights - (onRight ? walk : 0), l.mm(REFUGE.half), past.refuge, places[0]);
  platform(
    "barrel",
    barrels,
    1,
    lefts + (onLeft ? walk : 0),
    l.mm(BARREL.half),
    past.barrel,
    places[places.length - 1]
  );
  if (v.bulkheads) bulkheads(b, v, ctx, l);
}
var foot = 304.8;
var REFUGE = { depth: 4 * foot, half: 3 * foot };
var BARREL = { depth: 3 * foot, half: 1.75 * foot };
var bayAt = (l, station) => {
  const i = l.bents.findIndex((x) => x.station > station + 1e-9);
  return Math.min(
    l.bents.length - 2,
    (i < 0 ? l.bents.length - 1 : i) - 1 < 0 ? 0 : (i < 0 ? l.bents.length - 1 : i) - 1
  );
};
function seatPoints(l, p, station, half) {
  const place = placeAt(l.alignment, station);
  const edges = [-l.packWidth / 2, l.packWidth / 2];
  if (l.laminated) return [-half, half].flatMap((x) => edges.map((e) => topOnRun(l, station + x, p.y + e)));
  const at = (bay, e) => {
    const line2 = bayLine(l, l.bents[bay], l.bents[bay + 1], p.y);
    return { a: addScaled(line2.a, line2.left, e), b: addScaled(line2.b, line2.left, e), d: line2.d };
  };
  const corners = [-half, half].flatMap(
    (x) => edges.map((e) => {
      const line2 = at(bayAt(l, station + x), e);
      const t = (dot(sub(place.at, line2.a), place.along) + x) / dot(line2.d, place.along);
      return addScaled(line2.a, line2.d, t);
    })
  );
  const [k, next] = [bayAt(l, station - half), bayAt(l, station + half)];
  return k === next ? corners : [...corners, ...edges.flatMap((e) => [at(k, e).b, at(next, e).a])];
}
function restOn(right, left) {
  const mean = (q) => scale(
    q.reduce((t, r) => [t[0] + r[0], t[1] + r[1], t[2] + r[2]], [0, 0, 0]),
    1 / q.length
  );
  let [a, b] = [mean(right), mean(left)];
  const way = (q) => normalize(sub(mean(q.slice(2, 4)), mean(q.slice(0, 2))));
  const run = normalize([0, 1, 2].map((k) => way(right)[k] + way(left)[k]));
  let d = [0, 0, 0];
  let out = [0, 0, 1];
  let gaps = [0, 0];
  for (let i = 0; i < 6; i++) {
    d = normalize(sub(b, a));
    out = normalize(cross(run, d));
    const over = (q2) => {
      const h = q2.map((r2) => dot(sub(r2, a), out));
      return [Math.max(...h), Math.max(...h) - Math.min(...h)];
    };
    const [r, q] = [over(right), over(left)];
    gaps = [r[1], q[1]];
    a = addScaled(a, out, r[0]);
    b = addScaled(b, out, q[0]);
  }
  return { a, d, out, gaps };
}
function layTie(b, ctx, l, s) {
  const tie = l.timbers.tie;
  const place = placeAt(l.alignment, s.station);
  const own = l.packs.filter((p) => p.track === s.track);
  const [right, left] = own.map((p) => seatPoints(l, p, s.station, tie.w / 2));
  const { a: origin, d, out: up, gaps } = restOn(right, left);
  const middle = dot(sub(place.at, origin), place.left) / dot(d, place.left);
  const at = (y) => addScaled(origin, d, middle + y);
  const id2 = `${ctx.structure}/tie/track${s.track + 1}/${s.number}`;
  b.stick({
    id: id2,
    assembly: `${ctx.structure}/deck`,
    role: "tie",
    letter: "X",
    timber: tie,
    a: at(s.reach[0]),
    b: at(s.reach[1]),
    up,
    seat: ["-", "centre"],
    square: true
  });
  const widest = Math.max(...l.packs.map((p) => Math.abs(p.y))) + l.packWidth;
  const skewEnd = [l.bents[0], l.bents[l.bents.length - 1]].some(
    (x) => Math.abs(x.station - s.station) < 2 * widest && Math.abs(dot(normalize(x.across), placeAt(l.alignment, x.station).along)) > 1e-6
  );
  own.forEach((p, i) => {
    const under = stickUnder(b, ctx, l, p, s.station, tie.w / 2);
    if (under)
      b.join({
        kind: "lap",
        id: `${id2}>${i}`,
        a: id2,
        b: under.id,
        aFace: "-v",
        bFace: "+w",
        contact: under.whole && !l.laminated && !skewEnd && gaps[i] < FLUSH ? "face" : "line",
        remedy: "Shim the tie, or dap it over the stringers."
      });
  });
  const top = addScaled(origin, up, tie.v);
  const side = cross(d, up);
  return {
    id: id2,
    station: s.station,
    up,
    reach: s.reach,
    support: {
      face: planeAt(top, up),
      sides: [
        planeAt(addScaled(top, side, -tie.w / 2), scale(side, -1)),
        planeAt(addScaled(top, side, tie.w / 2), side)
      ]
    }
  };
}
function stickUnder(b, ctx, l, p, station, half) {
  const plies = plyIndex(b, ctx, l, p);
  const order = [...plies.keys()].sort(
    (x, y) => Math.abs(x - (plies.length - 1) / 2) - Math.abs(y - (plies.length - 1) / 2)
  );
  let half0;
  for (const k of order)
    for (const seg of plies[k]) {
      if (station + half < seg.from - 1e-9 || station - half > seg.to + 1e-9) continue;
      if (station - half >= seg.from - 1e-6 && station + half <= seg.to + 1e-6) return { id: seg.id, whole: true };
      half0 ??= { id: seg.id, whole: false };
    }
  return half0;
}
var indexes = /* @__PURE__ */ new WeakMap();
function plyIndex(b, ctx, l, p) {
  let known5 = indexes.get(b);
  if (!known5) indexes.set(b, known5 = /* @__PURE__ */ new Map());
  const before = known5.get(p.name);
  if (before) return before;
  const past = l.timbers.cap.w / 2;
  const last = l.bents.length - 1;
  const out = Array.from({ length: l.strips }, (_, k) => {
    const prefix = `${ctx.structure}/stringer/${p.name}/ply${k + 1}/from`;
    const starts = b.members.filter((m) => m.id.startsWith(prefix)).map((m) => Number(m.id.slice(prefix.length)) - 1);
    return starts.map((i, n) => {
      const to = starts[n + 1] ?? last;
      return {
        id: `${prefix}${i + 1}`,
        from: l.bents[i].station - (i === 0 ? past : 0),
        to: l.bents[to].station + (to === last ? past : 0)
      };
    });
  });
  known5.set(p.name, out);
  return out;
}
function along(b, ctx, l, c, y, from, to, ties) {
  const half = l.timbers.tie.w / 2;
  const graze = 0.05 + half * Math.abs(l.alignment.curvature) * (Math.abs(y) + c.timber.v) * 1.5;
  const over = (t, by) => t.station + half > from + by && t.station - half < to - by;
  const under = between(ties, from - half, to + half).filter((t) => over(t, 1e-6));
  if (under.length < 2) return;
  const [p, q] = [deckPoint(l, from, y), deckPoint(l, to, y)];
  const d = normalize(sub(q, p));
  const up0 = normalize(under.reduce((s, t) => [s[0] + t.up[0], s[1] + t.up[1], s[2] + t.up[2]], [0, 0, 0]));
  const up = normalize(addScaled(up0, d, -dot(up0, d)));
  const ends = [from, to].map((s, end) => {
    const datum = `across:${end}:${s.toFixed(3)}`;
    const at = l.bents.find((x) => Math.abs(x.station - s) < 1e-9);
    const place = at?.place ?? placeAt(l.alignment, s);
    return {
      datum,
      plane: b.datums[datum] ??= planeAt(at?.deck ?? place.at, end === 0 ? scale(place.along, -1) : place.along)
    };
  });
  const bow = 1 - Math.abs(l.alignment.curvature) * (Math.abs(y) + c.timber.v);
  const skewed = l.alignment.length > 0 ? Math.max(
    ...[l.bents[0], l.bents[l.bents.length - 1]].map(
      (x) => Math.abs(dot(x.across, placeAt(l.alignment, x.station).along))
    )
  ) * (Math.abs(y) + c.timber.v) : 0;
  const reach = half + Math.abs(l.alignment.grade) * l.timbers.tie.v - 1e-6;
  const room2 = (t) => [
    (t.station - from) * bow - (from <= l.bents[0].station + 1e-6 ? skewed : 0) >= reach,
    (to - t.station) * bow - (to >= l.alignment.length - 1e-6 ? skewed : 0) >= reach
  ];
  const gaps = under.map((t) => {
    const [before, after] = room2(t);
    const sides = [before ? t.support.sides[0] : ends[0].plane, after ? t.support.sides[1] : ends[1].plane];
    return standsOut({ face: t.support.face, sides }, p, d, up, c.timber.v);
  });
  const lift = Math.max(...gaps.map((g) => g[1]));
  const [a, e] = [addScaled(p, up, lift), addScaled(q, up, lift)];
  b.stick({ ...c, a, b: e, up: cross(up, d), seat: ["centre", "-"] });
  ends.forEach(
    ({ datum }, end) => b.join({ kind: "trim", id: `${c.id}>end${end}`, a: c.id, datum, as: end === 0 ? "end0" : "end1", contact: "gap" })
  );
  under.forEach((t, i) => {
    if (!over(t, graze)) return;
    const g = gaps[i];
    const inside = room2(t).every(Boolean);
    const straight = l.alignment.curvature === 0;
    const contact = lift - g[1] > FLUSH ? "gap" : straight && inside && g[1] - g[0] < FLUSH ? "face" : "line";
    b.join({
      kind: "lap",
      id: `${c.id}>${t.id.slice(ctx.structure.length + 1)}`,
      a: c.id,
      b: t.id,
      aFace: "-w",
      bFace: "+v",
      contact
    });
  });
}
function between(ties, from, to) {
  const first = (s) => {
    let [lo, hi] = [0, ties.length];
    while (lo < hi) {
      const mid = lo + hi >> 1;
      if (ties[mid].station < s) lo = mid + 1;
      else hi = mid;
    }
    return lo;
  };
  return ties.slice(first(from), first(to));
}
function deckPoint(l, station, y) {
  const at = l.bents.find((x) => Math.abs(x.station - station) < 1e-9);
  return at ? topAt(l, at, y, l.timbers.tie.v) : topOnRun(l, station, y, l.timbers.tie.v);
}
function guard(b, ctx, v, l, name, y, ties) {
  const joints = jointsAlong(l, y, Math.max(2, v.plyBays), 0, !l.laminated);
  const last = l.bents.length - 1;
  const tie = l.timbers.tie;
  const [first, final] = [ties[0].station - tie.w / 2, ties[ties.length - 1].station + tie.w / 2];
  joints.slice(1).forEach((to, n) => {
    const from = joints[n];
    const c = {
      id: `${ctx.structure}/guard/${name}/from${from + 1}`,
      role: "guard timber",
      letter: "U",
      assembly: `${ctx.structure}/deck`,
      timber: l.timbers.guard
    };
    const s0 = from === 0 ? first : l.bents[from].station;
    const s1 = to === last ? final : l.bents[to].station;
    const curve = l.alignment.curve;
    if (l.laminated && s0 < curve[1] && s1 > curve[0]) {
      const m = {
        id: c.id,
        structure: ctx.structure,
        assembly: c.assembly,
        role: c.role,
        letter: c.letter,
        kind: "bent",
        nominal: c.timber.nominal,
        ends: [void 0, void 0],
        body: {
          shape: "run",
          axis: [0, 0, 1],
          rings: ringsOf(l, s0, s1, y, tie.v),
          seat: ["centre", "-"],
          components: single(c.timber.v, c.timber.w, c.timber.components[0].stock)
        }
      };
      b.add(m);
      ties.filter((t) => t.station + tie.w / 2 > s0 + 1e-9 && t.station - tie.w / 2 < s1 - 1e-9).forEach(
        (t) => b.join({
          kind: "lap",
          id: `${c.id}>${t.id.slice(ctx.structure.length + 1)}`,
          a: c.id,
          b: t.id,
          aFace: "-w",
          bFace: "+v",
          contact: "line"
        })
      );
      return;
    }
    along(b, ctx, l, c, y, s0, s1, ties);
  });
}
function bulkheads(b, v, ctx, l) {
  const plank = timberOf(v.bulkhead, ctx.stock(v.bulkhead));
  const last = l.bents.length - 1;
  for (const i of [0, last]) {
    const at = l.bents[i];
    const root = `${ctx.structure}/bent${at.number}`;
    const cap = b.members.find((m) => m.id === `${root}/cap`);
    if (!cap || cap.body.shape !== "straight") continue;
    const side = i === 0 ? -1 : 1;
    const along2 = scale(at.place.along, side);
    const left = normalize(sub(cap.body.b, cap.body.a));
    const up = cross(at.place.along, left);
    const half = Math.hypot(...sub(cap.body.b, cap.body.a)) / 2;
    const tops = [-half, half].map((y) => {
      const line2 = i === 0 ? bayLine(l, at, l.bents[1], y) : bayLine(l, l.bents[last - 1], at, y);
      return dot(sub(addScaled(i === 0 ? line2.a : line2.b, line2.d, side * l.timbers.cap.w), at.cap), up);
    });
    const bay = i === 0 ? l.bents[1].station : at.station - l.bents[last - 1].station;
    const sag = at.place.heading === placeAt(l.alignment, at.station).heading ? 0 : bay * bay * Math.abs(l.alignment.curvature) / 8;
    const top = Math.min(...tops) - 2 * half * Math.abs(l.alignment.grade * Math.tan(at.place.heading - placeAt(l.alignment, at.station).heading)) - 0.05 * Math.sign(Math.abs(l.alignment.grade)) - 2.5 * sag * Math.abs(Math.sin(l.cant));
    const n = Math.floor((top + l.timbers.cap.v) / plank.v + 1e-9);
    for (let k = 0; k < n; k++) {
      const z = top - k * plank.v;
      const mid = addScaled(addScaled(at.cap, along2, l.timbers.cap.w / 2), up, z);
      const id2 = `${root}/bulkhead${k + 1}`;
      b.stick({
        id: id2,
        assembly: root,
        role: "bulkhead plank",
        letter: "E",
        timber: plank,
        a: addScaled(mid, left, -half),
        b: addScaled(mid, left, half),
        up,
        seat: ["+", side < 0 ? "+" : "-"],
        square: true
      });
      if (k > 0)
        b.join({
          kind: "bearing",
          id: `${id2}>above`,
          a: `${root}/bulkhead${k}`,
          b: id2,
          aFace: "-v",
          bFace: "+v",
          contact: "face"
        });
      if (z - plank.v < -1e-6)
        b.join({
          kind: "lap",
          id: `${id2}>cap`,
          a: id2,
          b: `${root}/cap`,
          aFace: side < 0 ? "+w" : "-w",
          bFace: side < 0 ? "-w" : "+w",
          contact: "face"
        });
    }
  }
}

// core/structures/whole-trestle/footings.ts
function footingsOf(v, l, at) {
  if (v.bentKind === "pile" || v.footing === "none") return [];
  const lay = bentLayout(at.values);
  const wide = l.mm(v.footing === "pedestal" ? v.pedestalTop : 0);
  const out = [];
  for (const p of lay.posts) {
    const y = l.mm(postAt(p, lay.sillTop, lay.capUnder));
    const before = out[out.length - 1];
    const room2 = Math.max(wide, l.timbers.cap.w);
    if (before && y - before.y < room2 + 0.05) continue;
    const ground2 = v.groundBy === "heights" ? at.groundZ : at.groundZ + y * v.crossfall / 100;
    out.push({ bent: at.number, post: p.name, y, top: at.footZ, ground: ground2 });
  }
  return out;
}
function footings(b, v, ctx, l) {
  if (v.bentKind === "pile" || v.footing === "none") return;
  const mudsill = timberOf(v.mudsill, ctx.stock(v.mudsill));
  for (const at of l.bents)
    for (const f of footingsOf(v, l, at)) {
      const root = bentRoot(ctx.structure, at);
      const local = (x, y, z) => bentPoint(at)([x, y, z - at.cap[2]]);
      if (v.footing === "mudsill") {
        const half2 = l.mm(v.mudsillLength) / 2;
        const id3 = `${root}/mudsill/${f.post}`;
        b.stick({
          id: id3,
          assembly: root,
          role: "mudsill",
          letter: "D",
          timber: mudsill,
          a: local(-half2, f.y, f.top),
          b: local(half2, f.y, f.top),
          up: bentTurn(at)([0, 1, 0]),
          seat: ["centre", "+"],
          square: true
        });
        b.join({ kind: "lap", id: `${id3}>sill`, a: id3, b: `${root}/sill`, aFace: "+w", bFace: "-v", contact: "face" });
        continue;
      }
      const height = f.top - f.ground;
      const spread = v.pedestalBatter / 12;
      const half = l.mm(v.pedestalTop) / 2 + height * spread;
      const id2 = `${root}/pedestal/${f.post}`;
      const tilt = Math.atan(spread) * 180 / Math.PI;
      const corner = addScaled(addScaled(local(0, f.y, f.ground), at.place.along, -half), at.place.left, -half);
      b.add({
        id: id2,
        structure: ctx.structure,
        assembly: root,
        role: "pedestal",
        letter: "K",
        kind: "block",
        nominal: [0, 0],
        ends: [void 0, void 0],
        body: {
          shape: "panel",
          origin: corner,
          u: at.place.along,
          v: at.place.left,
          outline: [
            [0, 0],
            [2 * half, 0],
            [2 * half, 2 * half],
            [0, 2 * half]
          ],
          bevel: [tilt, tilt, tilt, tilt],
          thickness: model(height),
          stock: "cast",
          holes: []
        }
      });
      b.join({
        kind: "bearing",
        id: `${id2}>sill`,
        a: id2,
        b: `${root}/sill`,
        aFace: "+w",
        bFace: "-v",
        contact: "line"
      });
    }
}

// core/structures/whole-trestle/frame.ts
var bentRoot = (structure, b) => `${structure}/bent${b.number}`;
var bentPoint = (b) => (p) => addScaled(addScaled([b.cap[0], b.cap[1], b.cap[2] + p[2]], b.place.along, p[0]), b.place.left, p[1]);
var bentTurn = (b) => (d) => addScaled(addScaled([0, 0, d[2]], b.place.along, d[0]), b.place.left, d[1]);
function trestleFrame(v, ctx) {
  const l = trestleLayout(v, ctx);
  const b = builder(ctx.structure);
  for (const at of l.bents) {
    const frame = oneBent(v, ctx, at);
    b.members.push(...frame.members);
    b.joints.push(...frame.joints);
    b.datums[`bent${at.number}`] = planeAt(at.deck, at.place.along);
  }
  footings(b, v, ctx, l);
  bracing2(b, v, ctx, l);
  if (v.stringers) stringers2(b, v, ctx, l);
  if (v.stringers && v.ties) deck2(b, v, ctx, l);
  return b.frame();
}
function oneBent(v, ctx, at) {
  const lines = at.values.storyHeights.reduce((s, h) => s + h, 0);
  const lowest = at.values.height - lines;
  const lift = v.swayStep > 0 ? lowest - Math.floor(lowest / v.swayStep + 1e-9) * v.swayStep : 0;
  const pile = v.bentKind === "pile" ? timberOf(v.pileSize, ctx.stock(v.pileSize)) : void 0;
  return bentFrame(at.values, ctx, {
    root: bentRoot(ctx.structure, at),
    place: bentPoint(at),
    turn: bentTurn(at),
    capTilt: at.capTilt,
    lowestSwayLift: toModel(ctx.scale, prototype(lift)),
    lowStoriesBare: true,
    ...pile ? { ground: (y) => at.groundZ - at.cap[2] + y * v.crossfall / 100 } : {},
    ...pile?.round ? { pile: { diameter: pile.v, stock: pile.round } } : {}
  });
}

// core/job/design.ts
function stockLookup(doc, scale3) {
  const used = /* @__PURE__ */ new Map();
  const stock2 = (name) => {
    const known5 = used.get(name);
    if (known5) return known5;
    const n = parseNominal(name);
    if (!n) throw new Error(`\u201C${name}\u201D is no nominal size; write one such as 12\xD712.`);
    const match = chooseStock(n, name, doc.stock, scale3);
    used.set(name, match);
    return match;
  };
  return { stock: stock2, used };
}

// core/job/issue.ts
import { sha256 as sha2562 } from "@noble/hashes/sha2.js";
import { bytesToHex, utf8ToBytes } from "@noble/hashes/utils.js";

// bench/largeTrestleValues.ts
function largeTrestle(bents2, edit = 0) {
  const bays = Array.from({ length: bents2 - 1 }, (_, i) => feet(15) + (i === 4 ? inches(edit) : 0));
  const length3 = (bents2 - 1) * feet(15);
  return {
    ...defaultsOf(trestleSpec),
    bentSet: "each",
    bays,
    curve: "radius",
    radius: Math.max(feet(460), length3 / 3),
    grade: 2,
    superelevation: inches(3),
    profile: Array.from({ length: 21 }, (_, i) => [
      i / 20 * length3,
      0.02 * (i / 20) * length3 - feet(12) - feet(46) * Math.sin(Math.PI * i / 20) ** 2
    ]),
    posts: 5,
    spacings: [feet(3, 6), feet(3, 6), feet(3)],
    between: "both",
    footing: "pedestal",
    girts: "every",
    braces: "every",
    walkway: "both",
    refugeEvery: 6,
    barrelEvery: 8,
    capSet: "overhang"
  };
}

// bench/_prof.ts
var scale2 = scaleOf("HO");
var { stock } = stockLookup({ stock: { milling: "full-sawn", series: ["scale"], choices: {}, sticks: {} } }, scale2);
for (let i = 0; i < 8; i++) {
  const f = trestleFrame(largeTrestle(120, i), { structure: "t", scale: scale2, stock });
  const r = resolve(f);
  elevation(r.sticks, VIEWS.side);
  if (process.argv[2]) piecesOf(r.sticks);
}
