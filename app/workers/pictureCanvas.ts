/** A stretch of a picture, in its pixels. */
export interface Region {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}
export interface KeptPicture {
  readonly hash: string;
  readonly width: number;
  readonly height: number;
}
const TILE = 512;

/**
 * Part of a kept picture as pixels, put together from its tiles at the finest level with no more than `most` pixels.
 * `step` is how many of the picture's pixels one of them stands for; `told` hears the share that is loaded.
 */
export async function pictureCanvas(
  p: KeptPicture,
  region: Region,
  most: number,
  told: (done: number) => void,
): Promise<{ readonly data: ImageData; readonly step: number; readonly x: number; readonly y: number }> {
  const top = Math.max(0, Math.ceil(Math.log2(Math.max(p.width, p.height) / TILE)));
  let down = 0;
  while ((region.width * region.height) / 4 ** down > most && down < top) down++;
  const step = 2 ** down;
  const size = TILE * step;
  const [c0, r0] = [Math.max(0, Math.floor(region.x / size)), Math.max(0, Math.floor(region.y / size))];
  const c1 = Math.min(Math.ceil(p.width / size), Math.ceil((region.x + region.width) / size));
  const r1 = Math.min(Math.ceil(p.height / size), Math.ceil((region.y + region.height) / size));
  const width = Math.min((c1 - c0) * TILE, Math.ceil(p.width / step) - c0 * TILE);
  const height = Math.min((r1 - r0) * TILE, Math.ceil(p.height / step) - r0 * TILE);
  const canvas = new OffscreenCanvas(width, height);
  const g = canvas.getContext("2d", { willReadFrequently: true })!;
  const wanted = Array.from({ length: r1 - r0 }, (_, r) =>
    Array.from({ length: c1 - c0 }, (__, c) => [c0 + c, r0 + r] as const),
  ).flat();
  let done = 0;
  const load = async ([c, r]: readonly [number, number]): Promise<void> => {
    const answer = await fetch(`/pictures/${p.hash}/${top - down}/${c}/${r}`);
    if (!answer.ok) throw new Error("A part of the picture could not be loaded.");
    const tile = await createImageBitmap(await answer.blob());
    g.drawImage(tile, (c - c0) * TILE, (r - r0) * TILE);
    tile.close();
    told(++done / wanted.length);
  };
  // a few at a time: a large picture has hundreds
  const queue = [...wanted];
  await Promise.all(
    Array.from({ length: 6 }, async () => {
      for (let next = queue.shift(); next; next = queue.shift()) await load(next);
    }),
  );
  return { data: g.getImageData(0, 0, width, height), step, x: c0 * size, y: r0 * size };
}
