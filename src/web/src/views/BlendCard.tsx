import { useState } from "react";
import type { PlanView, Schemas } from "../api/client";
import parts from "../style/parts.module.css";
import css from "./BlendCard.module.css";
import { rise, unitsNow } from "./units";
import { zoneWords } from "./words";

interface Props {
  plan: PlanView;
  card: Schemas["CardView"] | undefined;
  onLight(panels: string[]): void;
}

interface Bar {
  name: string;
  /** Its line of the card, which says what she wants. */
  line: Schemas["CardMeasure"];
  from: number;
  to: number;
  value: number | null;
  text: string;
  where?: string;
}

/** The measures against what she wants, in one glance; a tap shows which panels to thank or blame. */
export function BlendCard({ plan, card, onLight }: Props) {
  const [open, setOpen] = useState<string>();
  const m = plan.measures;
  const w = plan.plan.wish;
  const bars: Bar[] = [
    {
      name: "Ends level",
      line: "ends",
      from: Math.min(plan.hair.naturalLevel, w.endsLevel - 2),
      to: 10,
      value: m.endsLevel,
      text: m.endsLevel === null ? "–" : m.endsLevel.toFixed(1),
    },
    {
      name: "Light share",
      line: "light",
      from: 0,
      to: 1,
      value: m.lightShare,
      text: `${Math.round(m.lightShare * 100)} %`,
    },
    {
      name: "Face frame",
      line: "face",
      from: -1,
      to: 3,
      value: m.faceFrameLift,
      text: `${m.faceFrameLift >= 0 ? "+" : "−"}${Math.abs(m.faceFrameLift).toFixed(1)}`,
    },
    {
      name: "Root softness",
      line: "softness",
      from: 0,
      to: Math.max(2, w.rootSoftness + 0.5),
      value: m.rootSoftness,
      text: rise(m.rootSoftness, unitsNow()),
      where: m.steepestZone ? zoneWords(m.steepestZone) : undefined,
    },
    {
      name: "Left = right",
      line: "balance",
      from: -1.5,
      to: 1.5,
      value: m.balance,
      text: Math.abs(m.balance).toFixed(1),
    },
    {
      name: "Regrowth shows",
      line: "regrowth",
      from: 0,
      to: 40,
      value: m.regrowthWeeks,
      text: `${Math.round(m.regrowthWeeks)} wk`,
    },
  ];
  return (
    <dl className={css.measures}>
      {bars.map((b) => {
        const x = (v: number) => `${Math.min(100, Math.max(0, ((v - b.from) / (b.to - b.from)) * 100))}%`;
        const line = card?.lines.find((l) => l.measure === b.line);
        const outside = line !== undefined && (b.value === null || b.value < line.low || b.value > line.high);
        const panels = outside && line?.blame.length ? line.blame : (line?.thank ?? []);
        return (
          <div key={b.name} className={outside ? css.outside : undefined}>
            <dt>
              {panels.length > 0 ? (
                <button
                  type="button"
                  className={css.cardLine}
                  title={line?.words}
                  aria-label={`${b.name}: show ${outside ? "what holds it back" : "what to thank"}`}
                  onClick={() => {
                    setOpen(open === b.line ? undefined : b.line);
                    onLight(panels);
                  }}
                >
                  {b.name}
                </button>
              ) : (
                b.name
              )}
              {outside && b.where && <small>{b.where}</small>}
            </dt>
            <dd>
              <span className={css.bar} aria-hidden="true">
                {line && (
                  <span
                    className={css.band}
                    style={{ left: x(line.low), right: `calc(100% - ${x(line.high)})` }}
                  />
                )}
                {b.value !== null && <span className={css.mark} style={{ left: x(b.value) }} />}
              </span>
              <output aria-label={b.name}>
                {b.text}
                {outside && <span className={parts.hidden}> outside the wish</span>}
              </output>
            </dd>
            {open === b.line && line?.words && (
              <p className={`${parts.why} ${css.cardWords}`}>{line.words}</p>
            )}
          </div>
        );
      })}
    </dl>
  );
}
