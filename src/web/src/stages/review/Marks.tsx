import { Button } from "antd";
import { useState } from "react";
import type { PlanView } from "../../api/client";
import { said, useUnits } from "../../views/units";
import css from "./Review.module.css";
import type { ReviewFact, ReviewView } from "./useReview";

export type Mark = ReviewView["marks"][number];
export type Blemish = Mark["what"];

/** What can be wrong at a place: a sign for the map, and its word. */
const blemishes: Record<Blemish, [sign: string, words: string]> = {
  spot: ["●", "spot"],
  cameThrough: ["↧", "came through"],
  lump: ["◆", "lump"],
  tangle: ["✕", "tangle"],
  hardLine: ["━", "hard line"],
  hotRoot: ["▲", "hot root"],
  gap: ["○", "gap"],
  stuck: ["■", "stuck at 6–7"],
};

/** Signs at their places on the map. */
export function MarksOnMap({ marks, plan }: { marks: Mark[]; plan: PlanView }) {
  return marks.map((m) => {
    const panel = plan.panels.find((p) => p.key === m.panel);
    return (
      panel && (
        <text
          key={`${m.what} ${m.panel}`}
          className={css.mark}
          x={-panel.grip[0]}
          y={-panel.grip[1]}
          textAnchor="middle"
          dominantBaseline="central"
        >
          {blemishes[m.what][0]}
        </text>
      )
    );
  });
}

interface Props {
  marks: Mark[];
  /** What the next panel touched on the map is marked with. */
  marking: Blemish | undefined;
  onMarking(what: Blemish | undefined): void;
  say(fact: ReviewFact): void;
}

/** What is wrong at its places, and marking more of it: choose what, then touch where. */
export function Marks({ marks, marking, onMarking, say }: Props) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  return (
    <details className={css.marks} open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>{marks.length === 0 ? "Mark a place" : `Marked places: ${marks.length}`}</summary>
      <div className={css.ask} role="group" aria-label="Mark a place">
        {(Object.keys(blemishes) as Blemish[]).map((what) => (
          <Button
            key={what}
            aria-pressed={marking === what}
            type={marking === what ? "primary" : "default"}
            onClick={() => onMarking(marking === what ? undefined : what)}
          >
            {blemishes[what].join(" ")}
          </Button>
        ))}
      </div>
      {marking && <p role="status">Touch the place on the map.</p>}
      <ul>
        {marks.map((m) => (
          <li key={`${m.what} ${m.panel}`}>
            <span aria-hidden="true">{blemishes[m.what][0]}</span> {said(m.wordsParts, units)}
            {m.by === "eye" && (
              <Button
                type="text"
                aria-label={`Take away: ${said(m.wordsParts, units)}`}
                onClick={() => say({ kind: "place", panel: m.panel, what: m.what, is: false })}
              >
                ✕
              </Button>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}
