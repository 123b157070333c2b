import { addScaled, type Vec3 } from "../geometry";
import { axesOf, componentCentre } from "./axes";
import { model } from "../units";
import type { Frame, Member } from "./member";
import { profileBoxes } from "./section";

/** The member's own id of a stick's: "post#2" is a component of "post". */
export const wholeId = (id: string): string => id.replace(/#.*$/, "");

/** One component of a built-up straight member, or web or flange of a shape, as a member of its own: its work line runs through its own centre. Errors: a component that is not there. */
export function componentOf(m: Member, name: string, id: string): Member {
  const body = m.body;
  const i = body.shape === "straight" ? body.components.findIndex((c) => c.name === name) : -1;
  const shape = body.shape === "straight" && i < 0 && body.components.length === 1 ? body.components[0]! : undefined;
  const box = shape?.profile && profileBoxes(shape).find((b) => b.name === name);
  if (body.shape === "straight" && shape && box) {
    const x = axesOf(body);
    const [v, w] = componentCentre(body, 0);
    const shift = (p: Vec3): Vec3 => addScaled(addScaled(p, x.v, v + box.at[0]), x.w, w + box.at[1]);
    const part = { name: "", v: model(box.size[0]), w: model(box.size[1]), at: [model(0), model(0)] as const, stock: shape.stock }; // prettier-ignore
    return { ...m, id, body: { ...body, a: shift(body.a), b: shift(body.b), seat: ["centre", "centre"], components: [part] } }; // prettier-ignore
  }
  if (body.shape !== "straight" || i < 0)
    throw new Error(`A joint names "${id}", and the ${m.role} "${m.id}" has no component "${name}".`);
  const x = axesOf(body);
  const [v, w] = componentCentre(body, i);
  const shift = (p: Vec3): Vec3 => addScaled(addScaled(p, x.v, v), x.w, w);
  const component = { ...body.components[i]!, at: [0, 0] as never };
  return {
    ...m,
    id,
    body: { ...body, a: shift(body.a), b: shift(body.b), seat: ["centre", "centre"], components: [component] },
  };
}

/** Looks up what joints name: a member by its id, or one component of it by id#name. Errors: neither is in the frame. */
export function memberLookup(frame: Frame): (id: string) => Member {
  const members = new Map<string, Member>();
  for (const m of frame.members) members.set(m.id, m);
  return (id) => {
    const plain = members.get(id);
    if (plain) return plain;
    const m = members.get(wholeId(id));
    if (!m) throw new Error(`A joint names the member "${id}", which is not in the frame.`);
    return id === m.id ? m : componentOf(m, id.slice(m.id.length + 1), id);
  };
}
