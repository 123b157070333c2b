import "../reflected";
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
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from "class-validator";
import { BuildDoc } from "./buildDoc";
import { EraDoc } from "./eraDoc";
import { InsideDoc } from "./insideDoc";
import { PaperDoc } from "./papersDoc";
import { PictureDoc, sha256 } from "./pictureDoc";
import { SpotDoc } from "./spotDoc";
import { AIMS, type Aim } from "../cutting/aims";
import { MEASURES, type MeasureKind } from "../prototype";
import type { SeriesId } from "../lumber";
import { finite, id, many, point, text } from "../structures/fields";

/** What a job file says of itself. The version counts up with every change of shape; older ones are migrated. */
export const JOB_FORMAT = "cardo-job";
export const JOB_VERSION = 2;

/** Said of a group of values that is not there at all. */
const MISSING = { message: "this part of the job is missing, or no group of values" };

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
  /** It was agreed with whom the job is for. */
  @IsOptional() @IsBoolean() agreed?: boolean;
}
export class BriefDoc {
  @IsObject(MISSING) @ValidateNested() @Type(() => ScaleDoc) scale!: ScaleDoc;
  @IsObject(MISSING) @ValidateNested() @Type(() => UnitsDoc) units!: UnitsDoc;
  @text(200) railroad!: string;
  /** Where on the layout it goes. */
  @text(500) place!: string;
  /** The spot's size, model mm; 0 is not known. */
  @IsNumber(finite) @Min(0) @Max(1e5) spotLength!: number;
  @IsNumber(finite) @Min(0) @Max(1e5) spotDepth!: number;
  @IsIn(["none", "beside", "under", "over"]) track!: "none" | "beside" | "under" | "over";
  @text(100) era!: string;
  /** Whom it is built for; left out where it is one's own. */
  @IsOptional() @text(200) client?: string;
  @many(500) @Type(() => DecisionDoc) decisions!: DecisionDoc[];
}
/** A length known on a sheet: between two of its pixels, prototype mm. `count` things of `each` mm gave it where it was counted. */
export class KnownLengthDoc {
  @id() id!: string;
  @text(80) name!: string;
  @point() from!: [number, number];
  @point() to!: [number, number];
  @IsNumber(finite) @Min(1) @Max(1e7) length!: number;
  @IsIn(["scale", "check"]) use!: "scale" | "check";
  @IsOptional() @IsInt() @Min(1) @Max(100_000) count?: number;
  @IsOptional() @IsNumber(finite) @Min(0.1) @Max(1e6) each?: number;
}
/** What a sheet states of itself: `unit` mm of paper to its pixel, times `ratio`. */
export class StatedScaleDoc {
  @IsNumber(finite) @Min(1e-6) @Max(1e6) ratio!: number;
  @IsNumber(finite) @Min(1e-9) @Max(1e6) unit!: number;
}
/** What gives a sheet its scale, and how far it is turned, degrees counter-clockwise. */
export class CalibrationDoc {
  @many(60) @Type(() => KnownLengthDoc) lengths!: KnownLengthDoc[];
  @IsOptional() @IsObject(MISSING) @ValidateNested() @Type(() => StatedScaleDoc) stated?: StatedScaleDoc;
  @IsIn(["auto", "apart", "together"]) stretch!: "auto" | "apart" | "together";
  @IsNumber(finite) @Min(-180) @Max(180) tilt!: number;
}
export class MeasureDoc {
  @id() id!: string;
  @text(80) name!: string;
  @IsIn(Object.keys(MEASURES)) kind!: MeasureKind;
  /** In pixels, as many as its kind asks for. */
  @IsArray() @ArrayMinSize(2) @ArrayMaxSize(200) points!: [number, number][];
  /** How many there are from the first to the last, both told, of a spacing. */
  @IsOptional() @IsInt() @Min(2) @Max(10_000) count?: number;
  /** Parameter it was last sent to: "structure:path". */
  @IsOptional() @text(120) usedFor?: string;
}
/** How the eaves of a building end: its rafters' tails seen, a board before them, closed from below. */
export const EAVES = ["bare", "fascia", "boxed"] as const;
export const OPENINGS = {
  kind: ["window", "door", "freight door", "hatch", "vent", "other"],
  set: ["flush", "recessed", "proud"],
  swing: ["fixed", "left", "right", "up", "slides", "in pairs"],
} as const;
/** An opening as the picture shows it: two opposite corners, how it stands to the wall, what is round it, what is bought for it. Prototype mm. */
export class OpeningDoc {
  @id() id!: string;
  @text(80) name!: string;
  @IsIn(OPENINGS.kind) kind!: (typeof OPENINGS.kind)[number];
  @point() from!: [number, number];
  @point() to!: [number, number];
  @IsIn(OPENINGS.set) set!: (typeof OPENINGS.set)[number];
  /** How far recessed or proud. */
  @IsNumber(finite) @Min(0) @Max(5000) by!: number;
  /** Width of the trim round it; 0 is none. */
  @IsNumber(finite) @Min(0) @Max(5000) trim!: number;
  @text(200) sill!: string;
  @IsIn(OPENINGS.swing) swing!: (typeof OPENINGS.swing)[number];
  /** What will be bought for it. */
  @text(200) casting!: string;
  /** What cuts it: a roof, a floor behind it. */
  @text(500) note!: string;
}
/** How a calibrated sheet lies under a structure: the point of it that stands on the structure's origin, and its opacity. */
export class UnderlayDoc {
  @id() structure!: string;
  /** The elevation that it shows. */
  @IsIn(["front", "side"]) view!: "front" | "side";
  @point() anchor!: [number, number];
  @IsNumber(finite) @Min(0) @Max(1) opacity!: number;
}
/** Lines kept as lines: a file of them by its hash, the sheet's size in its units, and the layers that are off. */
export class LinesDoc {
  @sha256() hash!: string;
  @IsNumber(finite) @Min(1e-6) @Max(1e9) width!: number;
  @IsNumber(finite) @Min(1e-6) @Max(1e9) height!: number;
  @IsArray() @ArrayMaxSize(500) @IsString({ each: true }) @MaxLength(200, { each: true }) hidden!: string[];
}
/** The photograph that a straightened picture was made of, and how. Prototype mm. */
export class StraightenedDoc {
  @id() drawing!: string;
  @IsArray() @ArrayMinSize(4) @ArrayMaxSize(4) corners!: [number, number][];
  @IsNumber(finite) @Min(1) @Max(1e6) width!: number;
  @IsNumber(finite) @Min(1) @Max(1e6) height!: number;
  @IsNumber(finite) @Min(-1) @Max(1) lens!: number;
  /** Size of the photograph, pixels. */
  @point() size!: [number, number];
}
/** A drawing or photograph: a picture, lines, or both in the picture's pixels. */
export class DrawingDoc {
  @id() id!: string;
  @text(120) name!: string;
  @IsOptional() @IsObject(MISSING) @ValidateNested() @Type(() => PictureDoc) picture?: PictureDoc;
  @IsOptional() @IsObject(MISSING) @ValidateNested() @Type(() => LinesDoc) lines?: LinesDoc;
  @IsOptional() @IsObject(MISSING) @ValidateNested() @Type(() => CalibrationDoc) calibration?: CalibrationDoc;
  @many(500) @Type(() => MeasureDoc) measures!: MeasureDoc[];
  @many(500) @Type(() => OpeningDoc) openings!: OpeningDoc[];
  /** How the eaves end that it shows; left out where that was not noted. */
  @IsOptional() @IsIn(EAVES) eave?: (typeof EAVES)[number];
  /** The structures it lies under, one entry each. */
  @many(100) @Type(() => UnderlayDoc) under!: UnderlayDoc[];
  @IsOptional() @IsObject(MISSING) @ValidateNested() @Type(() => StraightenedDoc) straightened?: StraightenedDoc;
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
/** Where a structure stands in the plan of the job: its origin and height, model mm, and its turn counter-clockwise, degrees. */
export class PlaceDoc {
  @IsNumber(finite) @Min(-1e5) @Max(1e5) x!: number;
  @IsNumber(finite) @Min(-1e5) @Max(1e5) y!: number;
  @IsNumber(finite) @Min(-1e4) @Max(1e4) z!: number;
  @IsNumber(finite) @Min(-360) @Max(360) turn!: number;
}
export const SOURCE_KINDS = ["measured", "stand-in", "counted", "estimated", "assumed"] as const;
export type SourceKind = (typeof SOURCE_KINDS)[number];
/** Where a dimension comes from: measured, taken from a plan that stands in for the unknown one, counted, estimated, or assumed; from what, and why it is so. */
export class SourceDoc {
  @IsIn(SOURCE_KINDS) how!: SourceKind;
  @text(300) from!: string;
  @text(2000) why!: string;
}
export class StructureDoc {
  @id() id!: string;
  @text(60) kind!: string;
  @text(120) name!: string;
  @id() chosen!: string;
  @many(50) @ArrayMinSize(1) @Type(() => VariantDoc) variants!: VariantDoc[];
  /** Where its dimensions come from, by parameter; what is not in it nobody has said yet. */
  @IsOptional() @IsObject() sources?: Record<string, SourceDoc>;
  /** Left out while it has no place in the plan. */
  @IsOptional() @IsObject(MISSING) @ValidateNested() @Type(() => PlaceDoc) place?: PlaceDoc;
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
  /** What stick plans aim at; the cheapest where nothing is said. */
  @IsOptional() @IsIn(Object.keys(AIMS)) aim?: Aim;
}
/** A sheet that there is, across its lines or grain and along them, model mm; count null is as many as wanted. */
export class SheetSizeDoc {
  @IsNumber(finite) @Min(5) @Max(5000) wide!: number;
  @IsNumber(finite) @Min(5) @Max(5000) long!: number;
  @IsOptional() @IsInt() @Min(0) @Max(1e6) count!: number | null;
  @IsNumber(finite) @Min(0) @Max(1e6) price!: number;
}
/** How parts are laid on sheets. Apart from what a frame is made with, so that it frames nothing anew. */
export class SheetCuttingDoc {
  @IsIn(["snap", "free"]) by!: "snap" | "free";
  /** Left between two parts, and along the edges of a sheet, model mm. */
  @IsNumber(finite) @Min(0) @Max(20) apart!: number;
  @IsNumber(finite) @Min(0) @Max(50) edge!: number;
  /** The sheet that structures are tried in first, as card mock-ups; left out where none is laid out. */
  @IsOptional() @text(60) card?: string;
  /** Sizes of a sheet where they are not the usual ones, by its id. */
  @IsObject() sizes!: Record<string, SheetSizeDoc[]>;
}
/** Everything a person decided about a job. The rest is computed from it. */
export class JobDoc {
  @Equals(JOB_FORMAT) format!: typeof JOB_FORMAT;
  @Equals(JOB_VERSION) version!: typeof JOB_VERSION;
  @text(120) name!: string;
  @IsObject(MISSING) @ValidateNested() @Type(() => BriefDoc) brief!: BriefDoc;
  @many(200) @Type(() => DrawingDoc) drawings!: DrawingDoc[];
  @many(200) @Type(() => StructureDoc) structures!: StructureDoc[];
  @IsObject(MISSING) @ValidateNested() @Type(() => StockDoc) stock!: StockDoc;
  @IsObject(MISSING) @ValidateNested() @Type(() => CuttingDoc) cutting!: CuttingDoc;
  /** Left out while sheets are cut the usual way: scored and snapped, with nothing between the parts. */
  @IsOptional() @IsObject(MISSING) @ValidateNested() @Type(() => SheetCuttingDoc) sheetCutting?: SheetCuttingDoc;
  /** Signs, floors and wallpapers to be printed; left out while there are none. */
  @IsOptional() @many(200) @Type(() => PaperDoc) papers?: PaperDoc[];
  /** Tracks and what else is on the spot; left out while nothing is. */
  @IsOptional() @IsObject(MISSING) @ValidateNested() @Type(() => SpotDoc) spot?: SpotDoc;
  /** What stands inside; left out while nothing does. */
  @IsOptional() @many(100) @Type(() => InsideDoc) inside?: InsideDoc[];
  /** What was there from when to when; left out while nothing has years. */
  @IsOptional() @many(300) @Type(() => EraDoc) years?: EraDoc[];
  /** How it is put together and finished; left out while nothing was decided. */
  @IsOptional() @IsObject(MISSING) @ValidateNested() @Type(() => BuildDoc) build?: BuildDoc;
  /** Whether plans take what lies in the drawer; they do while this is left out. */
  @IsOptional() @IsBoolean() useDrawer?: boolean;
  /** Findings set aside, by key, with the reason. */
  @IsObject() aside!: Record<string, string>;
}
