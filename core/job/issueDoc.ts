import "../reflected";
import { plainToInstance, Type } from "class-transformer";
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsObject, IsOptional, IsString, Matches, Max, MaxLength, Min, ValidateBy, ValidateNested, validateSync, IsNumber } from "class-validator"; // prettier-ignore
import { finite, many, text } from "../structures/fields";
import { BENCH_KINDS } from "./bench";
import type { Issue } from "./issue";
import { JobError } from "./error";
import { checkPlain, ownWords } from "./ownWords";

/** A value that is numbers all through, nested in lists and objects of few levels: the geometry of a frozen piece. */
const geometry = (): PropertyDecorator =>
  ValidateBy({
    name: "geometry",
    validator: {
      validate: (v: unknown): boolean => isGeometry(v, 5),
      defaultMessage: (a) => `${a?.property ?? "it"} is made of numbers alone`,
    },
  });
function isGeometry(v: unknown, deep: number): boolean {
  if (typeof v === "number") return Number.isFinite(v);
  if (typeof v !== "object" || v === null || deep === 0) return false;
  return Object.values(v).every((x) => isGeometry(x, deep - 1));
}
class EndCutDoc {
  @IsIn(["+v", "-v", "+w", "-w"]) face!: string;
  @IsNumber(finite) mitre!: number;
  @IsNumber(finite) bevel!: number;
  @IsNumber(finite) at!: number;
}
class ShapeDoc {
  @IsIn(["strip", "round", "bent", "panel", "block"]) kind!: string;
  @IsNumber(finite, { each: true }) @ArrayMaxSize(2) section!: number[];
  @IsNumber(finite) overall!: number;
  @IsNumber(finite) longPoint!: number;
  @IsNumber(finite) shortPoint!: number;
  @ValidateBy({
    name: "ends",
    validator: {
      validate: (v: unknown): boolean =>
        Array.isArray(v) &&
        v.length === 2 &&
        v.every(
          (end) =>
            Array.isArray(end) &&
            end.every((c) => typeof c === "object" && c !== null && validateSync(plainToInstance(EndCutDoc, c)).length === 0), // prettier-ignore
        ),
      defaultMessage: () => "ends are two lists of cuts",
    },
  })
  ends!: unknown;
  @IsArray() @geometry() rips!: unknown;
  @IsArray() @geometry() notches!: unknown;
  @IsArray() @geometry() corners!: unknown;
  @IsArray() @geometry() notchCorners!: unknown;
  @IsArray() @geometry() cutNormals!: unknown;
}
class FrozenPieceDoc {
  @text(20) mark!: string;
  @text(120) role!: string;
  @IsNumber(finite, { each: true }) @ArrayMaxSize(2) nominal!: number[];
  @text(80) stock!: string;
  @IsObject() @ValidateNested() @Type(() => ShapeDoc) shape!: ShapeDoc;
  @IsArray() @ArrayMaxSize(50_000) @IsString({ each: true }) @MaxLength(300, { each: true }) sticks!: string[];
}
class VersionsDoc {
  @IsInt() @Min(0) @Max(1e6) catalogue!: number;
  @IsObject() kinds!: Record<string, number>;
}
class LotDoc {
  @IsIn(["strip", "round", "sheet"]) form!: string;
  @IsIn(["wood", "styrene", "card", "clear"]) material!: string;
  @text(80) name!: string;
  @IsNumber(finite) @Min(0.001) @Max(500) thickness!: number;
  @IsNumber(finite) @Min(0.001) @Max(5000) width!: number;
  @IsNumber(finite) @Min(0.001) @Max(1e5) length!: number;
  @IsOptional() @text(60) sheet?: string;
  @IsOptional() @text(80) section?: string;
}
class JobSticksDoc {
  @Matches(/^[\w-]{1,60}$/, { message: "job is no id of a job" }) job!: string;
  @IsArray() @ArrayMaxSize(5000) @IsString({ each: true }) @MaxLength(300, { each: true }) sticks!: string[];
}
class CutMoveDoc {
  @IsObject() @ValidateNested() @Type(() => LotDoc) lot!: LotDoc;
  @IsBoolean() drawer!: boolean;
  @many(5000) @Type(() => LotDoc) left!: LotDoc[];
  @IsArray() @ArrayMaxSize(5000) @IsString({ each: true }) @MaxLength(300, { each: true }) sticks!: string[];
  @IsOptional() @many(100) @Type(() => JobSticksDoc) also?: JobSticksDoc[];
}
class MeasuredDoc {
  @text(300) stick!: string;
  @text(30) mark!: string;
  @IsNumber(finite) @Min(0) @Max(1e5) planned!: number;
  @IsNumber(finite) @Min(0) @Max(1e5) actual!: number;
}
class JoiningDoc {
  @text(80) name!: string;
  @IsNumber(finite) @Min(0) @Max(1e5) handle!: number;
  @IsNumber(finite) @Min(0) @Max(1e6) full!: number;
}
class CoatedDoc {
  @text(60) name!: string;
  @text(300) mix!: string;
}
class PhotoDoc {
  @Matches(/^[0-9a-f]{64}$/, { message: "hash is a SHA-256 in hexadecimal" }) hash!: string;
  @IsInt() @Min(1) @Max(100_000) width!: number;
  @IsInt() @Min(1) @Max(100_000) height!: number;
}
class BenchDoc {
  @IsOptional() @text(400) step?: string;
  @IsOptional() @text(300) title?: string;
  @IsOptional() @text(10_000) text?: string;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => JoiningDoc) joining?: JoiningDoc;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => CoatedDoc) coat?: CoatedDoc;
  @IsOptional() @IsNumber(finite) @Min(0) @Max(1e5) minutes?: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => PhotoDoc) picture?: PhotoDoc;
  @IsOptional() @many(5000) @Type(() => MeasuredDoc) lengths?: MeasuredDoc[];
  @IsOptional() @text(60) print?: string;
}
class IssueDoc {
  @Matches(/^[\w-]{4,60}$/, { message: "id is no id; use letters, digits and hyphens" }) id!: string;
  @IsIn(["print", "cut", "uncut", ...BENCH_KINDS], {
    message: "kind is a print, a cut, a cut taken back, or a note of the bench",
  })
  kind!: string;
  @Matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?Z$/, { message: "at is a time such as 2026-05-01T20:14:00Z" }) at!: string; // prettier-ignore
  @Matches(/^[0-9a-f]{64}$/, { message: "hash is a SHA-256 in hexadecimal" }) hash!: string;
  @IsObject() @ValidateNested() @Type(() => VersionsDoc) versions!: VersionsDoc;
  @IsObject() plan!: unknown;
  @many(50_000) @Type(() => FrozenPieceDoc) pieces!: FrozenPieceDoc[];
  @IsArray() @ArrayMaxSize(50_000) @IsString({ each: true }) @MaxLength(300, { each: true }) sticks!: string[];
  @IsOptional() @many(5000) @Type(() => CutMoveDoc) moves?: CutMoveDoc[];
  @IsOptional() @IsObject() @ValidateNested() @Type(() => BenchDoc) bench?: BenchDoc;
}
interface Found {
  readonly property: string;
  readonly constraints?: Record<string, string>;
  readonly children?: readonly Found[];
}
const said = (f: Found, at: string): string => {
  const here = /^\d+$/.test(f.property) ? `${at}[${f.property}]` : `${at}.${f.property}`;
  const own = Object.values(f.constraints ?? {})[0];
  return own
    ? `At ${here}: ${ownWords(own)}.`
    : f.children?.[0]
      ? said(f.children[0], here)
      : `At ${here}: not of a known shape.`;
};

/** Checks an issue as deeply as a job. Errors: JobError with the place, led by `at`. */
export function checkIssue(raw: unknown, at = "issue"): Issue {
  if (typeof raw !== "object" || raw === null || Array.isArray(raw)) throw new JobError([`At ${at}: an issue is an object.`]); // prettier-ignore
  checkPlain(raw);
  const found = validateSync(plainToInstance(IssueDoc, raw), { whitelist: true, forbidNonWhitelisted: true });
  if (found[0]) throw new JobError([said(found[0], at)]);
  return raw as Issue;
}

/**
 * Issues without the pieces that nobody asks for any more: of a print only those whose mark was
 * not given out before. Marks and what is cut follow from them just the same.
 */
export function lightIssues(issues: readonly Issue[]): Issue[] {
  const seen = new Set<string>();
  return issues.map((i) => {
    const fresh = i.pieces.filter((p) => !seen.has(p.mark));
    i.pieces.forEach((p) => seen.add(p.mark));
    return i.kind === "print" ? { ...i, pieces: fresh } : i;
  });
}
