import { Slider } from "antd";
import type { PlanEdit, PlanView } from "../../api/client";
import type { Colours } from "../../api/seen";
import { CanItBeDone } from "./CanItBeDone";
import { HairReading } from "./HairReading";
import { StrandBands } from "./StrandBands";
import { StrandTest } from "./StrandTest";
import { useConsult } from "./useConsult";

/** Consult: her hair, one strand and its test, whether it can be done. The head stands beside it. */
export function Consult({
  visit,
  plan,
  colours,
  reload,
}: {
  visit: string;
  plan: PlanView;
  colours: Colours | undefined;
  reload(): void;
}) {
  const consult = useConsult(visit, reload);
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
        <HairReading consult={consult} />
      </section>
      <section className="col strip-col" aria-label="One strand">
        <div className="title">
          <h2>One strand</h2>
          <span>{plan.hair.cut.hemCm} cm</span>
        </div>
        <StrandBands consult={consult} colours={colours} />
        <StrandTest consult={consult} colours={colours} />
      </section>
      <aside className="col look-col">
        <CanItBeDone consult={consult} client={plan.client} />
      </aside>
    </>
  );
}

/** What she wants, under her head: ends and face. */
export function WishSliders({ plan, edit }: { plan: PlanView; edit(edit: PlanEdit): Promise<boolean> }) {
  const wish = plan.plan.wish;
  const slider = (
    label: string,
    value: number,
    [min, max]: [number, number],
    words: string,
    set: (v: number) => void,
  ) => (
    <div className="wish">
      <span>{label}</span>
      <Slider
        key={value}
        min={min}
        max={max}
        step={0.5}
        defaultValue={value}
        tooltip={{ open: false }}
        onChangeComplete={set}
        ariaLabelForHandle={label}
      />
      <b>{words}</b>
    </div>
  );
  return (
    <fieldset className="wishes" aria-label="What she wants">
      {slider("Ends", wish.endsLevel, [1, 10], `level ${wish.endsLevel}`, (endsLevel) =>
        edit({ kind: "setWish", wish: { ...wish, endsLevel } }),
      )}
      {slider("Face", wish.faceFrameLift, [0, 3], `+${wish.faceFrameLift.toFixed(1)}`, (faceFrameLift) =>
        edit({ kind: "setWish", wish: { ...wish, faceFrameLift } }),
      )}
    </fieldset>
  );
}
