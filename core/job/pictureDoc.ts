import "../reflected";
import { IsIn, IsInt, IsNumber, IsOptional, Matches, Max, Min } from "class-validator";
import { finite } from "../structures/fields";

/** A file by its content. */
export const sha256 = (): PropertyDecorator => Matches(/^[0-9a-f]{64}$/);
/** A picture as it came: its hash, and its size in pixels. */
export class PictureDoc {
  @sha256() hash!: string;
  @IsIn(["image/png", "image/jpeg", "image/webp", "image/tiff"]) type!: string;
  @IsInt() @Min(1) @Max(200_000) width!: number;
  @IsInt() @Min(1) @Max(200_000) height!: number;
  /** Millimetres of paper to a pixel, where its source says so. */
  @IsOptional() @IsNumber(finite) @Min(1e-6) @Max(1e3) unit?: number;
}
