import type { Vec3 } from "../../../geometry";
import type { Builder } from "../../builder";
import { onWall } from "../plan/sides";
import { stacksOf } from "../openings/stacks";
import { rootOf, type BuildingLayout, type Wall } from "../plan/layout";
import { touching } from "../walls/wallKit";

/** Boards round every opening, on the framing: two at the sides, one over them, one under a window. */
export function casings(b: Builder, l: BuildingLayout, w: Wall): void {
  const { t } = l;
  const root = rootOf(l, w.name);
  const c = t.casing;
  const sheetId = `${root}/sheet`;
  const sheet = b.members.find((m) => m.id === sheetId);
  const stacks = stacksOf(l, w);
  // a thousand sticks are looked through once a wall, not once an opening
  const framing = b.members.filter(
    (m) => m.assembly === root && /king|jack|opening post|header|window sill|^stud$/.test(m.role),
  );
  for (const g of w.gaps) {
    if (g.open) continue;
    const put = (name: string, a: Vec3, d: Vec3, up: Vec3): string =>
      b.stick({
        id: `${root}/${g.name}/casing/${name}`,
        assembly: root,
        role: "casing",
        letter: "CS",
        timber: c,
        a,
        b: d,
        up,
        square: true,
      }).id;
    const at = (s: number, z: number): Vec3 => onWall(w, s, -c.w / 2, z);
    const foot = g.door ? 0 : g.sill;
    const sides = [-1, 1].map((k) =>
      put(
        k < 0 ? "left" : "right",
        at(k < 0 ? g.from - c.v / 2 : g.to + c.v / 2, foot),
        at(k < 0 ? g.from - c.v / 2 : g.to + c.v / 2, g.head),
        w.e,
      ),
    );
    const head = put("head", at(g.from - c.v, g.head + c.v / 2), at(g.to + c.v, g.head + c.v / 2), [0, 0, 1]);
    const all = [...sides, head];
    if (!g.door) all.push(put("sill", at(g.from - c.v, g.sill - c.v / 2), at(g.to + c.v, g.sill - c.v / 2), [0, 0, 1]));
    const own = stacks.find((x) => x.gaps.includes(g))!.gaps.map((x) => `${root}/${x.name}/`);
    const behind = framing.filter((m) => own.some((x) => m.id.startsWith(x)));
    for (const id of all)
      for (const m of sheet ? [sheet] : behind) b.join(touching(id, m.id, /left|right/.test(id) ? "+w" : "-w", "+v"));
  }
}
