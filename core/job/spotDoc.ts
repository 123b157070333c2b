import "../reflected";
import { Type } from "class-transformer";
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsNumber,
  IsObject,
  IsOptional,
  Matches,
  Max,
  Min,
  ValidateNested,
} from "class-validator";
import { finite, id, many, point, text } from "../structures/fields";

export const TRACK_PIECES = ["straight", "left", "right"] as const;
export const THING_KINDS = ["stands already", "has to stay", "kept free", "road", "platform", "water", "wall"] as const;
export type ThingKind = (typeof THING_KINDS)[number];

/** A car in prototype mm: over its body, between its truck centres; from how far over the rail its body begins to how high it is. */
export class CarDoc {
  @id() id!: string;
  @text(80) name!: string;
  @IsNumber(finite) @Min(500) @Max(60_000) length!: number;
  @IsNumber(finite) @Min(300) @Max(60_000) trucks!: number;
  @IsNumber(finite) @Min(300) @Max(6000) width!: number;
  @IsNumber(finite) @Min(0) @Max(3000) bottom!: number;
  @IsNumber(finite) @Min(500) @Max(9000) height!: number;
  /** Its floor over the rail; 4 ft where it is left out. */
  @IsOptional() @IsNumber(finite) @Min(0) @Max(6000) floor?: number;
}
/** A length of track, model mm: straight, or a curve of a radius to a side; `ease` of its length at either end leads into the curve. */
export class TrackPieceDoc {
  @IsIn(TRACK_PIECES) kind!: (typeof TRACK_PIECES)[number];
  @IsNumber(finite) @Min(1) @Max(1e5) length!: number;
  @IsOptional() @IsNumber(finite) @Min(20) @Max(1e6) radius?: number;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1e5) ease?: number;
}
/** A track on the spot: where its first end is and which way it runs, degrees counter-clockwise from the right; the top of its rail over the spot at that end, model mm, and how much it rises along its way, percent; the longest car on it. */
export class TrackDoc {
  @id() id!: string;
  @text(80) name!: string;
  @IsNumber(finite) @Min(-1e5) @Max(1e5) x!: number;
  @IsNumber(finite) @Min(-1e5) @Max(1e5) y!: number;
  @IsNumber(finite) @Min(-360) @Max(360) turn!: number;
  @IsNumber(finite) @Min(-1e4) @Max(1e4) rail!: number;
  @IsOptional() @IsNumber(finite) @Min(-20) @Max(20) grade?: number;
  @id() car!: string;
  @many(60) @Type(() => TrackPieceDoc) pieces!: TrackPieceDoc[];
}
/** A part of a thing that is no box: its convex outline about the thing's middle before it is turned, and from where to where it reaches over the spot, model mm. */
export class ThingPartDoc {
  @IsArray() @ArrayMinSize(3) @ArrayMaxSize(400) ring!: [number, number][];
  @IsNumber(finite) @Min(-1e4) @Max(1e4) low!: number;
  @IsNumber(finite) @Min(-1e4) @Max(1e4) high!: number;
}
/** What else is on the spot, a box: its middle and sides in the plan, its turn, and from where to where it reaches over the spot, model mm. */
export class ThingDoc {
  @id() id!: string;
  @text(80) name!: string;
  @IsIn(THING_KINDS) kind!: ThingKind;
  @IsNumber(finite) @Min(-1e5) @Max(1e5) x!: number;
  @IsNumber(finite) @Min(-1e5) @Max(1e5) y!: number;
  @IsNumber(finite) @Min(-360) @Max(360) turn!: number;
  @IsNumber(finite) @Min(0.1) @Max(1e5) length!: number;
  @IsNumber(finite) @Min(0.1) @Max(1e5) depth!: number;
  @IsNumber(finite) @Min(-1e4) @Max(1e4) low!: number;
  @IsNumber(finite) @Min(-1e4) @Max(1e4) high!: number;
  /** What it is made of where it is no box: then the box is what is round it. */
  @IsOptional() @many(60) @Type(() => ThingPartDoc) parts?: ThingPartDoc[];
  /** The other job whose structures it is. */
  @IsOptional() @text(60) job?: string;
}
/** A calibrated drawing under the plan of the spot: its pixel that lies in the spot's middle, whether what was measured on it is of the model, as on a photograph of the place, or of the prototype, and its opacity. */
export class SpotUnderDoc {
  @id() drawing!: string;
  @point() anchor!: [number, number];
  @IsIn(["model", "prototype"]) of!: "model" | "prototype";
  @IsNumber(finite) @Min(0) @Max(1) opacity!: number;
}
/** Where the spot is cut upright to be seen in section: across it, seen from the right, or along it, seen from the front; so far from its middle, model mm. */
export class SpotCutDoc {
  @IsIn(["depth", "length"]) along!: "depth" | "length";
  @IsNumber(finite) @Min(-1e5) @Max(1e5) at!: number;
}
/** Colours of the papers that a structure is shown in on a photograph: "#c9a86a". */
export class PaperColoursDoc {
  @Matches(/^#[0-9a-f]{6}$/) walls!: string;
  @Matches(/^#[0-9a-f]{6}$/) roof!: string;
  @Matches(/^#[0-9a-f]{6}$/) rest!: string;
}
/** A photograph of the place: the corners on it, pixels, of a level rectangle round the spot's middle (front left, front right, back right, back left), and how long and deep that is, model mm. */
export class SpotPhotoDoc {
  @id() drawing!: string;
  @IsArray() @ArrayMinSize(4) @ArrayMaxSize(4) corners!: [number, number][];
  @IsNumber(finite) @Min(1) @Max(1e5) length!: number;
  @IsNumber(finite) @Min(1) @Max(1e5) depth!: number;
  @IsObject() @ValidateNested() @Type(() => PaperColoursDoc) colours!: PaperColoursDoc;
}
/** The spot beyond its size: tracks with the cars on them, and what is there or has to be kept free. */
export class SpotDoc {
  @many(60) @Type(() => TrackDoc) tracks!: TrackDoc[];
  @many(200) @Type(() => ThingDoc) things!: ThingDoc[];
  /** Cars of one's own, beside those that ship. */
  @many(60) @Type(() => CarDoc) cars!: CarDoc[];
  @IsOptional() @IsObject() @ValidateNested() @Type(() => SpotUnderDoc) under?: SpotUnderDoc;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => SpotCutDoc) cut?: SpotCutDoc;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => SpotPhotoDoc) photo?: SpotPhotoDoc;
}
export const emptySpot = (): SpotDoc => ({ tracks: [], things: [], cars: [] });
export const spotOf = (doc: { readonly spot?: SpotDoc }): SpotDoc => doc.spot ?? emptySpot();
