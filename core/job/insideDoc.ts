import "../reflected";
import { Type } from "class-transformer";
import { IsIn, IsNumber, IsObject, IsOptional, Max, Min, ValidateNested } from "class-validator";
import { finite, id, many, text } from "../structures/fields";

/** What stands in a room, as a body. */
export const FITTINGS = ["counter", "desk", "table", "chair", "bench", "bed", "shelf", "cabinet", "stove", "stair", "partition", "machine", "crate", "person", "other"] as const; // prettier-ignore
export type Fitting = (typeof FITTINGS)[number];

/** A body in a room, prototype mm: its middle from the left front corner inside, its turn counter-clockwise in degrees, its sides, from where to where it reaches over the floor. */
export class FittingDoc {
  @id() id!: string;
  @text(80) name!: string;
  @IsIn(FITTINGS) kind!: Fitting;
  @IsNumber(finite) @Min(-1e6) @Max(1e6) x!: number;
  @IsNumber(finite) @Min(-1e6) @Max(1e6) y!: number;
  @IsNumber(finite) @Min(-360) @Max(360) turn!: number;
  @IsNumber(finite) @Min(10) @Max(1e5) length!: number;
  @IsNumber(finite) @Min(10) @Max(1e5) depth!: number;
  @IsNumber(finite) @Min(0) @Max(1e5) low!: number;
  @IsNumber(finite) @Min(1) @Max(1e5) high!: number;
}
/** From where one looks into a building, model mm: before its front wall's middle, to the right of it, over its floor. */
export class EyeDoc {
  @IsNumber(finite) @Min(1) @Max(5000) before!: number;
  @IsNumber(finite) @Min(-5000) @Max(5000) right!: number;
  @IsNumber(finite) @Min(-2000) @Max(5000) over!: number;
}
/** A lamp in a room: of which of the job's lights it is one, and where, prototype mm, from the left front corner inside and over the floor. */
export class RoomLampDoc {
  @id() id!: string;
  @text(80) name!: string;
  /** The lamps of the job that it is one of (BuildDoc.lights). */
  @id() of!: string;
  @IsNumber(finite) @Min(-1e6) @Max(1e6) x!: number;
  @IsNumber(finite) @Min(-1e6) @Max(1e6) y!: number;
  @IsNumber(finite) @Min(0) @Max(1e5) z!: number;
}
export const CORNERS = ["front left", "front right", "back right", "back left"] as const;
export type Corner = (typeof CORNERS)[number];
/** The inside of a structure. */
export class InsideDoc {
  @id() structure!: string;
  @many(400) @Type(() => FittingDoc) things!: FittingDoc[];
  /** What is left all round a box that slides in, model mm; left out where there is none. */
  @IsOptional() @IsNumber(finite) @Min(0) @Max(20) box?: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => EyeDoc) eye?: EyeDoc;
  @IsOptional() @many(200) @Type(() => RoomLampDoc) lamps?: RoomLampDoc[];
  /** The corner in which their wires go down through the floor; the back left one where it is left out. */
  @IsOptional() @IsIn(CORNERS) wires?: Corner;
}
/** What stands in a structure; nothing where the job says nothing of it. */
export const insideOf = (doc: { readonly inside?: readonly InsideDoc[] }, structure: string): InsideDoc =>
  doc.inside?.find((x) => x.structure === structure) ?? { structure, things: [] };
