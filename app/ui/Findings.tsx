import { chosenVariant } from "core/job";
import { useState } from "react";
import type { Finding } from "core/checks";
import { useNavigate } from "react-router";
import { setParam } from "~/board/useParam";
import { useJob } from "~/job/JobContext";
import { usePaper } from "~/job/usePaper";

const LOOK = {
  fault: { name: "Fault.", bar: "border-fault", ink: "text-fault" },
  warning: { name: "Warning.", bar: "border-ochre", ink: "text-ochre" },
  remark: { name: "Remark.", bar: "border-edge", ink: "text-ink-2" },
} as const;

/** What Cardo thinks of the design: each a sentence, with its remedy and a way to set it aside. */
export function Findings({ only, heading = "Findings" }: { only?: (f: Finding) => boolean; heading?: string }) {
  const { findings, checking, design, doc } = useJob();
  const [paper] = usePaper();
  const shown = only ? findings.filter(only) : findings;
  const open = shown.filter((f) => f.aside === undefined);
  const aside = shown.filter((f) => f.aside !== undefined);
  const print = async (): Promise<void> => {
    const [{ findingPages }, { savePdf }] = await Promise.all([import("core/lists"), import("~/job/savePdf")]);
    const plan = findingPages(design, shown, paper, new Date().toISOString().slice(0, 10));
    await savePdf([{ name: "Findings", plan }], `${doc.name}: findings`, "Findings.pdf");
  };
  return (
    <section aria-label={heading}>
      <div className="flex items-baseline justify-between gap-2">
        <h2 className="label">{heading}</h2>
        {checking && (
          <p className="late text-[15px] text-ink-2" role="status">
            Checking every joint …
          </p>
        )}
        {shown.length > 0 && (
          <button className="link min-h-6 text-[14px]" onClick={() => void print()}>
            Print them (PDF)
          </button>
        )}
      </div>
      {open.length === 0 && (
        <p className={`mt-1 text-[15px] ${checking ? "invisible" : ""}`}>
          <span className="font-semibold text-verdigris">✓ Nothing to object to.</span>
        </p>
      )}
      <ul className="mt-1 space-y-2.5">
        {open.map((f) => (
          <Row key={f.key} f={f} />
        ))}
      </ul>
      {aside.length > 0 && (
        <details className="mt-3 text-[15px]">
          <summary className="cursor-pointer text-ink-2">{aside.length} set aside</summary>
          <ul className="mt-1 space-y-2">
            {aside.map((f) => (
              <Row key={f.key} f={f} />
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

function Row({ f }: { f: Finding }) {
  const job = useJob();
  const go = useNavigate();
  const [reason, setReason] = useState<string>();
  const look = LOOK[f.level];
  const remedy = (): void => {
    const r = f.remedy!;
    if (r.do === "stock") return void go(`/jobs/${job.id}/stock?size=${encodeURIComponent(r.nominal)}`);
    if (r.do === "set") return void job.edit(r.label, setParam(f.structure!, r.param, r.value));
    job.edit(r.label, (d) => {
      const s = d.structures.find((x) => x.id === f.structure)!;
      if (r.do === "move") {
        s.place!.x += r.by[0];
        s.place!.y += r.by[1];
        return;
      }
      const { overrides } = chosenVariant(s);
      for (const path of r.paths)
        if (r.do === "splice") overrides[path] = { ...overrides[path], splice: true };
        else if (r.do === "omit") overrides[path] = { ...overrides[path], omit: true };
        else delete overrides[path];
    });
  };
  return (
    <li className={`border-l-[3px] ${look.bar} pl-2.5 text-[15px] leading-snug`}>
      <button className="min-h-6 text-left" onClick={() => f.sticks[0] && job.select(f.sticks[0])}>
        <b className={look.ink}>{look.name}</b> {f.text}
      </button>{" "}
      {f.remedy && (
        <button className="link min-h-6" onClick={remedy}>
          {f.remedy.label}
        </button>
      )}{" "}
      {f.aside !== undefined ? (
        <>
          <span className="text-ink-2">Set aside: {f.aside || "no reason given"}.</span>{" "}
          <button
            className="link min-h-6"
            onClick={() => job.edit("Take a finding up again", (d) => void delete d.aside[f.key])}
          >
            Take up again
          </button>
        </>
      ) : reason === undefined ? (
        <button className="min-h-6 text-ink-2 underline" onClick={() => setReason("")}>
          Set aside
        </button>
      ) : (
        <form
          className="mt-1 flex gap-1"
          onSubmit={(e) => {
            e.preventDefault();
            job.edit("Set a finding aside", (d) => void (d.aside[f.key] = reason.trim()));
          }}
        >
          <input
            autoFocus
            className="field"
            aria-label="Reason for setting it aside"
            placeholder="Why?"
            value={reason}
            onChange={(e) => setReason(e.target.value)}
          />
          <button className="btn">Keep</button>
        </form>
      )}
    </li>
  );
}
