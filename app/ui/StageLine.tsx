import { ArchiveBoxIcon } from "@heroicons/react/24/outline";
import { NavLink, useLocation, useParams } from "react-router";

export const STAGES = [
  { id: "shelf", name: "Shelf" },
  { id: "brief", name: "Brief" },
  { id: "drawings", name: "Drawings" },
  { id: "framing", name: "Framing" },
  { id: "stock", name: "Stock" },
  { id: "cutting", name: "Cutting" },
  { id: "jigs", name: "Jigs" },
  { id: "bench", name: "Bench" },
] as const;

/** The line of stages: a dot each, filled as the job has something there. */
export function StageLine({ progress }: { progress?: ReadonlySet<string> }) {
  const { job } = useParams();
  const location = useLocation();
  return (
    <nav aria-label="Stages" className="flex w-[124px] shrink-0 flex-col border-r border-hair bg-shade pt-4 pl-[18px]">
      <div className="head mb-4 text-[27px]">Cardo</div>
      <ol className="relative flex max-h-[520px] flex-1 flex-col justify-between before:absolute before:top-3 before:bottom-3 before:left-[8px] before:w-[4px] before:bg-ink">
        {STAGES.map((s) => {
          const to = s.id === "shelf" ? "/" : `/jobs/${job}/${s.id}`;
          const filled = s.id === "shelf" || progress?.has(s.id);
          if (!job && s.id !== "shelf")
            return (
              <li key={s.id} className="relative flex min-h-[28px] items-center gap-3 text-ink-2">
                <Dot filled={false} active={false} />
                <span className="head text-[17px]">{s.name}</span>
              </li>
            );
          return (
            <li key={s.id}>
              <NavLink to={to} end={s.id === "shelf"} className="relative flex min-h-[28px] items-center gap-3">
                {({ isActive }) => (
                  <>
                    <Dot filled={!!filled} active={isActive} />
                    <span className={`head text-[17px] ${isActive ? "text-vermilion" : ""}`}>{s.name}</span>
                    <span className="sr-only">{filled ? ", has something" : ", empty"}</span>
                  </>
                )}
              </NavLink>
            </li>
          );
        })}
      </ol>
      <NavLink
        to="/drawer"
        state={{ from: job ? location.pathname : undefined }}
        className="mt-6 flex min-h-[28px] items-center gap-3"
      >
        {({ isActive }) => (
          <>
            <ArchiveBoxIcon aria-hidden className={`w-[20px] ${isActive ? "text-vermilion" : ""}`} />
            <span className={`head text-[17px] ${isActive ? "text-vermilion" : ""}`}>Drawer</span>
          </>
        )}
      </NavLink>
    </nav>
  );
}

function Dot({ filled, active }: { filled: boolean; active: boolean }) {
  return (
    <span
      className={`relative z-[1] h-[20px] w-[20px] rounded-full border-[3.5px] ${active ? "border-vermilion" : "border-ink"} ${filled ? (active ? "bg-vermilion" : "bg-ink") : "bg-film"}`}
    />
  );
}
