import "../reflected";
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from "class-validator";
import { Type } from "class-transformer";
import { finite, id, many, text } from "../structures/fields";

/** What a coat is: it decides what comes before it and after it. */
export const COAT_KINDS = ["stain", "primer", "paint", "weathering", "clear", "decal"] as const;
export type CoatKind = (typeof COAT_KINDS)[number];
/** Parts of a structure that are finished alike, in the order in which they are told. */
export const FINISH_GROUPS = ["framing", "walls", "trim", "openings", "roof", "floors", "rods", "ground"] as const;
export type FinishGroup = (typeof FINISH_GROUPS)[number];
/** When parts are finished: every piece before it is glued; on the board, sub-assembly by sub-assembly; or where it stands. */
export const FINISH_TIMES = ["loose", "board", "standing"] as const;
export type FinishTime = (typeof FINISH_TIMES)[number];

/** A coat that a job uses, with its mix, so that it can be found again: minutes until it may be touched, and until it may be masked or painted over; cm² to the millilitre. */
export class CoatDoc {
  @id() id!: string;
  @text(60) name!: string;
  @IsIn(COAT_KINDS) kind!: CoatKind;
  @text(300) mix!: string;
  @IsNumber(finite) @Min(0) @Max(20_000) touch!: number;
  @IsNumber(finite) @Min(0) @Max(100_000) over!: number;
  @IsNumber(finite) @Min(1) @Max(10_000) covers!: number;
}
/** How a group of parts of a structure is finished: its coats by their ids, the first one first. */
export class FinishPartDoc {
  @id() structure!: string;
  @IsIn(FINISH_GROUPS) group!: FinishGroup;
  @IsIn(FINISH_TIMES) when!: FinishTime;
  @IsArray() @ArrayMaxSize(12) @IsString({ each: true }) @MaxLength(40, { each: true }) coats!: string[];
}
/** A change to the order of assembly by hand: a step moved before another (to the end where none is named), some of its pieces made a step of their own, two joined, or one added. */
export class OrderEditDoc {
  @IsIn(["move", "split", "join", "add"]) kind!: "move" | "split" | "join" | "add";
  @text(400) step!: string;
  @IsOptional() @text(400) before?: string;
  @IsOptional() @text(400) with?: string;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(2000)
  @IsString({ each: true })
  @MaxLength(300, { each: true })
  sticks?: string[];
  @IsOptional() @text(120) title?: string;
  @IsOptional() @text(1000) text?: string;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(10_000) minutes?: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(100_000) rest?: number;
}
/** What a step is joined with where it is not the usual joining of its materials: of one step, or of every one that would take `instead`. By its id, with its name for lists. */
export class GlueDoc {
  @IsOptional() @text(400) step?: string;
  @IsOptional() @text(60) instead?: string;
  @text(60) with!: string;
  @text(80) name!: string;
}
/** What is made many times from one master: the pieces of a role, so many in a mould at once, with so many to spare; minutes until the mould is free again. */
export class MasterDoc {
  @id() structure!: string;
  @text(60) role!: string;
  @IsIn(["cast", "printed"]) by!: "cast" | "printed";
  @IsInt() @Min(1) @Max(500) atOnce!: number;
  @IsInt() @Min(0) @Max(500) spare!: number;
  @IsNumber(finite) @Min(0) @Max(100_000) minutes!: number;
}
/** What joins two parts beside glue or instead of it, at a joint of the frame; model mm. */
export class FastenerDoc {
  @id() id!: string;
  @id() structure!: string;
  /** The joint it goes through, by its id. */
  @text(300) joint!: string;
  @IsIn(["pin", "dowel", "screw", "bolt", "magnet"]) kind!: "pin" | "dowel" | "screw" | "bolt" | "magnet";
  @IsNumber(finite) @Min(0.2) @Max(20) diameter!: number;
  @IsNumber(finite) @Min(0.5) @Max(200) length!: number;
  @IsInt() @Min(1) @Max(20) count!: number;
}
/** Lamps that are wired alike: V and mA of one, so many in series; the hole each takes and how long a wire to the supply is, mm. */
export class LampDoc {
  @id() id!: string;
  @text(80) name!: string;
  @IsInt() @Min(0) @Max(500) count!: number;
  @IsNumber(finite) @Min(0.5) @Max(24) volts!: number;
  @IsNumber(finite) @Min(0.5) @Max(1000) milliamps!: number;
  @IsInt() @Min(1) @Max(20) series!: number;
  @IsNumber(finite) @Min(0.3) @Max(20) hole!: number;
  @IsNumber(finite) @Min(0) @Max(20_000) wire!: number;
}
/** The lights of a job on one supply, V. */
export class LightsDoc {
  @IsNumber(finite) @Min(1) @Max(60) supply!: number;
  @many(60) @Type(() => LampDoc) lamps!: LampDoc[];
}
/** What was decided about how it is put together and finished. Apart from what a frame is made with. */
export class BuildDoc {
  @many(60) @Type(() => CoatDoc) coats!: CoatDoc[];
  @many(400) @Type(() => FinishPartDoc) finish!: FinishPartDoc[];
  @many(400) @Type(() => OrderEditDoc) order!: OrderEditDoc[];
  @IsOptional() @many(2000) @Type(() => GlueDoc) glues?: GlueDoc[];
  @many(60) @Type(() => MasterDoc) masters!: MasterDoc[];
  @many(400) @Type(() => FastenerDoc) fasteners!: FastenerDoc[];
  @IsOptional() @IsObject() @ValidateNested() @Type(() => LightsDoc) lights?: LightsDoc;
}
export const emptyBuild = (): BuildDoc => ({ coats: [], finish: [], order: [], masters: [], fasteners: [] });
/** What a job says of its build; nothing decided where it says nothing. */
export const buildOf = (doc: { readonly build?: BuildDoc }): BuildDoc => doc.build ?? emptyBuild();
