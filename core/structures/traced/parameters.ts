import { Type } from "class-transformer";
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  Max,
  Min,
  ValidateNested,
} from "class-validator";
import { finite, id, many, nominalSize, point, text } from "../fields";

/** How far a traced structure may reach, prototype mm: a kilometre. */
const FAR = 1e6;

/** How an end is finished where no joint cuts it; `beyond` is past the end drawn, prototype mm. */
export class TraceEnd {
  @IsIn(["square", "plumb", "level"]) kind!: "square" | "plumb" | "level";
  @IsNumber(finite) @Min(-FAR) @Max(FAR) beyond!: number;
}
/** A member drawn on an elevation, prototype mm, [across, up]. */
export class Trace {
  @id() id!: string;
  @text(40) role!: string;
  @nominalSize() section!: string;
  @point() from!: [number, number];
  @point() to!: [number, number];
  /** Where the timber lies to the line drawn, looking from its start to its end: centred on it, or all to the left or right of it. */
  @IsIn(["centre", "left", "right"]) seat!: "centre" | "left" | "right";
  /** Laid flat: the thickness shows, not the width. */
  @IsBoolean() flat!: boolean;
  /** Middle members lie on the elevation's plane, near ones on their face towards the eye, far ones behind. */
  @IsIn(["near", "middle", "far"]) layer!: "near" | "middle" | "far";
  /** Who runs through where two of a layer meet: the higher one. */
  @IsInt() @Min(-1000) @Max(1000) order!: number;
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(2)
  @ValidateNested({ each: true })
  @Type(() => TraceEnd)
  ends!: [TraceEnd, TraceEnd];
}
export const JOINTS = ["none", "butt", "mitre", "notch", "halved", "lap"] as const;
/** A joint chosen by hand where two members meet, instead of the one proposed. */
export class TraceJoint {
  @id() a!: string;
  @id() b!: string;
  @IsIn(JOINTS) kind!: (typeof JOINTS)[number];
  /** How deep a notch lets one into the other, prototype mm. */
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1000) depth?: number;
}
/** A member across the width: over all places and lying on a member's side, or from place to place between members. */
export class TraceCross {
  @id() id!: string;
  @text(40) role!: string;
  @nominalSize() section!: string;
  @IsBoolean() flat!: boolean;
  /** The member it lies on or stands between, and how far along that, prototype mm from its start. */
  @id() on!: string;
  @IsNumber(finite) @Min(-FAR) @Max(FAR) at!: number;
  @IsIn(["through", "between"]) run!: "through" | "between";
  /** The side of the member it lies on, looking from its start to its end. */
  @IsIn(["left", "right"]) side!: "left" | "right";
  /** Past the outer places, prototype mm. */
  @IsNumber(finite) @Min(-FAR) @Max(FAR) overhang!: number;
}
/** All that a person drew of a traced structure. */
export class TracedParams {
  @many(2000) @Type(() => Trace) members!: Trace[];
  @many(4000) @Type(() => TraceJoint) joints!: TraceJoint[];
  @many(1000) @Type(() => TraceCross) crosses!: TraceCross[];
  /** Where along the track the elevation stands, prototype mm. */
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(200) @IsNumber(finite, { each: true }) places!: number[];
  /** The plumb centre line about which all is mirrored, prototype mm across. */
  @IsOptional() @IsNumber(finite) mirror!: number | null;
}
export const emptyTrace = (): TracedParams => ({ members: [], joints: [], crosses: [], places: [0], mirror: null });

/** The roles a traced member can have, and the letter its piece mark begins with. Any other role is marked X. */
export const ROLES: readonly (readonly [role: string, letter: string])[] = [
  ["post", "P"],
  ["batter post", "P"],
  ["king post", "K"],
  ["queen post", "Q"],
  ["tie beam", "T"],
  ["bottom chord", "T"],
  ["top chord", "O"],
  ["principal rafter", "R"],
  ["rafter", "R"],
  ["strut", "U"],
  ["brace", "B"],
  ["sway brace", "B"],
  ["knee brace", "N"],
  ["cap", "C"],
  ["sill", "S"],
  ["beam", "E"],
  ["plate", "A"],
  ["stud", "D"],
  ["girt", "G"],
  ["purlin", "L"],
  ["floor beam", "F"],
  ["stringer", "J"],
  ["board", "W"],
];
export const letterOf = (role: string): string => ROLES.find(([r]) => r === role)?.[1] ?? "X";
