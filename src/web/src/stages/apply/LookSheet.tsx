import { Button } from "antd";
import { useState } from "react";
import { useVisit } from "../../visit/useVisit";
import css from "./Apply.module.css";
import type { ApplyView, ServiceFact } from "./useApply";

interface Props {
  service: ApplyView;
  panel: string;
  onDone(fact: ServiceFact | undefined): void;
}

/** A look: the level against drawn lifted hair, moist and dry; even or not; working or done. */
export function LookSheet({ service, panel, onDone }: Props) {
  const { work } = useVisit();
  const [level, setLevel] = useState<number>();
  const [even, setEven] = useState(true);
  const [state, setState] = useState<"working" | "done">("working");
  const [again, setAgain] = useState(true);
  const [scraped, setScraped] = useState(false);
  const words = work.plan.panels.find((p) => p.key === panel)?.words ?? panel;
  return (
    <div className={css.look} role="group" aria-label={`Look at ${words}`} data-own-keys>
      <h3>Look: {words}</h3>
      <p>Wiped clean and moist left, dry right: which is it?</p>
      <div className={css.levels} role="radiogroup" aria-label="Level seen">
        {service.lookColours.map((c) => (
          <button
            key={c.level}
            type="button"
            role="radio"
            aria-checked={level === c.level}
            aria-label={`Level ${c.level}`}
            onClick={() => setLevel(c.level)}
          >
            <span style={{ background: c.moist }} />
            <span style={{ background: c.dry }} />
            <b>{Number.isInteger(c.level) ? c.level : "½"}</b>
          </button>
        ))}
      </div>
      <div className={css.toggles}>
        <Button aria-pressed={!even} onClick={() => setEven(!even)}>
          {even ? "Even" : "Patchy"}
        </Button>
        <Button
          aria-pressed={state === "done"}
          onClick={() => setState(state === "done" ? "working" : "done")}
        >
          {state === "done" ? "Done" : "Working"}
        </Button>
        <Button aria-pressed={scraped} onClick={() => setScraped(!scraped)}>
          {scraped ? "Scraped" : "Not scraped"}
        </Button>
        <Button aria-pressed={again} onClick={() => setAgain(!again)}>
          {again ? "Painted again" : "Left wiped"}
        </Button>
      </div>
      <Button
        type="primary"
        block
        className={css.big}
        disabled={level === undefined}
        onClick={() => level && onDone({ kind: "looked", panel, level, even, state, scraped, again })}
      >
        {level === undefined ? "Pick the level" : `Level ${level}: keep`}
      </Button>
      <Button block type="text" onClick={() => onDone(undefined)}>
        Not now
      </Button>
    </div>
  );
}
