import { plainToInstance } from "class-transformer";
import { validateSync, type ValidationError } from "class-validator";
import { kindOf, type Params } from "../structures";

export const STRICT = { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true } as const;

/** Sentences for what class-validator found, each with the place. */
export function sentences(errors: readonly ValidationError[], at = ""): string[] {
  return errors.flatMap((e) => {
    const here = `${at}${at && !/^\d/.test(e.property) ? "." : at ? "" : ""}${/^\d/.test(e.property) ? `[${e.property}]` : e.property}`;
    return [
      ...Object.values(e.constraints ?? {}).map((m) => `At ${here}: ${m}.`.replace(/\.\.$/, ".")),
      ...sentences(e.children ?? [], here),
    ];
  });
}

/** Sentences for parameters that a kind refuses: single values, then values that cannot go together. */
export function paramProblems(kindId: string, params: Params): string[] {
  const kind = kindOf(kindId);
  const errors = validateSync(plainToInstance(kind.Params, params), STRICT);
  if (errors.length > 0)
    return errors.flatMap((e) => [...Object.values(e.constraints ?? {}), ...sentences(e.children ?? [], e.property)]);
  return kind.check(params);
}
