import { useMemo } from "react";
import { Board } from "~/board/Board";
import type { SheetPage } from "~/workers/drafter";

const PADDING = [20, 16, 20, 60] as const;

/** One page as it will come out of the printer. */
export function PageView({ page, label }: { page: SheetPage; label: string }) {
  const [w, h] = page.size;
  const bounds = useMemo(() => ({ min: [0, 0] as const, max: [w, h] as const }), [w, h]);
  return (
    <Board label={`Page of ${label}`} bounds={bounds} padding={PADDING} fitKey={`${w}×${h}`} unitMm={1}>
      {(v) => (
        <>
          <rect width={v.width} height={v.height} fill="transparent" />
          <g
            transform={`${v.transform} translate(0 ${h}) scale(1 -1)`}
            dangerouslySetInnerHTML={{ __html: page.svg }}
          />
        </>
      )}
    </Board>
  );
}
