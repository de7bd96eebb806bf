import { Button, Popover } from "antd";
import type { Finding, PlanView } from "../api/client";
import { Mark } from "./Mark";
import { zoneWords } from "./words";

interface Props {
  plan: PlanView;
  onShow(finding: Finding): void;
  onFix(finding: Finding): void;
}

/** A standing second pair of eyes: the measures against what she wants, and what is wrong, worst first. */
export function SecondLook({ plan, onShow, onFix }: Props) {
  const painted = plan.panels.some((p) => p.paint);
  return (
    <section className="look" aria-label="Second look">
      <h2>Against what she wants</h2>
      <Measures plan={plan} />
      <div className="findings" aria-live="polite">
        {plan.findings.map((f) => (
          <article key={f.id} className="finding" aria-label={f.title}>
            <h3>
              <Mark severity={f.severity} />
              <span>{f.title}</span>
              <Popover trigger="click" content={<p className="why">{f.why}</p>}>
                <Button type="text">Why</Button>
              </Popover>
            </h3>
            <p>{f.text}</p>
            <div className="row">
              <Button onClick={() => onShow(f)}>Show</Button>
              {f.fix && (
                <Button type="primary" onClick={() => onFix(f)}>
                  {f.fix.label}
                </Button>
              )}
            </div>
            {f.fix && !f.fix.mends && <p className="soft">Better, not yet enough.</p>}
          </article>
        ))}
        {plan.findings.length === 0 && (
          <p className="calm">
            {painted
              ? "Nothing to mend. Look at her from every side once more."
              : "Nothing is painted yet. Pick a panel on the map and give it a shape."}
          </p>
        )}
      </div>
    </section>
  );
}

interface Bar {
  name: string;
  low: number;
  high: number;
  from: number;
  to: number;
  value: number | null;
  text: string;
  where?: string;
}

function Measures({ plan }: { plan: PlanView }) {
  const m = plan.measures;
  const w = plan.plan.wish;
  const natural = plan.hair.naturalLevel;
  const bars: Bar[] = [
    {
      name: "Ends level",
      low: w.endsLevel - 0.3,
      high: w.endsLevel + 0.3,
      from: Math.min(natural, w.endsLevel - 2),
      to: 10,
      value: m.endsLevel,
      text: m.endsLevel === null ? "–" : m.endsLevel.toFixed(1),
    },
    {
      name: "Light share",
      low: w.lightShareLow,
      high: w.lightShareHigh,
      from: 0,
      to: 1,
      value: m.lightShare,
      text: `${Math.round(m.lightShare * 100)} %`,
    },
    {
      name: "Face frame",
      low: w.faceFrameLift - 0.05,
      high: w.faceFrameLift + 2,
      from: -1,
      to: 3,
      value: m.faceFrameLift,
      text: `${m.faceFrameLift >= 0 ? "+" : "−"}${Math.abs(m.faceFrameLift).toFixed(1)}`,
    },
    {
      name: "Root softness",
      low: 0,
      high: w.rootSoftness,
      from: 0,
      to: Math.max(2, w.rootSoftness + 0.5),
      value: m.rootSoftness,
      text: `${m.rootSoftness.toFixed(1)} /cm`,
      where: m.steepestZone ? zoneWords(m.steepestZone) : undefined,
    },
    {
      name: "Left = right",
      low: -0.3,
      high: 0.3,
      from: -1.5,
      to: 1.5,
      value: m.balance,
      text: Math.abs(m.balance).toFixed(1),
    },
  ];
  return (
    <dl className="measures">
      {bars.map((b) => {
        const outside = b.value === null || b.value < b.low || b.value > b.high;
        const x = (v: number) => `${Math.min(100, Math.max(0, ((v - b.from) / (b.to - b.from)) * 100))}%`;
        return (
          <div key={b.name} className={outside ? "outside" : undefined}>
            <dt>
              {b.name}
              {outside && b.where && <small>{b.where}</small>}
            </dt>
            <dd>
              <span className="bar" aria-hidden="true">
                <span className="band" style={{ left: x(b.low), right: `calc(100% - ${x(b.high)})` }} />
                {b.value !== null && <span className="mark" style={{ left: x(b.value) }} />}
              </span>
              <output aria-label={b.name}>
                {b.text}
                {outside && <span className="hidden"> outside what she wants</span>}
              </output>
            </dd>
          </div>
        );
      })}
    </dl>
  );
}
