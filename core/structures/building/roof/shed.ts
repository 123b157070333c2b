import { planeAt, NEAR } from "../../../geometry";
import { type RoofKit, birdsmouthOver, over, planeZ, plateId, rafter, tail, wallOn } from "./slopes";
import { buttJoint } from "../walls/wallKit";
import { type EndRafter, gableStuds } from "../walls/gableStuds";
import { rafterStations } from "./rafterStations";
import { lookouts } from "./lookouts";

/** A single slope: of a shed between its two walls, of a lean-to against the wall of the main part. */
export function shedRoof(k: RoofKit): void {
  const { l, part, b, root } = k;
  const { t } = l;
  const s = part.slopes.S!;
  const lean = part.roof === "lean";
  const width = part.q[1] - part.q[0];
  const { out } = part;
  const stations = rafterStations(k);
  const deep = t.rafter.v * Math.hypot(1, s.k);
  const overs = part.gableOut;
  let ledger: string | undefined;
  if (lean) {
    // on the wall, its top in the slope at its outside
    const z = planeZ(s, width - t.ridge.w);
    ledger = b.stick({
      id: `${root}/roof/ledger`,
      assembly: `${root}/roof/frame`,
      role: "ledger",
      letter: "LG",
      timber: t.ridge,
      a: [part.p[0] - overs, part.q[1], z],
      b: [part.p[1] + overs, part.q[1], z],
      up: [0, 0, 1],
      seat: ["+", "-"],
      square: true,
    }).id;
    k.holdOnMain(ledger, z - t.ridge.v, z);
  }
  const high = wallOn(part, "N");
  if (!lean) b.datum(`${root}/eave-high`, planeAt(over(part, "N", 0, -out, 0), [0, 1, 0]));
  const ends: Record<"W" | "E", EndRafter[]> = { W: [], E: [] };
  const place = (at: number, name: string, fly: boolean): string => {
    const id = `S/${name}`;
    const full = `${root}/roof/${id}`;
    rafter(k, {
      id,
      role: fly ? "barge rafter" : "common rafter",
      slope: s,
      at,
      from: -out,
      to: lean ? width : width + out,
      run: width,
      ends: [tail(k, full, s), undefined],
      assembly: "slope-S",
    });
    if (!fly) b.join(birdsmouthOver(k, full, s, at));
    if (ledger) b.join(buttJoint(full, 1, ledger, "+w", deep <= t.ridge.v + NEAR ? "face" : "line"));
    else {
      b.join({ kind: "trim", id: `${full}/high`, a: full, datum: `${root}/eave-high`, as: "end1", contact: "gap" });
      const plates = [...new Set([plateId(l, high!), plateId(l, high!, 1)])];
      if (!fly)
        b.join({
          kind: "notch",
          id: `${full}>high`,
          a: full,
          b: plates[0]!,
          also: plates.slice(1),
          contact: "face",
          faces: [
            { of: plates[0]!, face: "-w" },
            { of: plates[0]!, face: "-v" },
          ],
        });
    }
    return full;
  };
  stations.forEach((at, i) => {
    const id = place(at, String(i + 1), false);
    const end = i === 0 ? "W" : i === stations.length - 1 ? "E" : undefined;
    if (end) ends[end].push({ id, q: [part.q[0], part.q[1]], under: (q) => planeZ(s, q - part.q[0]) - deep });
  });
  if (overs > t.rafter.w + 0.2 && stations.length > 2) {
    place(part.p[0] - overs + t.rafter.w / 2, "barge-left", true);
    place(part.p[1] + overs - t.rafter.w / 2, "barge-right", true);
    lookouts(k, [s], stations, [overs, overs], [width]);
  }
  (["W", "E"] as const).forEach((side) => {
    const wall = wallOn(part, side);
    if (wall) gableStuds(k, { wall, rafters: ends[side], ridge: undefined, peakQ: part.q[1] });
  });
}
