import type { openCvModule } from "./opencvModule";

export type OpenCv = ReturnType<typeof openCvModule>;
let loaded: Promise<() => OpenCv> | undefined;

/** OpenCV, 7.7 MB of WebAssembly, loaded once and only when it is wanted: in a worker or on the command line. Answers a function that gives it. */
export function openCv(): Promise<() => OpenCv> {
  loaded ??= new Promise((done, failed) => {
    let get: (() => OpenCv) | undefined;
    let ready = false;
    const tell = (): void => {
      if (ready && get) done(get);
    };
    (globalThis as { Module?: unknown }).Module = {
      onRuntimeInitialized: () => {
        ready = true;
        tell();
      },
    };
    import("./opencvModule").then((m) => {
      get = m.openCvModule;
      tell();
    }, failed);
  });
  return loaded;
}
