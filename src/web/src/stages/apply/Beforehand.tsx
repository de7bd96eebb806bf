import { Button } from "antd";
import parts from "../../style/parts.module.css";
import { clock, minutes } from "../../views/times";
import { Care } from "../../visit/Care";
import css from "./Apply.module.css";
import { play } from "./sounds";
import type { ApplyView, Chair } from "./useApply";
import { Ways } from "./Ways";

interface Props {
  service: ApplyView;
  chair: Chair;
  now: number;
}

/** Before the client sits: what the plan comes to on the clock, and the one tap that begins it. */
export function Beforehand({ service, chair, now }: Props) {
  const painted = service.waiting.length;
  // A visit may begin with something laid over an area, or paint no panel at all.
  const at = service.steps.findIndex((s) => s.isNow);
  const first = service.steps[service.goesOn ? at + 1 : at];
  const begins = painted > 0 || service.areaWaits || service.goesOn;
  const done = service.doneAt && Date.parse(service.doneAt);
  return (
    <section className={`${parts.col} ${css.work}`} aria-label="Before the first panel">
      <h2 className={css.where}>Ready for the chair</h2>
      <p className={css.line}>
        {painted > 0
          ? `${painted} panels, about ${Math.round(service.secondsEach)} s each`
          : begins
            ? `${service.steps.length} steps, first ${first?.words ?? ""}`
            : "Nothing is painted in the plan yet."}
        {done ? ` · done by ${clock(done)} if begun now, ${minutes(now, done)} min` : ""}
      </p>
      {!service.isInTime && (
        <p className={css.warn}>
          ◆ Not every panel can be rinsed within its window this way: see the clock for which.
        </p>
      )}
      <Care stops={service.stops} cautions={service.cautions} />
      <Button
        type="primary"
        className={css.painted}
        disabled={!begins || service.stops.length > 0 || chair.busy}
        onClick={() => {
          play("look");
          void chair.tell({ kind: "seated" });
        }}
      >
        Client in the chair
      </Button>
      {chair.refused && (
        <p role="alert" className={css.warn}>
          {chair.refused}
        </p>
      )}
      <p className={parts.soft}>
        This pins the plan as it is now (revision {service.revision}); a change made later is offered here,
        never slipped in. Each tap is kept with its moment by the studio's clock.
      </p>
      {begins && <Ways revision={service.revision} />}
    </section>
  );
}
