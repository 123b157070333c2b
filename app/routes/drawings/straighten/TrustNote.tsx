import { trustOf, type Four, type Keystone } from "core/prototype";
import { printNumber } from "core/units";
import type { StraightenedDoc } from "core/job";
import { useSheet } from "../sheet";

export const keystoneOf = (s: StraightenedDoc): Keystone => ({
  corners: s.corners as unknown as Four,
  width: s.width,
  height: s.height,
  lens: { k: s.lens, width: s.size[0], height: s.size[1] },
});
/** How far a straightened picture can be trusted, in a sentence. */
export function trustWords(k: Keystone): string {
  const t = trustOf(k);
  const [a, b] = t.perInch.map((n) => printNumber(n, 1));
  return `The photograph shows ${a === b ? a : `${a} to ${b}`} pixels to a prototype inch. With each corner within a pixel, lengths are within ${printNumber(t.lengths * 100, 2)} % and right angles within ${printNumber(t.angles, 2)}°.`;
}
/** What a straightened picture is good for. */
export function TrustNote() {
  const { drawing } = useSheet();
  if (!drawing.straightened) return null;
  let words: string;
  try {
    words = trustWords(keystoneOf(drawing.straightened));
  } catch (e) {
    words = (e as Error).message;
  }
  return (
    <section className="text-[15px]">
      <h2 className="label">How far to trust it</h2>
      <p className="mt-1">{words}</p>
      <p className="mt-1 border-l-[3px] border-ochre pl-2">
        Only what lies in the plane of the rectangle measures true: recesses, eaves and what stands before it do not.
        Beyond the rectangle the error grows with the distance, so press on the largest one you know. Add a known length
        that only checks, to see its error.
      </p>
    </section>
  );
}
