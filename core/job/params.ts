import { plainToInstance } from "class-transformer";
import { validateSync, type ValidationError } from "class-validator";
import { kindOf, type Context, type Params } from "../structures";
import { ownWords } from "./ownWords";

export const STRICT = { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true } as const;

/** Sentences for what class-validator found, each with the place. */
export function sentences(errors: readonly ValidationError[], at = ""): string[] {
  return errors.flatMap((e) => {
    // what is not of any known shape has no name of its own
    const name = (e.property as string | undefined) ?? "";
    const here = /^\d/.test(name) ? `${at}[${name}]` : [at, name].filter(Boolean).join(".");
    return [
      ...Object.values(e.constraints ?? {}).map((m) => `At ${here}: ${ownWords(m)}.`.replace(/\.\.$/, ".")),
      ...sentences(e.children ?? [], here),
    ];
  });
}

/** Sentences for parameters of which each by itself is none that a kind offers. */
export function valueProblems(kindId: string, params: Params): string[] {
  const errors = validateSync(plainToInstance(kindOf(kindId).Params, params), STRICT);
  return errors.flatMap((e) => [
    ...Object.values(e.constraints ?? {}).map(ownWords),
    ...sentences(e.children ?? [], e.property),
  ]);
}
/** Sentences for parameters that a kind refuses: single values, then values that cannot go together, on its bench where that is given. */
export function paramProblems(kindId: string, params: Params, context?: Context): string[] {
  const single = valueProblems(kindId, params);
  return single.length > 0 ? single : kindOf(kindId).check(params, context);
}
