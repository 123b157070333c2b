import type { Context } from "../kind";

/** The assemblies of a span's bracing. */
export const lateralsOf = (ctx: Context, span: number, chord: "lower" | "upper"): string =>
  `${ctx.structure}/span${span}/bracing/${chord}`;
export const portalOf = (ctx: Context, span: number, point: string): string =>
  `${ctx.structure}/span${span}/bracing/portal/${point}`;
export const swayOf = (ctx: Context, span: number, point: string): string =>
  `${ctx.structure}/span${span}/bracing/sway/${point}`;
