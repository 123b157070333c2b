import { useRouteLoaderData } from "react-router";
import type { loader } from "~/routes/job/layout";

/** A job as it looked when its picture was drawn last, while what is on it now is being made. */
export function LastPicture() {
  const held = useRouteLoaderData<typeof loader>("routes/job/layout");
  if (!held || held.drawn < 0) return <p className="text-ink-2">Setting it up …</p>;
  const src = `/jobs/${held.job.id}/card.svg?revision=${held.drawn}`;
  return <img src={src} alt="" className="max-h-full max-w-full object-contain opacity-60" width={760} />;
}
