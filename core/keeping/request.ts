import "../reflected";
import { plainToInstance, Type } from "class-transformer";
import {
  ArrayMaxSize,
  Equals,
  IsArray,
  IsIn,
  IsInt,
  IsOptional,
  Matches,
  Max,
  Min,
  ValidateBy,
  ValidateIf,
  ValidateNested,
  validateSync,
} from "class-validator";
import { ownWords } from "../job/ownWords";
import { text } from "../structures/fields";
import type { Entry } from "./keeping";

/** The most patches and the longest path of one request: far above what any screen sends. */
const MOST = 20_000;
const DEEPEST = 12;

class PatchDoc {
  @IsIn(["set", "cut", "put"], { message: "a patch sets, cuts or puts" }) op!: "set" | "cut" | "put";
  @ValidateBy({
    name: "path",
    validator: {
      validate: (v: unknown): boolean =>
        Array.isArray(v) &&
        v.length <= DEEPEST &&
        v.every((s) => (typeof s === "string" && s.length <= 200) || (Number.isInteger(s) && s >= 0)),
      defaultMessage: () => "the path of a patch is a short list of names and whole numbers",
    },
  })
  path!: (string | number)[];
  @ValidateIf((p: PatchDoc) => p.op !== "cut")
  @ValidateBy({
    name: "value",
    validator: { validate: (v: unknown): boolean => v !== undefined, defaultMessage: () => "a patch lacks its value" },
  })
  value?: unknown;
  @IsOptional() @text(60) before?: string;
}
const BASE = { message: "a change says which revision it was made on" };
class EntryDoc {
  @Matches(/^[\w-]{6,60}$/, { message: "a change needs an id of its own" }) id!: string;
  @IsInt(BASE) @Min(0, BASE) @Max(1e9, BASE) base!: number;
}
const PATCHES = { message: `patches are a list of at most ${MOST}` };
class EditDoc extends EntryDoc {
  @Equals("edit") kind!: "edit";
  @text(200) label!: string;
  @IsArray(PATCHES)
  @ArrayMaxSize(MOST, PATCHES)
  @ValidateNested({ each: true })
  @Type(() => PatchDoc)
  patches!: PatchDoc[];
}
class StepDoc extends EntryDoc {
  @IsIn(["undo", "redo"]) kind!: "undo" | "redo";
}
class EventDoc extends EntryDoc {
  @Equals("event") kind!: "event";
  @ValidateBy({
    name: "event",
    validator: { validate: (v: unknown): boolean => typeof v === "object" && v !== null, defaultMessage: () => "an event says what happened" }, // prettier-ignore
  })
  event!: unknown;
}
const KINDS = new Map<unknown, new () => EntryDoc>([
  ["edit", EditDoc],
  ["undo", StepDoc],
  ["redo", StepDoc],
  ["event", EventDoc],
]);
/** A request that is no entry, in a sentence. */
export class RequestError extends Error {}

/** Reads what a browser sends to be kept. Errors: RequestError that says what is wrong with it. */
export function readEntry(raw: unknown): Entry {
  if (typeof raw !== "object" || raw === null || Array.isArray(raw))
    throw new RequestError("The change could not be read: it is no object.");
  const kind = (raw as { kind?: unknown }).kind;
  const type = KINDS.get(kind);
  if (!type)
    throw new RequestError("The change does not say whether it is an edit, an undo, a redo or an event of the bench.");
  const doc = plainToInstance(type, raw);
  const [first] = validateSync(doc, { whitelist: true, forbidNonWhitelisted: true });
  if (first) throw new RequestError(`The change could not be read: ${ownWords(wordsOf(first))}.`);
  return raw as Entry;
}
interface Found {
  readonly constraints?: Record<string, string>;
  readonly children?: readonly Found[];
}
const wordsOf = (f: Found): string =>
  Object.values(f.constraints ?? {})[0] ?? (f.children?.[0] ? wordsOf(f.children[0]) : "it is not of a known shape");
