import { Alert, Slider, Spin } from "antd";
import { useEffect, useState } from "react";
import parts from "../../style/parts.module.css";
import { tokens } from "../../style/tokens";
import { Columns } from "../../visit/Columns";
import { HeadColumn } from "../../visit/HeadColumn";
import { useVisit } from "../../visit/useVisit";
import { CloseVisit } from "./CloseVisit";
import { ComeAgain, dueWords } from "./ComeAgain";
import { RecordCard } from "./RecordCard";
import css from "./RecordScreen.module.css";
import { useRecord, useRecordedHair } from "./useRecord";

const most = 40;

/** Record: what was done and what came out, when she comes again, what she does at home. */
export function RecordScreen() {
  const { visit, setRaw } = useVisit();
  const kept = useRecord(visit);
  const { view, problem } = kept;
  const [weeks, setWeeks] = useState(0);
  const hair = useRecordedHair(visit, weeks);
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
  const marks = marksOf([
    { week: 0, words: "today" },
    { week: view.weeksBetween, words: "usual visit" },
    ...view.next
      .filter((n) => n.kind !== "cut")
      .map((n) => ({ week: Math.round(n.weeks), words: dueWords[n.kind] })),
  ]);
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
      mind={{ label: "At home", content: <CloseVisit visit={visit} kept={kept} view={view} /> }}
      count={0}
    />
  );
}

/** Weeks nearer to each other than this share a mark: their words would lie over each other. */
const apart = 7;

/** Words of a later mark begin at it: they would lie over today's otherwise. */
const fromIt = { transform: "translateX(-4px)" };

/** Marks on the line of weeks. */
function marksOf(weeks: { week: number; words: string }[]) {
  const marks: { week: number; words: string }[] = [];
  for (const next of weeks.filter((w) => w.week <= most).sort((a, b) => a.week - b.week)) {
    const last = marks.at(-1);
    if (last && last.week > 0 && next.week - last.week < apart) {
      last.words = `${last.words}, ${next.words}`;
    } else {
      marks.push({ ...next });
    }
  }
  return Object.fromEntries(
    marks.map((m) => [
      m.week,
      { label: m.words, style: { color: tokens.inkSoft, whiteSpace: "nowrap", ...(m.week > 0 && fromIt) } },
    ]),
  );
}
