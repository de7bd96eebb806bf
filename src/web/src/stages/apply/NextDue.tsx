import { Button } from "antd";
import { clock, span } from "../../views/times";
import { said, useUnits } from "../../views/units";
import css from "./Apply.module.css";
import { ownWave } from "./act";
import { LookSheet } from "./LookSheet";
import type { ApplyView, Due, ServiceFact } from "./useApply";

interface Props {
  service: ApplyView;
  now: number;
  looking: string | undefined;
  onLooking(panel: string | undefined): void;
  tell(fact: ServiceFact): Promise<boolean>;
  large: boolean;
}

/** What is due next, as one number readable from across the room; where it burns, that and nothing else. */
export function NextDue({ service, now, looking, onLooking, tell, large }: Props) {
  const units = useUnits();
  if (!service.seatedAt) {
    return null;
  }
  const burning = service.due.find((d) => d.kind === "burning");
  if (burning) {
    return (
      <div className={css.burning} role="alert">
        <h3>▲ {burning.title}</h3>
        <p>{said(burning.wordsParts, units)}</p>
        {!service.wave && service.panels.every((p) => p.state !== "on") && (
          <Button onClick={() => void tell({ kind: "comfort", how: "nothing" })}>It no longer burns</Button>
        )}
      </div>
    );
  }
  if (looking) {
    return (
      <LookSheet
        service={service}
        panel={looking}
        onDone={async (fact) => {
          if (!fact || (await tell(fact))) {
            onLooking(undefined);
          }
        }}
      />
    );
  }
  if (service.wave && !ownWave(service)) {
    return <Beside service={service} now={now} tell={tell} large={large} />;
  }
  const [first] = service.due;
  if (!first) {
    return <p className={css.nothing}>Nothing is due.</p>;
  }
  const left = Date.parse(first.at) - now;
  const bowl = service.bowls.find((b) => b.number === first.bowl);
  const look = service.due.find((d) => d.kind === "look");
  // What else is overdue doesn't hide a rinse that is due.
  const wave = service.due.find((d) => d.kind === "wave" && (d === first || Date.parse(d.at) <= now));
  return (
    <div
      className={large ? css.due : `${css.due} ${css.flat}`}
      data-severity={left <= 0 ? first.severity : undefined}
    >
      <h3>
        <span aria-hidden="true">{marks[first.kind]}</span> {first.title} {left > 0 ? "in" : "since"}
      </h3>
      <p className={css.count} role="timer" aria-label={`${first.title} ${left > 0 ? "in" : "since"}`}>
        {span(left)}
      </p>
      <p>{said(first.wordsParts, units)}</p>
      {wave && !service.wave && (
        <Button
          block={large || wave === first}
          className={css.big}
          onClick={() => void tell({ kind: "waveBegun", panels: wave.panels })}
        >
          Begin the rinse
        </Button>
      )}
      {first.kind === "bowlEnds" && left <= 0 && bowl && (
        <Button
          block={large}
          className={css.big}
          onClick={() => void tell({ kind: "mixed", formula: bowl.formula, ordinal: bowl.ordinal })}
        >
          Bowl {bowl.number} mixed anew
        </Button>
      )}
      {look && (
        <Button block={large} className={css.big} onClick={() => onLooking(look.panels[0])}>
          Look now
        </Button>
      )}
      {large && service.due.length > 1 && (
        <ul className={css.then}>
          {service.due.slice(1, 4).map((d) => (
            <li key={`${d.kind} ${d.at}`}>
              <span aria-hidden="true">{marks[d.kind]}</span> {d.title} <b>{clock(d.at)}</b>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** A wave that somebody else rinses while painting goes on. */
function Beside({ service, now, tell, large }: Pick<Props, "service" | "now" | "tell" | "large">) {
  const ends = service.waveEndsAt ? Date.parse(service.waveEndsAt) : now;
  return (
    <div className={large ? css.due : `${css.due} ${css.flat}`}>
      <h3>
        <span aria-hidden="true">{marks.wave}</span> {service.wave?.panels.length} panels are rinsed, over in
      </h3>
      <p className={css.count} role="timer" aria-label="The wave is over in">
        {span(ends - now)}
      </p>
      <Button block className={css.big} onClick={() => void tell({ kind: "waveEnded", not: null })}>
        Wave rinsed
      </Button>
    </div>
  );
}

/** Kinds told apart by shape. */
const marks: Record<Due["kind"], string> = {
  burning: "▲",
  over: "▲",
  wave: "≈",
  look: "◎",
  area: "▤",
  bowlEnds: "◗",
  mix: "◖",
};
