/** Parts that schemas of JSON are made of: an object has all its fields but the optional ones, and no others. */
export const number = (more: object = {}) => ({ type: "number", ...more });
export const text = (maxLength: number) => ({ type: "string", maxLength });
export const oneOf = (...values: unknown[]) => ({ enum: values });
export const list = (items: object, more: object = {}) => ({ type: "array", items, ...more });
export const record = (value: object) => ({ type: "object", additionalProperties: value });
export const object = (properties: Record<string, object>, optional: readonly string[] = []) => ({
  type: "object",
  properties,
  required: Object.keys(properties).filter((k) => !optional.includes(k)),
  additionalProperties: false,
});
export const word = text(1000);
export const id = { type: "string", pattern: "^[A-Za-z0-9][A-Za-z0-9-]{0,39}$" };
export const point = list(number(), { minItems: 2, maxItems: 2 });
export const hash = { type: "string", pattern: "^[0-9a-f]{64}$" };
