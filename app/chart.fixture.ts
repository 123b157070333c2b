import type { ApexOptions } from "apexcharts";

/** A chart on a page that paints nothing: the names of its series, and what each bar stands for. The real one is looked at in the browser's tests. */
export default class Chart {
  constructor(
    private readonly box: HTMLElement,
    private readonly options: ApexOptions,
  ) {}
  render(): Promise<void> {
    const { series, xaxis } = this.options as { series: { name: string; data: unknown[] }[]; xaxis?: { categories?: unknown[] } }; // prettier-ignore
    this.box.textContent = [...series.map((s) => s.name), ...(xaxis?.categories ?? [])].join(" ");
    return Promise.resolve();
  }
  destroy(): void {
    this.box.textContent = "";
  }
}
