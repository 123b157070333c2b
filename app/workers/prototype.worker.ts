import { expose } from "comlink";
import { inkStrokes, membersAmong, vectorStrokes, type FoundMember, type MemberSearch } from "core/found";
import { layStraightened, resample, type Four, type Keystone, type Straightened } from "core/prototype";
import type { SheetLines } from "core/sources";
import { pictureCanvas, type KeptPicture, type Region } from "./pictureCanvas";

export type Told = (done: number, what: string) => void;
/** Most pixels that are searched for lines at once, and that a photograph is straightened from. */
const SEARCHED = 9e6;
const STRAIGHTENED = 40e6;

/** Heavy work on drawings, off the main thread. It is stopped by ending the worker. */
const work = {
  /** Members on a part of a scan, in the picture's pixels; `search` is told in those too. */
  async findInPicture(p: KeptPicture, region: Region, search: MemberSearch, told: Told): Promise<FoundMember[]> {
    const { data, step, x, y } = await pictureCanvas(p, region, SEARCHED, (d) => told(0.1 * d, "Loading the picture"));
    const gray = new Uint8Array(data.width * data.height);
    for (let i = 0; i < gray.length; i++)
      gray[i] = 0.299 * data.data[4 * i]! + 0.587 * data.data[4 * i + 1]! + 0.114 * data.data[4 * i + 2]!;
    const strokes = await inkStrokes({ width: data.width, height: data.height, data: gray }, (d, what) => {
      told(0.1 + 0.85 * d, what);
      return true;
    });
    const found = membersAmong(strokes, {
      ...search,
      least: Math.max(4, search.least / step),
      most: search.most / step,
      ...(search.perInch ? { perInch: search.perInch / step } : {}),
    });
    const back = ([px, py]: readonly [number, number]): [number, number] => [px * step + x, py * step + y];
    return found.map((f) => ({ ...f, a: back(f.a), b: back(f.b), width: f.width * step }));
  },
  findInLines(lines: SheetLines, hidden: readonly string[], search: MemberSearch): FoundMember[] {
    return membersAmong(vectorStrokes(lines, new Set(hidden)), search);
  },
  /** A photograph resampled on the plane of a rectangle, as a JPEG. */
  async straighten(
    p: KeptPicture,
    k: Keystone,
    told: Told,
  ): Promise<{ readonly blob: Blob; readonly laid: Straightened }> {
    const all = { x: 0, y: 0, width: p.width, height: p.height };
    const { data, step } = await pictureCanvas(p, all, STRAIGHTENED, (d) => told(0.3 * d, "Loading the photograph"));
    const small: Keystone = {
      ...k,
      corners: k.corners.map(([x, y]) => [x / step, y / step]) as unknown as Four,
      lens: { k: k.lens.k, width: p.width / step, height: p.height / step },
    };
    const laid = layStraightened(small);
    const flat = resample(data, small, laid, (d) => {
      told(0.3 + 0.6 * d, "Straightening");
      return true;
    })!;
    const canvas = new OffscreenCanvas(flat.width, flat.height);
    canvas
      .getContext("2d")!
      .putImageData(new ImageData(flat.data as Uint8ClampedArray<ArrayBuffer>, flat.width, flat.height), 0, 0);
    told(0.95, "Keeping it");
    return { blob: await canvas.convertToBlob({ type: "image/jpeg", quality: 0.92 }), laid };
  },
};
export type PrototypeWork = typeof work;
expose(work);
