import type { RequestHandler } from "express";

export function policy(script?: string): string;
export function doors(options: {
  readonly names: readonly string[];
  readonly takes: (path: string) => "form" | "json" | "zip" | undefined;
}): RequestHandler;
