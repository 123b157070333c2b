import type { Plane, Vec2, Vec3 } from "../geometry";
import type { Profile } from "../lumber/shapes";
import type { Model } from "../units";

/**
 * A side of a member's uncut stock, in its own axes: u runs along the work line from a to b, v is the `up` given made
 * square to u, w = u × v. A panel's sides are its faces "+w" and "-w" and its edges "e0", "e1", … in outline order; a
 * bent strip's v and w are its rings' at each place, and a round has flats towards all four.
 */
export type Face = "+v" | "-v" | "+w" | "-w" | `e${number}`;
export type End = 0 | 1;
/** How a piece may be turned and still be the same. */
export type Turning = "any" | "face" | "none";

/** What is left of a component's box when it is milled to a shape; `deep` is the way its web stands. */
export interface ComponentProfile extends Profile {
  readonly deep: "v" | "w";
  /** Turned half round about its length: a channel's back is on the other side. */
  readonly turned?: boolean;
}
/** One stick of a section: sizes along v and w, and its centre from the centre of the whole. Single sticks have one with an empty name. */
export interface Component {
  readonly name: string;
  readonly v: Model;
  readonly w: Model;
  readonly at: readonly [Model, Model];
  /** The stock item it is cut from. */
  readonly stock: string;
  readonly profile?: ComponentProfile;
}
/** Where the section hangs on the work line, along v or w: its centre, or its positive or negative side, lies on the line. */
export type Seat = "centre" | "+" | "-";

export interface StraightBody {
  readonly shape: "straight";
  readonly a: Vec3;
  readonly b: Vec3;
  readonly up: Vec3;
  readonly seat: readonly [Seat, Seat];
  readonly components: readonly Component[];
}
export interface RoundBody {
  readonly shape: "round";
  readonly a: Vec3;
  readonly b: Vec3;
  readonly up: Vec3;
  readonly diameter: Model;
  readonly stock: string;
}
/** A plane across a run: where the work line passes through, and what a mm of the section's v and w is in that plane (longer than a unit where the run climbs). */
export interface Ring {
  readonly at: Vec3;
  readonly v: Vec3;
  readonly w: Vec3;
  /** Heading about the run's axis, radians. */
  readonly turn: number;
}
/** Strips bent to follow a run of rings: an arc, tangents and a curve, on a grade or canted. Plies on the same rings meet face to face. */
export interface RunBody {
  readonly shape: "run";
  /** What the headings turn about: up, for a track. */
  readonly axis: Vec3;
  readonly rings: readonly Ring[];
  readonly seat: readonly [Seat, Seat];
  readonly components: readonly Component[];
}
/** A convex sheet part. The outline is counter-clockwise in (u, v) on its "-w" face; bevel[i], degrees, tilts edge i so that positive shortens the "+w" side. */
export interface PanelBody {
  readonly shape: "panel";
  readonly origin: Vec3;
  readonly u: Vec3;
  readonly v: Vec3;
  readonly outline: readonly Vec2[];
  readonly bevel: readonly number[];
  readonly thickness: Model;
  readonly stock: string;
  /** Lines on its "+w" face, square to `across`: one at `first` (model mm from the outline's origin) and every pitch from there, both ways. `turns` where half a turn in its plane changes nothing. */
  readonly texture?: {
    readonly across: "u" | "v";
    readonly pitch: Model;
    readonly first: number;
    readonly turns: boolean;
  };
  /** Convex holes and pockets, counter-clockwise, with the bevel of each edge. */
  readonly holes: readonly {
    readonly name: string;
    readonly outline: readonly Vec2[];
    readonly bevel: readonly number[];
  }[];
}
export type Body = StraightBody | RoundBody | RunBody | PanelBody;

/** How an end finishes that no joint cuts. `beyond` is past the end of the work line, model mm. */
export type FreeEnd =
  | { readonly kind: "square"; readonly beyond: number }
  | { readonly kind: "plumb" | "level"; readonly beyond: number };

/** A stick, round, bent strip, panel or block placed in space. Its id is a semantic path that survives edits. */
export interface Member {
  readonly id: string;
  readonly structure: string;
  readonly assembly: string;
  /** The trade's word for what it does: "cap", "batter post", "sway brace". */
  readonly role: string;
  /** The letters its piece mark begins with. */
  readonly letter: string;
  readonly kind: "strip" | "round" | "bent" | "panel" | "block";
  /** Nominal inches, thickness then width; what the real section stands for. */
  readonly nominal: readonly [number, number];
  readonly body: Body;
  readonly ends: readonly [FreeEnd | undefined, FreeEnd | undefined];
  /** Where it may be spliced, over its supports: distances along the work line from a, model mm. */
  readonly spliceOver?: readonly number[];
  /** Where it is spliced, square: some of those; of a panel places along its u, model mm. A stored rule chooses them from the stick's length; a cut plan never does. */
  readonly splices?: readonly number[];
  /** What the framing square gives for it, model mm: from the outside of the plate to the centre of the ridge or hip, before it is shortened. */
  readonly theoretical?: Model;
  /** Stands alone or lifts off: it need not hang together with the rest. */
  readonly loose?: boolean;
  /** Stands on the ground: what stands on it hangs together by it, like the bents of a trestle that has no stringers. */
  readonly grounded?: boolean;
  /** What it lies over, for a painter who goes by depth: the sticks of a role in an assembly, which slope away under it. Those of a group keep their own order, but for what lies over an assembly of the group's own besides, or on a stick that was placed before it. */
  readonly over?: { readonly assembly: string; readonly role: string; readonly group: string; readonly own?: string; readonly on?: string }; // prettier-ignore
  /** "any": plain stock may be turned over every way; "face": the -w face has to stay out of sight (textured or grained); "none": what is on its face has its own way up. */
  readonly turning?: Turning;
}

/** The name of a member's nominal size, by which its stock is chosen: "12×12", "⌀2" for a round. */
export const nominalOf = (kind: Member["kind"], nominal: readonly [number, number]): string =>
  kind === "round" ? `⌀${nominal[0]}` : nominal.join("×");

/** What a joint will show: a face that bears, a line, or a gap. */
export type Contact = "face" | "line" | "gap";

interface JointBase {
  readonly id: string;
  /** The member that is cut or laid on. */
  readonly a: string;
  readonly contact: Contact;
  /** What to do where a face is not to be had. */
  readonly remedy?: string;
}
/** A place where a lapped member ends: square past the whole crossing by `beyond` mm, or flush with b's far side. */
export interface LapEnd {
  readonly end: End;
  readonly finish: "square" | "flush";
  readonly beyond: number;
  /** The side of b, facing outward along a, that "flush" follows. */
  readonly past: Face;
}
/** a's end is cut to b's face, or stops `gap` short of it. `end` is the one that meets it. */
export interface ButtJoint extends JointBase {
  readonly kind: "butt";
  readonly b: string;
  readonly end: End;
  readonly face: Face;
  readonly gap?: number;
}
/** a lies with one face on a face of b; nothing is let in. */
export interface LapJoint extends JointBase {
  readonly kind: "lap";
  readonly b: string;
  readonly aFace: Face;
  readonly bFace: Face;
  readonly finish?: LapEnd;
}
/** a loses what lies behind all the named faces, and datum planes, at once: a seat and heel make a bird's-mouth. */
export interface NotchJoint extends JointBase {
  readonly kind: "notch";
  readonly b: string;
  /** Further members that the cut bears on: the lower of two plates behind a deep heel. */
  readonly also?: readonly string[];
  readonly faces: readonly ({ readonly of: string; readonly face: Face } | { readonly datum: string })[];
}
/** a's and b's ends meet on the plane that halves their angle. */
export interface MitreJoint extends JointBase {
  readonly kind: "mitre";
  readonly b: string;
  readonly end: End;
  readonly bEnd: End;
}
/** b passes through a hole in a; `clearance` is added all round. */
export interface ThroughJoint extends JointBase {
  readonly kind: "through" | "rod-in-hole";
  readonly b: string;
  readonly clearance: number;
}
/** a rests on b's face without being cut; aFace is a stock face or an end. */
export interface BearingJoint extends JointBase {
  readonly kind: "bearing";
  readonly b: string;
  readonly aFace: Face | "end0" | "end1";
  readonly bFace: Face;
}
/** a is trimmed to a named datum plane: at an end, or along its length (rips, tapers, backing). */
export interface TrimJoint extends JointBase {
  readonly kind: "trim";
  readonly datum: string;
  readonly as: "end0" | "end1" | "length";
}
export type Joint = ButtJoint | LapJoint | NotchJoint | MitreJoint | ThroughJoint | BearingJoint | TrimJoint;

/** One end that meets at a node. `faces` names the side of each member above it that trims it; where it is silent, the side that looks along this member is meant. */
export interface NodeEnd {
  readonly member: string;
  readonly end: End;
  readonly faces?: Readonly<Record<string, readonly Face[]>>;
}
/** Where many meet: tiers in order of priority. Each end is trimmed by every member above it, equals are mitred, `gap` leaves room under a gusset. */
export interface FrameNode {
  readonly id: string;
  readonly tiers: readonly (readonly NodeEnd[])[];
  /** A member that passes by without ending here stands above all tiers. */
  readonly passing?: readonly string[];
  readonly gap: number;
}

/** Members placed in space and what joins them. Pure data: nothing is cut yet. */
export interface Frame {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
  readonly nodes: readonly FrameNode[];
  readonly datums: Readonly<Record<string, Plane>>;
}
export const emptyFrame: Frame = { members: [], joints: [], nodes: [], datums: {} };
