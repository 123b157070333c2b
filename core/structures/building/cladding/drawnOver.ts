import type { Member } from "../../../frame";
import type { Builder } from "../../builder";
import { dormersOf } from "../roof/dormer";
import { rootOf, type BuildingLayout } from "../plan/layout";
import { roofHolesOf } from "../roof/roofHoles";
import { interruptionsOf } from "../roof/valley";

/** Marks what lies over rafters for who draws by depth: boards and caps, flashing, dormers, and roofs that break into a slope. */
export function drawnOver(b: Builder, l: BuildingLayout): void {
  const main = `${rootOf(l, l.main.name)}/roof`;
  const role = "common rafter";
  const onMain = (side: string, group: string): Member["over"] => ({ assembly: `${main}/slope-${side}`, role, group });
  const groups: readonly (readonly [prefix: string, over: Member["over"]])[] = [
    ...roofHolesOf(l).map((h) => [`${main}/${h.name}/`, onMain(h.side, h.name)] as const),
    ...dormersOf(l).map((d) => [rootOf(l, d.part.name), onMain(d.side, d.part.name)] as const),
    ...interruptionsOf(l).map((i) => [`${rootOf(l, i.wing.name)}/roof/`, onMain(i.side, i.wing.name)] as const),
  ];
  b.members.forEach((m, i) => {
    const group = groups.find(([prefix]) => m.id.startsWith(prefix));
    const cover = /^(.*\/roof)\/cover-([SNEW])/.exec(m.assembly);
    const own = cover && `${cover[1]}/slope-${cover[2]}`;
    const over = group ? { ...group[1]!, ...(own ? { own } : {}) } : own && { assembly: own, role, group: m.id };
    if (over) b.members[i] = { ...m, over };
  });
}
