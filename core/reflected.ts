/*
 * class-transformer's @Type asks what type a compiler noted of a field. None is noted here: every @Type names its own. So
 * the answer is "nothing", which needs no library.
 */
const known = Reflect as typeof Reflect & { getMetadata?: (key: string, target: object, field: string) => unknown };
known.getMetadata ??= () => undefined;
export {};
