import { Alert, Button, Spin } from "antd";
import { useRef, useState } from "react";
import { Link } from "react-router";
import parts from "../../style/parts.module.css";
import { Care } from "../../visit/Care";
import { Columns } from "../../visit/Columns";
import { useVisit } from "../../visit/useVisit";
import { useScale } from "../../weighing/useScale";
import { Weighing } from "../../weighing/Weighing";
import { nothing } from "../../weighing/weighing";
import { Clock } from "./Clock";
import { Formulas } from "./Formulas";
import css from "./MixScreen.module.css";
import { ToMind } from "./ToMind";
import { TrayList } from "./TrayList";
import { useMix } from "./useMix";

/** From the painted plan to bowls that are weighed: the bowl on the scale, the formulas, the clock, what to mind. */
export function MixScreen() {
  const { visit, work } = useVisit();
  const { plan } = work;
  const mixing = useMix(visit, work.revision);
  const reading = useScale();
  const memory = useRef(nothing);
  const [shown, setShown] = useState<number | "tray">();
  const [lit, setLit] = useState<ReadonlySet<string>>(new Set());
  const { mix } = mixing;
  if (!mix) {
    return mixing.problem ? (
      <Alert type="error" title="The mix can't be shown" description={mixing.problem} />
    ) : (
      <main className={parts.waiting}>
        <Spin size="large" />
      </main>
    );
  }
  // Until one is picked: the bowl that waits for something, or the tray before the first.
  const next = mix.bowls.find((b) => !b.begun?.isDone);
  const began = mix.bowls.some((b) => b.begun);
  const at =
    shown ??
    (began || mix.tray.every((t) => t.isThere) ? (next?.number ?? mix.bowls.at(-1)?.number) : "tray");
  const bowl = mix.bowls.find((b) => b.number === at);
  const choose = (number: number) => {
    setShown(number);
    setLit(new Set(mix.bowls.find((b) => b.number === number)?.panels));
  };
  return (
    <Columns
      seen={
        <section className={`${parts.col} ${css.weighCol}`} aria-label="Bowl on the scale">
          <div className={parts.row} role="group" aria-label="Bowls">
            <Button
              shape="round"
              type={at === "tray" || !bowl ? "primary" : "default"}
              aria-pressed={at === "tray" || !bowl}
              onClick={() => setShown("tray")}
            >
              Tray
            </Button>
            {mix.bowls.map((b) => (
              <Button
                key={b.number}
                shape="round"
                type={b.number === at ? "primary" : "default"}
                aria-pressed={b.number === at}
                onClick={() => choose(b.number)}
              >
                {b.number === at ? `Bowl ${b.number}` : b.number}
                {b.begun?.isDone ? " ✓" : ""}
              </Button>
            ))}
          </div>
          {bowl ? (
            <Weighing key={bowl.number} bowl={bowl} mixing={mixing} reading={reading} memory={memory} />
          ) : (
            <TrayList mix={mix} mixing={mixing} />
          )}
        </section>
      }
      where={{
        label: "Formulas",
        content: (
          <>
            <Formulas
              plan={plan}
              mix={mix}
              formula={bowl?.formula}
              lit={lit}
              edit={work.edit}
              onLight={(panels) => setLit(new Set(panels))}
            />
            {mix.bowls.length > 0 && (
              <Link className={css.print} to={`/visits/${visit}/card`}>
                Labels and recipe card to print
              </Link>
            )}
          </>
        ),
      }}
      along={{
        label: "Clock",
        content:
          mix.bowls.length > 0 ? (
            <Clock mix={mix} chosen={bowl?.number} onChoose={choose} />
          ) : (
            <p className={parts.calm}>Paint first: bowls follow from the plan.</p>
          ),
      }}
      mind={{
        label: "What to mind",
        content: (
          <>
            <ToMind plan={plan} mix={mix} edit={work.edit} onLight={(panels) => setLit(new Set(panels))} />
            <Care stops={plan.stops} cautions={[atTheBowl, ...mix.cautions]} />
          </>
        ),
      }}
      count={mix.findings.filter((f) => f.setAside == null).length + plan.stops.length}
    />
  );
}

const atTheBowl =
  "Gloves, eye protection, fresh air. Non-metal bowl; one brush for the bowl, another for the hair.";
