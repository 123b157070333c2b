import { type Frame, type Joint, type Member, type Seat } from "../frame";
import type { Plane, Vec3 } from "../geometry";
import { model } from "../units";
import type { Timber } from "./timber";

/** A straight stick to be placed: its work line, the direction of its v and how it hangs on the line. */
export interface StickSeed {
  readonly id: string;
  readonly assembly: string;
  readonly role: string;
  readonly letter: string;
  readonly timber: Timber;
  readonly a: Vec3;
  readonly b: Vec3;
  readonly up: Vec3;
  readonly seat?: readonly [Seat, Seat];
  /** Which ends are cut square at the end of the work line; joints cut the others. */
  readonly square?: boolean | readonly [boolean, boolean];
  /** How its ends finish where no joint cuts them, in place of `square`. */
  readonly ends?: Member["ends"];
  readonly loose?: boolean;
  /** Length by the framing square, before it is shortened. */
  readonly theoretical?: number;
}
/** Gathers the members and joints of a frame while a generator places them. */
export interface Builder {
  readonly members: Member[];
  readonly joints: Joint[];
  readonly datums: Record<string, Plane>;
  readonly nodes: Frame["nodes"][number][];
  stick(s: StickSeed): Member;
  add(m: Member): Member;
  join(j: Joint): void;
  frame(): Frame;
}
/** The ends of a stick by which of them are square: thousands of sticks share these four. */
const ENDS = ([0, 1, 2, 3] as const).map((k): Member["ends"] => {
  const end = (is: boolean) => (is ? ({ kind: "square", beyond: 0 } as const) : undefined);
  return [end((k & 1) > 0), end((k & 2) > 0)];
});
function endsOf(square: StickSeed["square"] = false): Member["ends"] {
  const [a, b] = typeof square === "boolean" ? [square, square] : square;
  return ENDS[(a ? 1 : 0) + (b ? 2 : 0)]!;
}
const CENTRED: readonly [Seat, Seat] = ["centre", "centre"];

/** The most sticks of one structure. */
const MOST_MEMBERS = 100_000;

/** A builder for a structure of that id. */
export function builder(structure: string): Builder {
  const members: Member[] = [];
  const joints: Joint[] = [];
  const nodes: Frame["nodes"][number][] = [];
  const datums: Record<string, Plane> = {};
  const add = (m: Member): Member => {
    // 240 bents with all their ties are 17,000: what asks for more has got out of hand
    if (members.length >= MOST_MEMBERS)
      throw new Error(`This would take more than ${MOST_MEMBERS.toLocaleString("en")} sticks. Space them wider, or make it of several structures.`); // prettier-ignore
    members.push(m);
    return m;
  };
  return {
    members,
    joints,
    datums,
    nodes,
    add,
    stick: (s) =>
      add({
        id: s.id,
        structure,
        assembly: s.assembly,
        role: s.role,
        letter: s.letter,
        kind: s.timber.round ? "round" : "strip",
        nominal: s.timber.nominal,
        ends: s.ends ?? endsOf(s.square),
        ...(s.loose ? { loose: true } : {}),
        ...(s.theoretical === undefined ? {} : { theoretical: model(s.theoretical) }),
        body: s.timber.round
          ? { shape: "round", a: s.a, b: s.b, up: s.up, diameter: s.timber.v, stock: s.timber.round }
          : {
              shape: "straight",
              a: s.a,
              b: s.b,
              up: s.up,
              seat: s.seat ?? CENTRED,
              components: s.timber.components,
            },
      }),
    join: (j) => void joints.push(j),
    frame: () => ({ members, joints, nodes, datums }),
  };
}
