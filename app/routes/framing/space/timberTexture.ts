import { CanvasTexture, RepeatWrapping, SRGBColorSpace, type Texture } from "three";

let made: Texture | undefined;
/** Light wood with grain along u: fine lines of differing strength, the same every time. */
export function timberTexture(): Texture {
  if (made) return made;
  const [w, h] = [256, 128];
  const el = document.createElement("canvas");
  el.width = w;
  el.height = h;
  const g = el.getContext("2d")!;
  g.fillStyle = "#fff";
  g.fillRect(0, 0, w, h);
  let seed = 7;
  const random = (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;
  for (let i = 0; i < 70; i++) {
    const y = random() * h;
    const sway = (random() - 0.5) * 5;
    g.strokeStyle = `rgba(96, 66, 28, ${0.05 + random() * 0.16})`;
    g.lineWidth = 0.5 + random() * 1.2;
    g.beginPath();
    g.moveTo(0, y);
    g.bezierCurveTo(w / 3, y + sway, (2 * w) / 3, y - sway, w, y);
    g.stroke();
  }
  made = new CanvasTexture(el);
  made.wrapS = made.wrapT = RepeatWrapping;
  made.colorSpace = SRGBColorSpace;
  made.anisotropy = 4;
  return made;
}
