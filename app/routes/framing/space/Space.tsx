import { Canvas, useThree, type ThreeEvent } from "@react-three/fiber";
import { useEffect, useMemo, useRef, useState } from "react";
import { BufferAttribute, BufferGeometry, DoubleSide, Plane, Vector3, type WebGLRenderer } from "three";
import { lookOf } from "core/lumber";
import { shownEdges, type Resolved } from "core/frame";
import { OrbitControls } from "three/examples/jsm/controls/OrbitControls.js";
import { timberTexture } from "./timberTexture";

interface Props {
  readonly name: string;
  readonly sticks: readonly Resolved[];
  readonly selected: string | undefined;
  readonly select: (stick: string | undefined) => void;
}
/** One assembly as a mesh: which stick each triangle belongs to, so that a press finds it. */
interface Part {
  readonly assembly: string;
  readonly geometry: BufferGeometry;
  readonly edges: BufferGeometry;
  readonly owners: readonly string[];
  readonly middle: Vector3;
}

/** z is up in a frame and y in the picture. */
const put = (out: number[], p: readonly [number, number, number]): void => void out.push(p[0], p[2], -p[1]);

/** How light each look is: red, green and blue of 1. */
const RGB = { timber: [1, 0.84, 0.58], styrene: [0.97, 0.97, 0.95], glass: [0.72, 0.82, 0.84] } as const;
function partOf(assembly: string, sticks: readonly Resolved[]): Part {
  const [positions, uvs, colours, owners, lines]: [number[], number[], number[], string[], number[]] = [
    [],
    [],
    [],
    [],
    [],
  ];
  for (const s of sticks) {
    const { origin, u, v, w } = s.axes;
    // no two sticks have the same grain or tint
    let seed = 0;
    for (let i = 0; i < s.id.length; i++) seed = (seed * 31 + s.id.charCodeAt(i)) % 9973;
    const look = lookOf(s.stock);
    const tint = look !== "timber" ? 1.06 : 0.9 + (seed % 17) / 100;
    const at = (p: readonly [number, number, number], d: readonly [number, number, number]): number =>
      (p[0] - origin[0]) * d[0] + (p[1] - origin[1]) * d[1] + (p[2] - origin[2]) * d[2];
    for (const part of s.parts)
      for (const f of part.faces) {
        const end = Math.abs(f.plane.n[0] * u[0] + f.plane.n[1] * u[1] + f.plane.n[2] * u[2]) > 0.7;
        const k = end ? tint * 0.8 : tint;
        const rgb = RGB[look].map((c) => k * c);
        for (let i = 1; i + 1 < f.corners.length; i++) {
          for (const c of [f.corners[0]!, f.corners[i]!, f.corners[i + 1]!]) {
            put(positions, c);
            uvs.push(at(c, u) / 40 + seed, (at(c, v) + at(c, w)) / 9 + seed / 7);
            colours.push(...rgb);
          }
          owners.push(s.id);
        }
      }
    for (const edge of shownEdges(s)) for (const p of edge) put(lines, p);
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute("position", new BufferAttribute(new Float32Array(positions), 3));
  geometry.setAttribute("uv", new BufferAttribute(new Float32Array(uvs), 2));
  geometry.setAttribute("color", new BufferAttribute(new Float32Array(colours), 3));
  geometry.computeVertexNormals();
  geometry.computeBoundingBox();
  const edges = new BufferGeometry();
  edges.setAttribute("position", new BufferAttribute(new Float32Array(lines), 3));
  const middle = new Vector3();
  geometry.boundingBox!.getCenter(middle);
  return { assembly, geometry, edges, owners, middle };
}

/** The frame in space: turned with the pointer, cut open, taken apart by its assemblies, with roles hidden; a press finds the stick. */
export default function Space({ name, sticks, selected, select }: Props) {
  const [off, setOff] = useState<ReadonlySet<string>>(new Set());
  const [apart, setApart] = useState(0);
  const [cut, setCut] = useState({ axis: "none", at: 0.5 });
  const gl = useRef<WebGLRenderer>(undefined);
  const roles = useMemo(() => [...new Set(sticks.map((s) => s.member.role))].sort(), [sticks]);
  const parts = useMemo(() => {
    const groups = new Map<string, Resolved[]>();
    for (const s of sticks) {
      if (off.has(s.member.role)) continue;
      const own = groups.get(s.member.assembly);
      if (own) own.push(s);
      else groups.set(s.member.assembly, [s]);
    }
    return [...groups].map(([a, list]) => partOf(a, list));
  }, [sticks, off]);
  useEffect(() => () => parts.forEach((p) => (p.geometry.dispose(), p.edges.dispose())), [parts]);
  const box = useMemo(() => {
    const [min, max] = [new Vector3(Infinity, Infinity, Infinity), new Vector3(-Infinity, -Infinity, -Infinity)];
    for (const p of parts) {
      min.min(p.geometry.boundingBox!.min);
      max.max(p.geometry.boundingBox!.max);
    }
    if (!Number.isFinite(min.x))
      return { centre: new Vector3(), size: new Vector3(10, 10, 10), min: new Vector3(), max: new Vector3(10, 10, 10) };
    return { centre: min.clone().add(max).multiplyScalar(0.5), size: max.clone().sub(min), min, max };
  }, [parts]);
  const planes = useMemo(() => {
    if (cut.axis === "none") return [];
    const k = { along: "x", up: "y", across: "z" }[cut.axis as "along" | "up" | "across"] as "x" | "y" | "z";
    const n = new Vector3();
    n[k] = -1;
    return [new Plane(n, box.min[k] + (box.max[k] - box.min[k]) * cut.at)];
  }, [cut, box]);
  const chosen = useMemo(() => {
    const s = sticks.filter((x) => x.id === selected);
    return s.length > 0 ? partOf("chosen", s) : undefined;
  }, [sticks, selected]);
  const picture = (): void => {
    const a = document.createElement("a");
    a.href = gl.current!.domElement.toDataURL("image/png");
    a.download = `${name.toLowerCase().replace(/[^a-z0-9]+/g, "-") || "frame"}.png`;
    a.click();
  };
  // the ball round all of it stands in a view of 35°, as seen from 1.37 times as far
  const far = (box.size.length() / 2 / Math.sin((17.5 * Math.PI) / 180) / 1.37) * 0.96 + 5;
  return (
    <div className="flex size-full flex-col" data-space={parts.length}>
      <div className="min-h-0 flex-1">
        <Canvas
          key={sticks.length === 0 ? "empty" : "full"}
          frameloop="demand"
          gl={{ preserveDrawingBuffer: true, antialias: true }}
          camera={{
            fov: 35,
            near: far / 200,
            far: far * 12,
            position: [box.centre.x + far * 0.75, box.centre.y + far * 0.45, box.centre.z + far * 1.05],
          }}
          onCreated={(s) => {
            gl.current = s.gl;
            s.gl.localClippingEnabled = true;
          }}
          onPointerMissed={() => select(undefined)}
          aria-label={`${name} in space`}
          role="img"
        >
          <ambientLight intensity={1.5} />
          <directionalLight position={[far, far * 2, far * 1.5]} intensity={1.9} />
          <directionalLight position={[-far, far * 0.6, -far]} intensity={0.5} />
          <Turning target={box.centre} />
          <Redraw when={[parts, apart, planes, chosen]} />
          {parts.map((p) => {
            const shift = p.middle.clone().sub(box.centre).multiplyScalar(apart);
            const pick = (e: ThreeEvent<MouseEvent>): void => {
              if (e.delta > 4) return;
              e.stopPropagation();
              select(p.owners[e.faceIndex ?? -1]);
            };
            return (
              <group key={p.assembly} position={shift}>
                <mesh geometry={p.geometry} onClick={pick}>
                  <meshStandardMaterial
                    vertexColors
                    map={timberTexture()}
                    roughness={0.85}
                    side={DoubleSide}
                    clippingPlanes={planes}
                    polygonOffset
                    polygonOffsetFactor={1}
                    polygonOffsetUnits={1}
                  />
                </mesh>
                <lineSegments geometry={p.edges}>
                  <lineBasicMaterial
                    color="#3a3226"
                    transparent
                    opacity={sticks.length > 300 ? 0.22 : 0.4}
                    clippingPlanes={planes}
                  />
                </lineSegments>
                {chosen && sticks.find((s) => s.id === selected)?.member.assembly === p.assembly && (
                  <mesh geometry={chosen.geometry} renderOrder={2}>
                    <meshStandardMaterial color="#b8361f" roughness={0.7} side={DoubleSide} />
                  </mesh>
                )}
              </group>
            );
          })}
        </Canvas>
      </div>
      {/* under the model, so that it hides nothing of it */}
      <div className="relative flex flex-wrap items-center gap-x-5 gap-y-1 border-t border-hair px-5 py-1.5 text-[15px]">
        <label className="flex items-center gap-2">
          Taken apart
          <input
            type="range"
            min={0}
            max={1.2}
            step={0.05}
            value={apart}
            onChange={(e) => setApart(Number(e.target.value))}
            className="w-28 accent-[var(--ink)]"
          />
        </label>
        <label className="flex items-center gap-2">
          Cut open
          <select className="field !w-24" value={cut.axis} onChange={(e) => setCut({ ...cut, axis: e.target.value })}>
            <option value="none">no</option>
            <option value="along">along</option>
            <option value="across">across</option>
            <option value="up">level</option>
          </select>
        </label>
        {cut.axis !== "none" && (
          <input
            type="range"
            aria-label="Where it is cut open"
            min={0}
            max={1}
            step={0.01}
            value={cut.at}
            onChange={(e) => setCut({ ...cut, at: Number(e.target.value) })}
            className="w-28 accent-[var(--ink)]"
          />
        )}
        <details>
          <summary className="min-h-6 cursor-pointer">Hide by role</summary>
          <ul className="absolute bottom-full z-20 max-h-72 overflow-auto border border-edge bg-film px-3 py-2">
            {roles.map((r) => (
              <li key={r}>
                <label className="flex min-h-[26px] items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-4 accent-[var(--ink)]"
                    checked={!off.has(r)}
                    onChange={(e) => {
                      const next = new Set(off);
                      if (e.target.checked) next.delete(r);
                      else next.add(r);
                      setOff(next);
                    }}
                  />
                  {r}
                </label>
              </li>
            ))}
          </ul>
        </details>
        <button className="btn ml-auto" onClick={picture}>
          Save this picture
        </button>
      </div>
    </div>
  );
}

/** Draws once more when something changed: nothing is drawn while nothing does. */
function Redraw({ when }: { when: readonly unknown[] }) {
  const invalidate = useThree((s) => s.invalidate);
  useEffect(() => invalidate(), [invalidate, ...when]);
  return null;
}

/** The model is turned, moved and brought nearer with the pointer; the picture is painted anew only when it changes. */
function Turning({ target }: { target: Vector3 }) {
  const { camera, gl, invalidate } = useThree();
  useEffect(() => {
    const controls = new OrbitControls(camera, gl.domElement);
    controls.target.copy(target);
    controls.update();
    const paint = (): void => invalidate();
    controls.addEventListener("change", paint);
    return () => {
      controls.removeEventListener("change", paint);
      controls.dispose();
    };
  }, [camera, gl, invalidate, target]);
  return null;
}
