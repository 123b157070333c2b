import type { ApexOptions } from "apexcharts";
import { useEffect, useRef } from "react";
import type { ItemPlan } from "core/cutting";

/** Where the material goes, by stock: pieces, kerf, offcuts. Drawn in the browser only. */
export function MaterialChart({ plans, kerf }: { plans: readonly ItemPlan[]; kerf: number }) {
  const rows = plans
    .filter((p) => p.sticks.length > 0)
    .map((p) => {
      const total = p.sticks.reduce((s, x) => s + x.length, 0);
      const pieces = p.sticks.reduce((s, x) => s + x.cuts.reduce((t, c) => t + c.length, 0), 0);
      const offcut = p.sticks.reduce((s, x) => s + x.offcut, 0);
      return {
        name: p.name.replace(/^(Scale lumber|Strip wood|Styrene strip),? /, ""),
        pieces,
        kerf: kerf > 0 ? Math.max(0, total - pieces - offcut) : 0,
        offcut,
      };
    });
  if (rows.length === 0) return null;
  const css = getComputedStyle(document.documentElement);
  const colour = (name: string): string => css.getPropertyValue(name).trim();
  const series = (["pieces", "kerf", "offcut"] as const).map((k) => ({
    name: { pieces: "Pieces", kerf: "Kerf", offcut: "Offcuts" }[k],
    data: rows.map((r) => Number(r[k].toFixed(1))),
  }));
  return (
    <section aria-label="Where the material goes">
      <h2 className="label">Where the material goes, mm</h2>
      <Chart
        options={{
          series,
          chart: {
            type: "bar",
            height: 70 + 38 * rows.length,
            stacked: true,
            toolbar: { show: false },
            animations: { enabled: false },
            fontFamily: "Source Sans 3",
            foreColor: colour("--ink"),
          },
          plotOptions: { bar: { horizontal: true, barHeight: "60%" } },
          colors: [colour("--timber-line"), colour("--vermilion"), colour("--hair")],
          xaxis: { categories: rows.map((r) => r.name), labels: { style: { fontSize: "13px" } }, tickAmount: 3 },
          yaxis: { labels: { maxWidth: 110, style: { fontSize: "13px" } } },
          legend: { position: "bottom", fontSize: "13px" },
          dataLabels: { enabled: false },
          grid: { borderColor: colour("--hair") },
          tooltip: { y: { formatter: (v: number) => `${v.toFixed(1)} mm` } },
        }}
      />
    </section>
  );
}

/** A chart drawn by the library itself, which is loaded when there is something to draw. */
function Chart({ options }: { options: ApexOptions }) {
  const box = useRef<HTMLDivElement>(null);
  const text = JSON.stringify(options);
  useEffect(() => {
    let chart: { destroy(): void } | undefined;
    let gone = false;
    void import("apexcharts").then(({ default: ApexCharts }) => {
      if (gone || !box.current) return;
      const c = new ApexCharts(box.current, options);
      chart = c;
      void c.render();
    });
    return () => {
      gone = true;
      chart?.destroy();
    };
    // what the chart shows is in its text
  }, [text]);
  return <div ref={box} />;
}
