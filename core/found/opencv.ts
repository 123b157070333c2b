import type CV from "@techstark/opencv-js";

export type OpenCv = typeof CV;
let loaded: Promise<{ readonly get: () => OpenCv }> | undefined;

/**
 * OpenCV, 7.7 MB of WebAssembly, loaded once and only when it is wanted: in a worker or on the command line. Its module
 * looks like a promise, so it is reached through a function; awaiting it would never end.
 */
export function openCv(): Promise<{ readonly get: () => OpenCv }> {
  loaded ??= new Promise((done, failed) => {
    const g = globalThis as { Module?: unknown };
    let module: OpenCv | undefined;
    let ready = false;
    const tell = (): void => {
      if (ready && module) done({ get: () => module! });
    };
    g.Module = {
      onRuntimeInitialized: () => {
        ready = true;
        tell();
      },
    };
    import("@techstark/opencv-js").then((m) => {
      module = ((m as { default?: unknown }).default ?? m) as OpenCv;
      tell();
    }, failed);
  });
  return loaded;
}
