import { Button } from "antd";
import parts from "../../style/parts.module.css";
import css from "./Apply.module.css";
import { play } from "./sounds";
import type { ApplyView, ServiceFact } from "./useApply";

interface Props {
  service: ApplyView;
  tell(fact: ServiceFact): Promise<boolean>;
  sounds: boolean;
  onSounds(on: boolean): void;
  awake: boolean;
}

/** Comfort, what looks told, what is wrong, and the sounds. */
export function Minding({ service, tell, sounds, onSounds, awake }: Props) {
  const felt = (how: "nothing" | "tingling" | "burning") => () => void tell({ kind: "comfort", how });
  const last = service.looks.at(-1);
  return (
    <>
      {service.seatedAt && (
        <div className={css.comfort} role="group" aria-label="Comfort">
          <h3>Comfort</h3>
          <Button aria-pressed={service.comfort === "nothing"} onClick={felt("nothing")}>
            nothing
          </Button>
          <Button aria-pressed={service.comfort === "tingling"} onClick={felt("tingling")}>
            tingling
          </Button>
          <Button danger className={css.burns} onClick={felt("burning")}>
            ▲ burning: stop
          </Button>
        </div>
      )}
      {!service.isInTime && (
        <p className={css.warn}>
          ◆ Some panels can't be rinsed within their window any more: soonest is best.
        </p>
      )}
      {last && (
        <details className={css.told}>
          <summary>
            Last look: level {last.level}, {last.level >= last.expected ? "+" : ""}
            {(last.level - last.expected).toFixed(1)}
          </summary>
          <p>{last.why}</p>
        </details>
      )}
      {service.clockWasSetBack && (
        <p className={css.warn}>◆ The server's clock was set back. What happened keeps its order.</p>
      )}
      {service.newerRevision != null && (
        <div className={css.warn}>
          ◆ The plan has changed since.{" "}
          <Button onClick={() => void tell({ kind: "planTaken", revision: service.newerRevision ?? 0 })}>
            Go by the new plan
          </Button>
        </div>
      )}
      <div className={parts.row}>
        <Button aria-pressed={sounds} onClick={() => onSounds(!sounds)}>
          Sounds {sounds ? "on" : "off"}
        </Button>
        <Button type="text" onClick={() => play("wave")} disabled={!sounds}>
          Try
        </Button>
      </div>
      {!awake && <p className={parts.soft}>This browser lets the screen sleep: set it to stay on.</p>}
    </>
  );
}
