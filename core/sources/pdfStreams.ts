import { SourceError } from "./sheetLines";

/** The most that one packed stream of a PDF may unfold to, and all together, bytes: an A0 sheet in colour at 300 dpi has 417 million. */
const MOST = { one: 500e6, all: 1500e6 };
/** A stream that unfolds to less than this is no burden, however tightly it is packed. */
const HARMLESS = 64e6;
/** How many times its size a stream may unfold to; a blank scan comes near 1,000. */
const TIGHTEST = 900;

/** What the last slice unfolds to is lost where junk follows it, so small streams come in small ones. */
const sliceOf = (bytes: number): number => Math.min(4096, Math.max(64, Math.ceil(bytes / 16)));

/** Unpacks bytes and tells how many come out, keeping none but the first thousand; it stops at `most`. */
async function unpacked(
  bytes: Uint8Array,
  most: number,
): Promise<{ readonly size: number; readonly head: Uint8Array }> {
  let size = 0;
  let head: Uint8Array = new Uint8Array();
  try {
    const reader = slices(bytes).pipeThrough(new DecompressionStream("deflate")).getReader();
    for (let r = await reader.read(); !r.done; r = await reader.read()) {
      if (size === 0) head = r.value.slice(0, 1000);
      size += r.value.length;
      if (size > most) {
        await reader.cancel();
        break;
      }
    }
  } catch {
    // what is damaged unfolds as far as it does
  }
  return { size, head };
}
/** Bytes a little at a time: all at once, whatever they unfold to would be there before anyone counts. */
function slices(bytes: Uint8Array): ReadableStream<BufferSource> {
  let at = 0;
  const slice = sliceOf(bytes.length);
  return new ReadableStream({
    pull(out) {
      if (at < bytes.length) out.enqueue(bytes.slice(at, (at += slice)));
      else out.close();
    },
  });
}
/** Whether bytes begin as packed ones do: 78 and a check that makes the two divisible by 31. */
const looksPacked = (b: Uint8Array): boolean => b[0] === 0x78 && (b[0] * 256 + (b[1] ?? 0)) % 31 === 0;
/** Whether they are packed ones: a grey picture may begin as if it were. */
const isPacked = async (b: Uint8Array): Promise<boolean> => looksPacked(b) && (await unpacked(b, 1e6)).size > 0;

/**
 * Looks at every packed stream of a PDF before anything unfolds one: a small file that holds gigabytes would take all of
 * a machine's memory. Errors: SourceError.
 */
export async function checkStreams(pdf: Uint8Array, most = MOST): Promise<void> {
  const refuse = (): never => {
    throw new SourceError(
      "The PDF unfolds to far more than any drawing needs, so it is not taken. Print it to a new PDF and upload that.",
    );
  };
  let all = 0;
  for (const [from, to] of streamsOf(pdf)) {
    const bytes = pdf.subarray(from, to);
    if (!looksPacked(bytes)) continue;
    const { size, head } = await unpacked(bytes, most.one);
    all += size;
    const tight = size > HARMLESS && size > bytes.length * TIGHTEST;
    // packed twice, nothing of a drawing is
    if (size > most.one || all > most.all || tight || (await isPacked(head))) refuse();
  }
}
/** Where the streams of a PDF begin and end. */
function* streamsOf(pdf: Uint8Array): Generator<readonly [number, number]> {
  const [S, E] = [[..."stream"], [..."endstream"]].map((w) => w.map((c) => c.charCodeAt(0))) as [number[], number[]];
  const is = (at: number, word: readonly number[]): boolean => word.every((c, k) => pdf[at + k] === c);
  const find = (word: readonly number[], from: number): number => {
    for (let i = pdf.indexOf(word[0]!, from); i >= 0; i = pdf.indexOf(word[0]!, i + 1)) if (is(i, word)) return i;
    return -1;
  };
  for (let at = find(S, 0); at >= 0;) {
    let from = at + S.length;
    if (pdf[from] === 13) from++;
    if (pdf[from] === 10) from++;
    const end = find(E, from);
    yield [from, end < 0 ? pdf.length : end];
    at = end < 0 ? -1 : find(S, end + E.length);
  }
}
