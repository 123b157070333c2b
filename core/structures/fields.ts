import "../reflected";
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsNumber,
  IsString,
  Matches,
  MaxLength,
  ValidateNested,
} from "class-validator";

/** Checks that documents share: decorators for the fields of class-validator classes. */
export const finite = { allowNaN: false, allowInfinity: false } as const;
export const text =
  (max: number): PropertyDecorator =>
  (target, key) => {
    IsString()(target, key as string);
    MaxLength(max)(target, key as string);
  };
export const id = (): PropertyDecorator =>
  Matches(/^[a-z0-9][a-z0-9-]{0,39}$/i, { message: "$property “$value” is no id; use letters, digits and hyphens" });
/** A nominal size such as 8×10. */
export const nominalSize = (): PropertyDecorator =>
  Matches(/^\d+(\.\d+)?×\d+(\.\d+)?$/, {
    message: "$property is “$value”; write a nominal size in inches such as 12×12",
  });
/** Two numbers. */
export const point = (): PropertyDecorator => (target, key) => {
  IsArray()(target, key as string);
  ArrayMinSize(2)(target, key as string);
  ArrayMaxSize(2)(target, key as string);
  IsNumber(finite, { each: true })(target, key as string);
};
/** A list of nested documents; say their class with @Type. */
export const many =
  (max: number): PropertyDecorator =>
  (target, key) => {
    IsArray()(target, key as string);
    ArrayMaxSize(max)(target, key as string);
    ValidateNested({ each: true })(target, key as string);
  };
