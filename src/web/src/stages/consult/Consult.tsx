import type { PlanView } from "../../api/client";
import type { Colours } from "../../api/seen";
import type { Work } from "../../api/usePlan";
import { cm, longestCm } from "../../views/words";
import { CanItBeDone } from "./CanItBeDone";
import { HairReading } from "./HairReading";
import { MarksMap } from "./MarksMap";
import { StrandBands } from "./StrandBands";
import { StrandTest } from "./StrandTest";
import type { Consult as ConsultState } from "./useConsult";

/** Consult: her hair, one strand and its test, whether it can be done. The head stands beside it. */
export function Consult({
  visit,
  plan,
  colours,
  work,
  consult,
}: {
  visit: string;
  plan: PlanView;
  colours: Colours | undefined;
  work: Work;
  consult: ConsultState | undefined;
}) {
  if (!consult) {
    return null;
  }
  return (
    <>
      <section className="col map-col" aria-label="Where">
        <div className="title">
          <h2>Her hair</h2>
          <span role="status" aria-label="Consultation">
            {consult.busy ? "saving…" : "saved"}
          </span>
        </div>
        <MarksMap consult={consult} plan={plan} colours={colours} edit={work.edit} tryOut={work.tryOut} />
        <HairReading consult={consult} plan={plan} edit={work.edit} />
      </section>
      <section className="col strip-col" aria-label="One strand">
        <div className="title">
          <h2>One strand</h2>
          <span>{cm(longestCm(plan.hair))}</span>
        </div>
        <StrandBands visit={visit} consult={consult} colours={colours} />
        <StrandTest consult={consult} colours={colours} />
      </section>
      <aside className="col look-col">
        <CanItBeDone consult={consult} client={plan.client} />
      </aside>
    </>
  );
}
