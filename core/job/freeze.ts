import { sha256 } from "@noble/hashes/sha2.js";
import { bytesToHex, utf8ToBytes } from "@noble/hashes/utils.js";
import { CATALOGUE_VERSION } from "../lumber";
import type { Design } from "./design";
import type { Issue } from "./issue";

const rounded = (_: string, v: unknown): unknown => (typeof v === "number" ? Number(v.toFixed(4)) + 0 : v);

const hashes = new WeakMap<Design, string>();
/** Hash of everything a jig or a cut depends on: pieces, where each stick lies, and the versions of what computed them. Found once: every page asks for it. */
export function designHash(d: Design): string {
  const known = hashes.get(d);
  if (known !== undefined) return known;
  const sticks = d.structures.flatMap((s) =>
    s.resolved.sticks.map((k) => [k.id, k.parts.flatMap((p) => p.faces.map((f) => f.corners))]),
  );
  const pieces = d.pieces.map((p) => [p.mark, p.stock, p.sticks]);
  const hash = bytesToHex(sha256(utf8ToBytes(JSON.stringify([versionsOf(d), pieces, sticks], rounded))));
  hashes.set(d, hash);
  return hash;
}
/** The hash as it is printed on sheets. */
export const shortHash = (hash: string): string => hash.slice(0, 7).toUpperCase();

const versionsOf = (d: Design): Issue["versions"] => ({
  catalogue: CATALOGUE_VERSION,
  kinds: Object.fromEntries(d.structures.map((s) => [s.kind.id, s.kind.version])),
});

/** Freezes a design as an issue. `sticks` are the ids that were cut; a print covers them all. */
export function issueOf(d: Design, kind: Issue["kind"], id: string, at: string, sticks?: readonly string[]): Issue {
  const chosen = new Set(sticks ?? d.pieces.flatMap((p) => p.sticks));
  const pieces = d.pieces.filter((p) => p.sticks.some((s) => chosen.has(s)));
  return {
    id,
    kind,
    at,
    hash: designHash(d),
    versions: versionsOf(d),
    plan: { ...d.doc.cutting, sticks: d.doc.stock.sticks },
    pieces: pieces.map(({ mark, role, nominal, stock, shape, sticks: all }) => ({
      mark,
      role,
      nominal,
      stock,
      shape,
      sticks: all,
    })),
    sticks: [...chosen],
  };
}
