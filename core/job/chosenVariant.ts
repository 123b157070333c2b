/** The variant of a structure that is built: the chosen one, or the first where that is gone. */
export const chosenVariant = <V extends { readonly id: string }>(s: {
  readonly chosen: string;
  readonly variants: readonly V[];
}): V => s.variants.find((v) => v.id === s.chosen) ?? s.variants[0]!;
