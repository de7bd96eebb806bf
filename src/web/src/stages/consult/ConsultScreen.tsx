import { useState } from "react";
import parts from "../../style/parts.module.css";
import { cm, longestCm } from "../../views/words";
import { Columns } from "../../visit/Columns";
import { HeadColumn } from "../../visit/HeadColumn";
import { useVisit } from "../../visit/useVisit";
import { CanItBeDone } from "./CanItBeDone";
import { type Goal, Goals, useLook } from "./Goals";
import { HairReading } from "./HairReading";
import { LastTime } from "./LastTime";
import { MarksMap } from "./MarksMap";
import { StrandBands } from "./StrandBands";
import { StrandTest } from "./StrandTest";
import { useConsult } from "./useConsult";
import { WearHabits } from "./WearHabits";

/** Consult: her hair as it is and as wanted, one strand and its test, whether it can be done. */
export function ConsultScreen() {
  const { visit, work, colours, hairKey, setWear } = useVisit();
  const { plan } = work;
  const consult = useConsult(visit, work.reload);
  const [wish, setWish] = useState<Goal>();
  const look = useLook(visit, wish ?? plan.plan.wish, hairKey);
  const toAsk = consult?.view.safety.filter((s) => s.standing === "stop").length ?? 0;
  return (
    <Columns
      seen={
        <HeadColumn
          moment="before"
          own
          wiped={look}
          wears={
            <WearHabits
              consult={consult}
              wears={plan.plan.wears}
              styled={plan.plan.styled ?? "own"}
              style={(styling) => work.edit({ kind: "setStyling", styling })}
              set={(wears) => {
                setWear("down");
                work.edit({ kind: "setWears", wears });
              }}
            />
          }
        >
          {consult && (
            <Goals
              wish={wish ?? plan.plan.wish}
              midsBelow={consult.view.midsBelow}
              onTry={setWish}
              edit={work.edit}
            />
          )}
        </HeadColumn>
      }
      where={{
        label: "Where",
        content: consult && (
          <>
            <div className={parts.title}>
              <h2>Hair</h2>
              <span role="status" aria-label="Consultation">
                {consult.busy ? "saving…" : "saved"}
              </span>
            </div>
            <MarksMap consult={consult} plan={plan} colours={colours} edit={work.edit} tryOut={work.tryOut} />
            <HairReading consult={consult} plan={plan} edit={work.edit} />
          </>
        ),
      }}
      along={{
        label: "One strand",
        content: consult && (
          <>
            <div className={parts.title}>
              <h2>One strand</h2>
              <span>{cm(longestCm(plan.hair))}</span>
            </div>
            <StrandBands visit={visit} consult={consult} colours={colours} />
            <StrandTest consult={consult} colours={colours} />
          </>
        ),
      }}
      mind={{
        label: "Can it be done",
        content: consult && (
          <>
            <LastTime visit={visit} consult={consult} changed={work.reload} />
            <CanItBeDone consult={consult} client={plan.client} />
          </>
        ),
      }}
      count={toAsk}
    />
  );
}
