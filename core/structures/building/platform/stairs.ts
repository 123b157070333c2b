import { flight } from "../../../carpentry";
import { model, prototype, toPrototype } from "../../../units";
import type { Builder } from "../../builder";
import { hasLoftFlight } from "../plan/nominal";
import { loftFlight } from "./loftFlight";
import { onWall } from "../plan/sides";
import { rootOf, type BuildingLayout } from "../plan/layout";
import { layFlight, type FlightStock } from "../../flightSticks";
import { move, placed, quartersOf } from "../../place";
import { wallNamed } from "./platform";

/** No flight goes on for as long as this: at 7 in a riser it is 87 ft high. */
const MOST_RISERS = 150;

/** What a stair of a row comes to: its flight in prototype mm and where its foot stands. Errors: ground at or over the level it leads to. */
export function stairOf(l: BuildingLayout, row: BuildingLayout["v"]["stairs"][number]) {
  const wall = wallNamed(l, row.side);
  const top = l.mm(row.level);
  const at = (out: number): number => {
    const [x, y] = onWall(wall, l.mm(row.at), -out, 0);
    return l.ground(x, y);
  };
  const landing = l.mm(row.out) + (row.out > 0 ? l.mm(l.v.plankOver) : l.proud);
  // the ground may fall away under the flight: its foot is found in a few steps
  let ground = at(landing);
  for (let i = 0; i < 8; i++) {
    if (top - ground < 0.3)
      throw new Error(`Stair on the ${row.side}: the ground there is not below the level it leads to.`);
    const f = flight(toPrototype(l.ctx.scale, model(top - ground)), row.tread, row.riser);
    if (f.risers > MOST_RISERS)
      throw new Error(
        `Stair on the ${row.side}: the ground falls away faster than its treads go down, so its foot stands nowhere (it would take more than ${MOST_RISERS} risers). Make the treads shorter or the risers higher.`,
      );
    ground = at(landing + l.mm(prototype(f.run)));
  }
  if (top - ground < 0.3)
    throw new Error(`Stair on the ${row.side}: the ground there is not below the level it leads to.`);
  return {
    wall,
    top,
    ground,
    landing,
    flight: flight(toPrototype(l.ctx.scale, model(top - ground)), row.tread, row.riser),
  };
}

/** The flights up to the walls and platforms, and the one inside to the loft. */
export function stairs(b: Builder, l: BuildingLayout): void {
  const { v, mm } = l;
  const made: FlightStock = { mm, t: { tread: l.t.tread, stringer: l.t.stringer, rail: l.t.lookout } };
  v.stairs.forEach((row, i) => {
    const s = stairOf(l, row);
    if (s.flight.treads < 1) return;
    const [x, y] = onWall(s.wall, mm(row.at), 0, 0);
    layFlight(b, made, placed(b, { quarters: quartersOf(s.wall.e), at: [x, y] }), {
      root: rootOf(l, `stair${i + 1}`),
      half: mm(row.width) / 2,
      q0: -s.landing,
      ground: s.ground,
      f: s.flight,
      rail: row.rail,
    });
  });
  if (!hasLoftFlight(v)) return;
  const { main, t } = l;
  const root = rootOf(l, "loft-stair");
  const [x, y] = move(main.place, [main.p[0] + mm(v.loftStairAt) + mm(v.loftStairWidth) / 2, 0, 0]);
  const q0 = main.q[0] + mm(v.loftStairIn) + mm(v.loftStairLength);
  layFlight(b, made, placed(b, { quarters: main.place.quarters, at: [x, y] }), {
    root,
    // clear of the joists on both sides
    half: mm(v.loftStairWidth) / 2 - t.joist.w - 0.2,
    q0,
    ground: 0,
    f: loftFlight(v),
    rail: false,
  });
}
