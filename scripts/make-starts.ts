/** Writes the pictures of what can be framed, which the application ships: public/starts/KIND-NUMBER.svg. */
import { mkdirSync, rmSync, writeFileSync } from "node:fs";
import { KINDS } from "../core/structures/all";
import { startPicture } from "./startPicture";

rmSync("public/starts", { recursive: true, force: true });
mkdirSync("public/starts", { recursive: true });
for (const k of KINDS)
  k.starts?.forEach((s, n) => writeFileSync(`public/starts/${k.id}-${n}.svg`, startPicture(k.id, s.params)));
