import "reflect-metadata";
import { Type } from "class-transformer";
import {
  ArrayMaxSize,
  ArrayMinSize,
  Equals,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from "class-validator";
import type { SeriesId } from "../lumber";

/** What a job file says of itself. The version counts up with every change of shape; older ones are migrated. */
export const JOB_FORMAT = "cardo-job";
export const JOB_VERSION = 1;

const finite = { allowNaN: false, allowInfinity: false } as const;
const text =
  (max: number): PropertyDecorator =>
  (target, key) => {
    IsString()(target, key as string);
    MaxLength(max)(target, key as string);
  };
const id = (): PropertyDecorator =>
  Matches(/^[a-z0-9][a-z0-9-]{0,39}$/i, { message: "$property “$value” is no id; use letters, digits and hyphens" });
const point = (): PropertyDecorator => (target, key) => {
  IsArray()(target, key as string);
  ArrayMinSize(2)(target, key as string);
  ArrayMaxSize(2)(target, key as string);
  IsNumber(finite, { each: true })(target, key as string);
};
const many =
  (max: number): PropertyDecorator =>
  (target, key) => {
    IsArray()(target, key as string);
    ArrayMaxSize(max)(target, key as string);
    ValidateNested({ each: true })(target, key as string);
  };

export class ScaleDoc {
  @text(12) id!: string;
  /** Prototype over model. Kept even for published scales, which it has to equal. */
  @IsNumber(finite) @Min(1) @Max(1000) ratio!: number;
}
export class UnitsDoc {
  @IsIn(["ft-in", "m"]) prototype!: "ft-in" | "m";
  @IsIn(["mm", "in", "64ths"]) model!: "mm" | "in" | "64ths";
}
export class DecisionDoc {
  @id() id!: string;
  @text(300) what!: string;
  @text(2000) reason!: string;
}
export class BriefDoc {
  @ValidateNested() @Type(() => ScaleDoc) scale!: ScaleDoc;
  @ValidateNested() @Type(() => UnitsDoc) units!: UnitsDoc;
  @text(200) railroad!: string;
  /** Where on the layout it goes. */
  @text(500) place!: string;
  /** The spot's size, model mm; 0 is not known. */
  @IsNumber(finite) @Min(0) @Max(1e5) spotLength!: number;
  @IsNumber(finite) @Min(0) @Max(1e5) spotDepth!: number;
  @IsIn(["none", "beside", "under", "over"]) track!: "none" | "beside" | "under" | "over";
  @text(100) era!: string;
  @many(500) @Type(() => DecisionDoc) decisions!: DecisionDoc[];
}
/** Two points of a picture, in its pixels, a known prototype length in mm between them, and how far the picture is turned, degrees counter-clockwise. */
export class CalibrationDoc {
  @point() from!: [number, number];
  @point() to!: [number, number];
  @IsNumber(finite) @Min(1) @Max(1e7) length!: number;
  @IsNumber(finite) @Min(-180) @Max(180) tilt!: number;
}
export class MeasureDoc {
  @id() id!: string;
  @text(80) name!: string;
  @IsIn(["length", "angle"]) kind!: "length" | "angle";
  /** Two points for a length, three (arm, corner, arm) for an angle, in pixels. */
  @IsArray() @ArrayMinSize(2) @ArrayMaxSize(3) points!: [number, number][];
  /** Parameter it was last sent to: "structure:path". */
  @IsOptional() @text(120) usedFor?: string;
}
/** How a calibrated picture lies under a structure: the picture's point that stands on the structure's origin, and its opacity. */
export class UnderlayDoc {
  @id() structure!: string;
  @point() anchor!: [number, number];
  @IsNumber(finite) @Min(0) @Max(1) opacity!: number;
}
export class PictureDoc {
  @Matches(/^[0-9a-f]{64}$/) hash!: string;
  @IsIn(["image/png", "image/jpeg", "image/webp"]) type!: string;
  @IsInt() @Min(1) @Max(200_000) width!: number;
  @IsInt() @Min(1) @Max(200_000) height!: number;
}
export class DrawingDoc {
  @id() id!: string;
  @text(120) name!: string;
  @ValidateNested() @Type(() => PictureDoc) picture!: PictureDoc;
  @IsOptional() @ValidateNested() @Type(() => CalibrationDoc) calibration?: CalibrationDoc;
  @many(500) @Type(() => MeasureDoc) measures!: MeasureDoc[];
  @IsOptional() @ValidateNested() @Type(() => UnderlayDoc) under?: UnderlayDoc;
}
/** What a person changed on one stick: left out, spliced, or its free ends made longer (mm, negative is shorter). */
export class OverrideDoc {
  @IsOptional() @IsBoolean() omit?: boolean;
  /** Made of several sticks, jointed square over its supports, as many as the longest stick asks for. */
  @IsOptional() @IsBoolean() splice?: boolean;
  @IsOptional() @IsArray() @ArrayMinSize(2) @ArrayMaxSize(2) @IsNumber(finite, { each: true }) ends?: [number, number];
}
export class VariantDoc {
  @id() id!: string;
  @text(80) name!: string;
  @text(1000) reason!: string;
  /** Checked by the kind's own class. */
  @IsObject() params!: Record<string, unknown>;
  /** By member path within the structure: "bent/story1/sway/front". */
  @IsObject() overrides!: Record<string, OverrideDoc>;
}
export class StructureDoc {
  @id() id!: string;
  @text(60) kind!: string;
  @text(120) name!: string;
  @id() chosen!: string;
  @many(50) @ArrayMinSize(1) @Type(() => VariantDoc) variants!: VariantDoc[];
}
export class StockChoiceDoc {
  @text(60) item!: string;
  @IsIn([1, 2]) plies!: 1 | 2;
  @IsIn(["thickness", "width"]) along!: "thickness" | "width";
}
/** Lengths, counts and prices of an item where they are not the usual ones. Lengths model mm; count null is as many as wanted. */
export class StickDoc {
  @IsNumber(finite) @Min(1) @Max(1e5) length!: number;
  @IsOptional() @IsInt() @Min(0) @Max(1e6) count!: number | null;
  @IsNumber(finite) @Min(0) @Max(1e6) price!: number;
}
export class StockDoc {
  @IsIn(["full-sawn", "dressed"]) milling!: "full-sawn" | "dressed";
  @IsArray() @IsIn(["scale", "inch", "metric", "styrene", "round"], { each: true }) series!: SeriesId[];
  @IsObject() choices!: Record<string, StockChoiceDoc>;
  @IsObject() sticks!: Record<string, StickDoc[]>;
}
export class CuttingDoc {
  /** Width of the saw's cut, model mm; 0 for a knife or chopper. */
  @IsNumber(finite) @Min(0) @Max(10) kerf!: number;
  /** What each piece is cut over its length, to sand to the line, model mm. */
  @IsNumber(finite) @Min(0) @Max(20) allowance!: number;
}
/** Everything a person decided about a job. The rest is computed from it. */
export class JobDoc {
  @Equals(JOB_FORMAT) format!: typeof JOB_FORMAT;
  @Equals(JOB_VERSION) version!: typeof JOB_VERSION;
  @text(120) name!: string;
  @ValidateNested() @Type(() => BriefDoc) brief!: BriefDoc;
  @many(200) @Type(() => DrawingDoc) drawings!: DrawingDoc[];
  @many(200) @Type(() => StructureDoc) structures!: StructureDoc[];
  @ValidateNested() @Type(() => StockDoc) stock!: StockDoc;
  @ValidateNested() @Type(() => CuttingDoc) cutting!: CuttingDoc;
  /** Findings set aside, by key, with the reason. */
  @IsObject() aside!: Record<string, string>;
}
