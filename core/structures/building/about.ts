import type { Member } from "../../frame";
import { buildingSpec } from "./parameters";

const G = {
  plan: buildingSpec.length.group,
  walls: buildingSpec.studSpacing.group,
  openings: buildingSpec.openings.group,
  floor: buildingSpec.joistSpacing.group,
  roof: buildingSpec.rise.group,
  eaves: buildingSpec.overhang.group,
  cladding: buildingSpec.exposure.group,
  foundation: buildingSpec.pierSpacing.group,
  wings: buildingSpec.wings.group,
  stairs: buildingSpec.stairs.group,
  holes: buildingSpec.roofHoles.group,
  dormers: buildingSpec.dormers.group,
} as const;

/** The groups and rows that a stick of a building belongs to, the nearest first: what the panel shows when it is pressed. */
export function aboutStick({ id, role, assembly }: Pick<Member, "id" | "role" | "assembly">): readonly string[] {
  const path = id.slice(id.indexOf("/") + 1);
  const row = (noun: string, table: string): string[] =>
    [...path.matchAll(new RegExp(`(?:^|/)${noun}(\\d+)`, "g"))].map((m) => `${table}.${Number(m[1]) - 1}`);
  const rows = [
    ...row("opening", "openings"),
    ...row("wing", "wings"),
    ...row("dormer", "dormers"),
    ...row("partition", "partitions"),
    ...row("stair", "stairs"),
  ];
  const place = assembly.slice(assembly.indexOf("/") + 1);
  const groups =
    /facing|clapboard|siding|board|batten|corner board|casing|water table|frieze/.test(role) &&
    !/roof|floor|platform/.test(place)
      ? [G.cladding, G.openings, G.walls]
      : /roof|slope|cover/.test(place) || /rafter|ridge|purlin|collar|truss/.test(role)
        ? [G.roof, G.eaves, G.holes]
        : /fascia|barge|soffit|lookout|bracket/.test(role)
          ? [G.eaves, G.roof]
          : /foundation|pier|stand/.test(place)
            ? [G.foundation]
            : /floor|loft|platform/.test(place)
              ? [G.floor, G.plan]
              : [G.walls, G.openings, G.plan];
  return [...rows, ...new Set<string>(groups)];
}
