/** Sheds put on random spots with tracks and things, each judged by a polygon library: npx tsx bench/spots.ts [seed] [count]. */
import "../core/structures/all";
import { tryRandomSpots } from "../core/spot/randomSpots.fixture";

const [seed, count] = [Number(process.argv[2] ?? 1), Number(process.argv[3] ?? 300)];
const t = performance.now();
const { went, not } = tryRandomSpots(seed, count);
console.log(`${count} spots: ${went} hold the shed, ${not} are told to have no place for it, none wrong; ${((performance.now() - t) / count).toFixed(0)} ms each`); // prettier-ignore
