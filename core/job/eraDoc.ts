import "../reflected";
import { IsIn, IsInt, IsOptional, Max, Min } from "class-validator";
import { id, text } from "../structures/fields";

/** What can have years: all sticks of a role, those of a row of a table (a window, a wing, a dormer), a printed paper, a thing on the spot, a body inside. */
export const ERA_KINDS = ["role", "row", "paper", "thing", "body"] as const;
export type EraKind = (typeof ERA_KINDS)[number];
/** Something of the job that was there from one year to another, both told; open at an end where that year is left out. */
export class EraDoc {
  @id() id!: string;
  @text(80) name!: string;
  @IsIn(ERA_KINDS) kind!: EraKind;
  /** The structure that it is of; left out for papers and things. */
  @IsOptional() @id() structure?: string;
  /** The role's name, the row ("openings.2"), or the id of the paper, thing or body. */
  @text(120) what!: string;
  @IsOptional() @IsInt() @Min(1700) @Max(2200) from?: number;
  @IsOptional() @IsInt() @Min(1700) @Max(2200) to?: number;
  /** What stands in its place in other years, to be exchanged with it: the id of another of these. */
  @IsOptional() @id() instead?: string;
}
