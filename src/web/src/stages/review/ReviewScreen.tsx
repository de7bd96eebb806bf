import { Alert, Spin } from "antd";
import { useEffect, useState } from "react";
import parts from "../../style/parts.module.css";
import { angleOf } from "../../views/angles";
import { Told } from "../../views/Told";
import { Care } from "../../visit/Care";
import { Columns } from "../../visit/Columns";
import { HeadColumn } from "../../visit/HeadColumn";
import { useVisit } from "../../visit/useVisit";
import { CameOutCard } from "./CameOutCard";
import { Gradient } from "./Gradient";
import { Reading } from "./Reading";
import { useCameOut, useCorrect, useReview } from "./useReview";
import { Walk } from "./Walk";
import { WhatNow } from "./WhatNow";

/** Review: rinsed and before any toner, did it come out as planned, where not, why, what now. */
export function ReviewScreen() {
  const { visit, work, coloursAt, setRaw, setAngle } = useVisit();
  const { review, problem, say, refused } = useReview(visit);
  const correct = useCorrect(visit, work.edit);
  const [zone, setZone] = useState<string>();
  const wiped = useCameOut(visit, review?.facts, coloursAt("rinsed", true));
  // What is judged is the lifted hair, not what a toner will make of it.
  useEffect(() => setRaw(true), [setRaw]);
  if (!review) {
    return problem ? (
      <Alert type="error" title="The review can't be shown" description={problem} />
    ) : (
      <main className={parts.waiting}>
        <Spin size="large" />
      </main>
    );
  }
  const chosen =
    review.zones.find((z) => z.zone === zone) ??
    [...review.zones].sort((a, b) => Math.abs(b.difference ?? 0) - Math.abs(a.difference ?? 0))[0];
  return (
    <Columns
      seen={
        <HeadColumn moment="rinsed" own wiped={wiped}>
          <Walk review={review} say={say} />
        </HeadColumn>
      }
      where={{
        label: "Where",
        content: (
          <Reading
            visit={visit}
            review={review}
            plan={work.plan}
            zone={chosen}
            onZone={(at) => {
              setZone(at);
              setAngle(angleOf(at));
            }}
            say={say}
            refused={refused}
          />
        ),
      }}
      along={{
        label: "Along the hair",
        content: chosen && (
          <>
            <Gradient zone={chosen} eye={review.eyeSpread} />
            <CameOutCard card={review.card} />
            {review.findings
              .filter((f) => !f.wasPlanned)
              .map((f) => (
                <Told key={f.title} finding={f} />
              ))}
          </>
        ),
      }}
      mind={{
        label: "What came out",
        content: (
          <>
            <WhatNow
              review={review}
              zone={chosen}
              say={say}
              visit={visit}
              correct={() => correct.mutate(review)}
            />
            <Care stops={work.plan.stops} cautions={work.plan.cautions} />
          </>
        ),
      }}
      count={review.zones.filter((z) => !z.isAsPlanned).length}
    />
  );
}
