import { memo } from "react";
import { gapWords, stopSettings, type ItemPlan, type PlannedStick } from "core/cutting";
import { lying } from "core/frame";
import { lookOf } from "core/lumber";
import { moveOfStick } from "core/drawer";
import { printNumber } from "core/units";
import type { StickPlans } from "~/job/usePlan";
import type { LayoutHand } from "./layoutHand";
import { SearchBanner } from "./SearchBanner";

/** The plan drawn: each stick with its pieces, kerfs and offcut, how good the plan is and how that is known. */
export function StickLayout({ plan, hand, none }: { plan: StickPlans; hand: LayoutHand; none: string }) {
  const { plans, seeking, stopped, fault, stop, again } = plan;
  const open = plans.filter((p) => p === undefined || p.seeking).length;
  const unproven = plans.some((p) => p && gapWords(p.plan) !== "");
  return (
    <div className="space-y-6">
      <SearchBanner seeking={seeking} stopped={stopped} open={unproven} what="plan" stop={stop} again={again}>
        {plans.length - open} of {plans.length} {plans.length === 1 ? "section is" : "sections are"} planned to the end.
        For the others what is shown can be cut; better plans and proofs are looked for behind it.
      </SearchBanner>
      {fault && <p className="text-fault">{fault}</p>}
      {plans.length === 0 && !hand.drawer && <p className="text-lg">Looking into the drawer …</p>}
      {plans.length === 0 && hand.drawer && <p className="text-lg">{none}</p>}
      {plans.map((p) => p && <Item key={p.plan.item} plan={p.plan} seeking={p.seeking} hand={hand} />)}
    </div>
  );
}

/** One section's sticks; news of another section leaves it as it is. */
const Item = memo(function Item({ plan, seeking, hand }: { plan: ItemPlan; seeking: boolean; hand: LayoutHand }) {
  const { M } = hand;
  const r = plan.result;
  if (r.status === "too long")
    return (
      <Trouble
        name={plan.name}
        text={`A piece needs ${M(r.length, 2)}; the longest stick is ${M(r.longest, 1)}. Splice it, or add a longer stick in Stock.`}
      />
    );
  if (r.status === "not enough stock")
    return (
      <Trouble
        name={plan.name}
        text={`The sticks on hand are ${M(r.short, 1)} short: ${r.left.map((d) => `${d.count} × ${M(d.length, 2)}`).join(", ")} find no place. Add sticks in Stock.`}
      />
    );
  const total = plan.sticks.reduce((s, x) => s + x.length, 0);
  const used = plan.sticks.reduce((s, x) => s + x.cuts.reduce((t, c) => t + c.length, 0), 0);
  const longest = Math.max(...plan.sticks.map((s) => s.length));
  const had = plan.sticks.filter((s) => s.from.drawer).length;
  const costed = plan.lengths.some((l) => !l.drawer && l.cost !== Math.round(l.length));
  return (
    // what is out of sight is not laid out
    <section aria-label={plan.name} className="[contain-intrinsic-size:auto_400px] [content-visibility:auto]">
      <h2 className="head text-[20px]">
        {plan.name}: {r.sticks} {r.sticks === 1 ? "stick" : "sticks"}
        {costed ? `, costing ${printNumber(r.cost, 2)}` : ""}
      </h2>
      <p className="mb-2 text-[15px] text-ink-2">
        {r.proven ? (
          <b className="text-verdigris">✓ Proven: no plan costs less.</b>
        ) : (
          <b className="text-ochre">
            {capital(gapWords(plan))}
            {seeking ? "; a better one is looked for." : "."}
          </b>
        )}{" "}
        {plan.lengths.some((l) => l.drawer) ? (
          <>
            To be bought: {M(total - plan.sticks.reduce((t, x) => t + (x.from.drawer ? x.length : 0), 0), 0)} of
            stock.{" "}
          </>
        ) : (
          <>
            The bound is {costed ? printNumber(r.lowerBound, 2) : M(r.lowerBound, 0)}
            {costed ? "" : " of stock"}; this plan takes {costed ? printNumber(r.cost, 2) : M(r.cost, 0)}.{" "}
          </>
        )}
        First-fit, longest first, would have used {r.firstFit ?? "more than there is"}
        {r.firstFit === 1 ? " stick" : r.firstFit ? " sticks" : ""}.
        {had > 0 && ` ${had} of them ${had === 1 ? "lies" : "lie"} in the drawer, outlined in green.`} Sticks cut alike
        together, the stop is set {stopSettings(plan.sticks)} {stopSettings(plan.sticks) === 1 ? "time" : "times"}.
        Offcuts and waste: {M(total - used, 1)} ({printNumber((100 * (total - used)) / total, 1)} %).
      </p>
      <ol className="space-y-1.5">
        {plan.sticks.map((s, i) => (
          <Stick key={i} n={i + 1} stick={s} longest={longest} item={plan.item} hand={hand} />
        ))}
      </ol>
    </section>
  );
});

const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

function Trouble({ name, text }: { name: string; text: string }) {
  return (
    <section className="border-l-[3px] border-fault pl-3">
      <h2 className="head text-[20px]">{name}</h2>
      <p className="text-fault">{text}</p>
    </section>
  );
}

/** Drawing units across the longest stick: about a pixel each on a small screen. */
const W = 640;
function Stick({
  n,
  stick,
  longest,
  item,
  hand,
}: {
  n: number;
  stick: PlannedStick;
  longest: number;
  item: string;
  hand: LayoutHand;
}) {
  const { M, mark, takeBack } = hand;
  const look = lookOf(item);
  const k = W / longest;
  const sticks = stick.cuts.map((c) => c.stick);
  const done = sticks.every((c) => hand.cut.has(c));
  return (
    <li className={`flex items-center gap-3 ${done ? "opacity-60" : ""}`}>
      <span className="head w-7 text-right text-[16px]">{n}</span>
      {stick.from.drawer && <span className="sr-only">out of the drawer</span>}
      <svg
        viewBox={`0 0 ${W} 46`}
        className="block min-w-0 flex-1"
        role="img"
        aria-label={`Stick ${n}, ${M(stick.length)}: ${stick.cuts.map((c) => c.mark).join(", ")}, offcut ${M(stick.offcut)}`}
      >
        <rect
          x={0.5}
          y={6}
          width={stick.length * k - 1}
          height={22}
          fill="var(--shade)"
          stroke={stick.from.drawer ? "var(--verdigris)" : "var(--edge)"}
          strokeDasharray="5 3"
        />
        {stick.cuts.map((c) => {
          const shape = hand.shapes.get(c.mark);
          const pts = shape ? lying(shape) : [];
          const half = Math.max(...pts.map((p) => Math.abs(p[1])), 1e-9);
          const on = c.stick === hand.selected;
          return (
            <g key={c.stick} onClick={() => hand.select(c.stick)} style={{ cursor: "pointer" }}>
              <polygon
                points={pts
                  .map((p) => `${(c.start + p[0]) * k},${17 - ((c.turned ? -p[1] : p[1]) / half) * 11}`)
                  .join(" ")}
                fill={on ? "var(--picked)" : `var(--${look})`}
                stroke={on ? "var(--vermilion)" : "var(--ink)"}
                strokeWidth={1.4}
                strokeLinejoin="round"
              />
              <text
                x={(c.start + c.length / 2) * k}
                y={22}
                textAnchor="middle"
                fontSize={14}
                fontWeight={600}
                fontFamily="var(--font-label)"
                fill="var(--ink)"
              >
                {c.mark}
              </text>
              {c.length * k > 52 && (
                <text x={(c.start + c.length / 2) * k} y={42} textAnchor="middle" fontSize={13} fill="var(--ink-2)">
                  {M(c.length, 1)}
                </text>
              )}
            </g>
          );
        })}
        {stick.offcut * k > 96 && (
          <text x={(stick.length - stick.offcut / 2) * k} y={22} textAnchor="middle" fontSize={13} fill="var(--ink-2)">
            offcut {M(stick.offcut, 1)}
          </text>
        )}
      </svg>
      <span className="w-[186px] shrink-0 print:hidden">
        {done ? (
          <span className="flex items-center gap-2">
            {/* as wide as the button was, so that a second press of it meets nothing */}
            <span className="flex min-h-[34px] w-[110px] items-center font-semibold text-verdigris">✓ Cut</span>
            <button className="link min-h-6 text-[14px]" onClick={() => takeBack(sticks)}>
              Take back
            </button>
          </span>
        ) : (
          <button
            className="btn"
            onClick={() =>
              mark(sticks, [
                moveOfStick(
                  hand.drawer?.held ?? [],
                  hand.item(item),
                  { ...stick, drawer: stick.from.drawer === true, sticks },
                  hand.drawer?.least ?? Infinity,
                ),
              ])
            }
          >
            Mark as cut
          </button>
        )}
      </span>
    </li>
  );
}
