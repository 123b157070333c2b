/** Packs what the application ships, once and well, so that no request has to: a .br and a .gz beside each file that gains by it. */
import { readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync, constants, gzipSync } from "node:zlib";

/** The best packing of larger files takes longer than it saves. */
const BEST_TO = 700_000;

export function pack(folder) {
  for (const name of readdirSync(folder, { recursive: true })) {
    const file = join(folder, name);
    if (!/\.(js|mjs|css|svg|wasm|json)$/.test(name) || statSync(file).size < 1024) continue;
    const bytes = readFileSync(file);
    const quality = bytes.length <= BEST_TO ? 11 : 5;
    writeFileSync(`${file}.br`, brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: quality, [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length } })); // prettier-ignore
    writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
  }
}
