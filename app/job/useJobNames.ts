import { useEffect, useState } from "react";

/** The names of all jobs on the shelf, by their ids; none while they are not known, or the server is away. */
export function useJobNames(): Readonly<Record<string, string>> {
  const [names, setNames] = useState<Readonly<Record<string, string>>>({});
  useEffect(() => {
    let gone = false;
    fetch("/drawer/names")
      .then((r) => r.json() as Promise<{ names?: Record<string, string> }>)
      .then((a) => !gone && setNames(a.names ?? {}))
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, []);
  return names;
}
