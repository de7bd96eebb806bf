import { Alert, Slider, Spin } from "antd";
import { useEffect, useState } from "react";
import parts from "../../style/parts.module.css";
import { tokens } from "../../style/tokens";
import { Columns } from "../../visit/Columns";
import { HeadColumn } from "../../visit/HeadColumn";
import { useVisit } from "../../visit/useVisit";
import { ComeAgain, dueWords } from "./ComeAgain";
import css from "./KeepScreen.module.css";
import { PuttingAway } from "./PuttingAway";
import { RecordCard } from "./RecordCard";
import { useKeep, useKeptHair } from "./useKeep";

const most = 40;

/** Keep: what was done and what came out, when she comes again, what she does at home. */
export function KeepScreen() {
  const { visit, setRaw } = useVisit();
  const kept = useKeep(visit);
  const { view, problem } = kept;
  const [weeks, setWeeks] = useState(0);
  const hair = useKeptHair(visit, weeks);
  // The hair as it left has its toner in its tints.
  useEffect(() => setRaw(true), [setRaw]);
  if (!view) {
    return problem ? (
      <Alert type="error" title="The record can't be shown" description={problem} />
    ) : (
      <main className={parts.waiting}>
        <Spin size="large" />
      </main>
    );
  }
  const marks = Object.fromEntries(
    [
      [0, "today"],
      [view.weeksBetween, "usual visit"],
      ...view.next.filter((n) => n.kind !== "cut").map((n) => [Math.round(n.weeks), dueWords[n.kind]]),
    ]
      .filter(([w]) => Number(w) <= most)
      .map(([w, label]) => [w, { label, style: { color: tokens.inkSoft } }]),
  );
  return (
    <Columns
      seen={
        <HeadColumn moment="rinsed" own hair={hair}>
          <div className={css.weeks}>
            <b>{weeks === 0 ? "As it left" : weeks === 1 ? "In one week" : `In ${weeks} weeks`}</b>
            <Slider
              min={0}
              max={most}
              value={weeks}
              marks={marks}
              onChange={setWeeks}
              tooltip={{ open: false }}
              ariaLabelForHandle="Weeks later"
            />
          </div>
        </HeadColumn>
      }
      where={{ label: "Record", content: <RecordCard visit={visit} view={view} /> }}
      along={{ label: "Again", content: <ComeAgain view={view} /> }}
      mind={{ label: "At home", content: <PuttingAway visit={visit} kept={kept} view={view} /> }}
      count={0}
    />
  );
}
