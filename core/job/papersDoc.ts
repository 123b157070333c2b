import "../reflected";
import { Type } from "class-transformer";
import { IsIn, IsInt, IsNumber, IsObject, IsOptional, Max, Min, ValidateNested } from "class-validator";
import { finite, id, many, text } from "../structures/fields";
import { PictureDoc } from "./pictureDoc";

/** What a printed paper shows: it decides how large what it shows may be. */
export const MOTIFS = ["sign", "bricks", "boards", "tiles", "shingles", "wallpaper", "curtain", "other"] as const;
export type Motif = (typeof MOTIFS)[number];

/** A door or window to be cut out of a paper, prototype mm from its lower left corner as it is seen. */
export class PaperHoleDoc {
  @IsNumber(finite) @Min(-1e6) @Max(1e6) x!: number;
  @IsNumber(finite) @Min(-1e6) @Max(1e6) y!: number;
  @IsNumber(finite) @Min(1) @Max(1e6) wide!: number;
  @IsNumber(finite) @Min(1) @Max(1e6) high!: number;
}
/** What a picture that is repeated covers, prototype mm. */
export class CoverDoc {
  @IsNumber(finite) @Min(1) @Max(1e6) length!: number;
  @IsNumber(finite) @Min(1) @Max(1e6) height!: number;
  @IsOptional() @many(200) @Type(() => PaperHoleDoc) holes?: PaperHoleDoc[];
}
/**
 * A sign, a floor, a wallpaper to be printed at its true size: the whole picture shows so many of a thing across it or up
 * it, each of a size, prototype mm. Left as one picture, or repeated over what it covers, with so much more on all sides,
 * model mm.
 */
export class PaperDoc {
  @id() id!: string;
  @text(80) name!: string;
  @IsObject() @ValidateNested() @Type(() => PictureDoc) picture!: PictureDoc;
  @IsIn(MOTIFS) motif!: Motif;
  @IsIn(["across", "up"]) along!: "across" | "up";
  @IsNumber(finite) @Min(0.1) @Max(1000) units!: number;
  @IsNumber(finite) @Min(1) @Max(1e6) unit!: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => CoverDoc) cover?: CoverDoc;
  @IsInt() @Min(1) @Max(200) count!: number;
  @IsNumber(finite) @Min(0) @Max(20) bleed!: number;
}
