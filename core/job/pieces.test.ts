import { readFileSync, readdirSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { pieceShape, samePiece } from "../frame";
import { designOf } from "./design";
import { readJobFile } from "./file";

const JOBS = readdirSync("examples").filter((f) => f.endsWith(".json") && f !== "empty-job.json");

describe("pieces of the demo jobs", () => {
  for (const file of JOBS)
    it(`${file}: every stick is the piece that it is listed as, and no two rows are one piece`, () => {
      const { doc } = readJobFile(readFileSync(`examples/${file}`, "utf8"));
      const { pieces, structures } = designOf(doc);
      const sticks = new Map(structures.flatMap((s) => s.resolved.sticks.map((k) => [k.id, k] as const)));
      expect(pieces.reduce((n, p) => n + p.sticks.length, 0)).toBe(sticks.size);
      for (const p of pieces)
        for (const id of p.sticks) {
          const k = sticks.get(id)!;
          expect([k.stock, k.member.letter], id).toEqual([p.stock, p.mark.replace(/\d+$/, "")]);
          // cut anew from its own solid, not from what it is told to be like
          expect(samePiece(p.shape, pieceShape(k), k.member.turning), `${id} as ${p.mark}`).toBe(true);
        }
      const rows = [...pieces].sort((a, b) => a.shape.overall - b.shape.overall);
      for (const [i, a] of rows.entries())
        for (let k = i + 1; k < rows.length && rows[k]!.shape.overall - a.shape.overall < 0.01; k++) {
          const b = rows[k]!;
          const turning = sticks.get(b.sticks[0]!)!.member.turning;
          if (a.stock === b.stock && a.mark[0] === b.mark[0] && a.role === b.role)
            expect(samePiece(a.shape, b.shape, turning), `${a.mark} and ${b.mark}`).toBe(false);
        }
    });
});
