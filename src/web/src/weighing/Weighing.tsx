import { Button } from "antd";
import type { RefObject } from "react";
import parts from "../style/parts.module.css";
import { quantity, useUnits } from "../views/units";
import { capital } from "../views/words";
import { Adjust } from "./Adjust";
import { BowlPicture } from "./BowlPicture";
import type { Bowl, Weighs } from "./bowls";
import { Over } from "./Over";
import { PourBar } from "./PourBar";
import { ScaleHands } from "./ScaleHands";
import { Tick } from "./Tick";
import { Typed } from "./Typed";
import type { Reading } from "./useScale";
import { useWeighing } from "./useWeighing";
import css from "./Weighing.module.css";
import type { Memory } from "./weighing";

const states = { live: "Scale live", lost: "Scale lost", overRange: "Too heavy" } as const;

/** One bowl on the scale: one number, one bar, one bowl; steps tick themselves. */
export function Weighing({
  bowl,
  mixing,
  reading,
  memory,
}: {
  bowl: Bowl;
  mixing: Weighs;
  reading: Reading;
  memory: RefObject<Memory>;
}) {
  const units = useUnits();
  const { onScale, lifted, stands, hold } = useWeighing(bowl, reading, mixing, memory);
  const g = (value: number) => (units === "us" ? quantity(value, "g", units) : `${value.toFixed(1)} g`);
  const { begun } = bowl;
  const poured = bowl.steps.some((s) => s.pouredGrams > 0);
  const at = begun?.next ?? begun?.over ?? null;
  const step = at === null ? undefined : bowl.steps[at];
  const scoop = mixing.scoopGramsOf?.(step?.ingredient.product);
  const shown = step ? step.pouredGrams + Math.max(0, onScale ?? 0) : undefined;
  return (
    <div className={css.weighing}>
      {!begun ? (
        <div className={css.say}>
          <p className={parts.soft}>
            Formula {bowl.formula}, bowl {bowl.number}
          </p>
          <Big value={g(bowl.totalGrams)} />
          {bowl.extraGrams > 0.05 && (
            <p>{g(bowl.extraGrams)} of it more than its panels take, so that each part can be weighed.</p>
          )}
          <Button type="primary" size="large" disabled={mixing.busy} onClick={() => mixing.begin(bowl)}>
            Begin bowl {bowl.number}
          </Button>
        </div>
      ) : begun.isDone ? (
        <div className={css.say} role="status">
          <p className={parts.soft}>Bowl {bowl.number} is mixed.</p>
          <Big value={g(bowl.steps.reduce((s, i) => s + i.pouredGrams, 0))} />
          <p>
            {begun.ratioNow !== null && `1 : ${begun.ratioNow.toFixed(2)}. `}
            {bowl.takenGrams > bowl.grams + 0.5 &&
              `Its panels take ${g(bowl.takenGrams - bowl.grams)} more than it holds. `}
            Stir it smooth with a brush that never touches the hair.
          </p>
          <div className={parts.row} role="group" aria-label="Thicken or loosen">
            {(["thicker", "looser"] as const).map((way) => {
              const by = begun[way];
              return (
                by && (
                  <Adjust
                    key={way}
                    word={way === "thicker" ? "Thicken" : "Loosen"}
                    by={by}
                    of={bowl.steps[by.ingredient].ingredient.words}
                    g={g}
                    busy={mixing.busy}
                    added={(weighed) =>
                      mixing.happen(bowl, {
                        kind: "adjusted",
                        ingredient: by.ingredient,
                        grams: weighed,
                        how: "typed",
                      })
                    }
                  />
                )
              );
            })}
          </div>
        </div>
      ) : begun.tareGrams === null && !poured && reading.state === "live" ? (
        <div className={css.say} role="status">
          <p className={css.name}>Bowl, tare</p>
          <Big value={g(reading.grossGrams ?? 0)} />
          <p>
            {stands
              ? "A mixed bowl is still on the scale. Put the next, empty one on."
              : "Put the empty bowl on the scale. It continues by itself."}
          </p>
        </div>
      ) : begun.over !== null && step ? (
        <Over bowl={bowl} mixing={mixing} g={g} />
      ) : (
        step &&
        shown !== undefined && (
          <div className={css.say}>
            <p className={css.name}>
              <b>{capital(step.ingredient.words)}</b>
              <span className={parts.soft}>of {g(step.targetGrams)}</span>
            </p>
            {reading.state === "live" ? (
              <Big value={g(shown)} />
            ) : (
              <p className={css.lost} role="alert">
                {reading.state === "lost"
                  ? "Scale lost. What was weighed is kept: plug it in, or type the weight."
                  : "Too heavy for the scale. Take something off, or type the weight."}
              </p>
            )}
            <PourBar
              shown={shown}
              target={step.targetGrams}
              tolerance={step.toleranceGrams}
              g={g}
              lifted={lifted}
            />
            {scoop && (
              <p className={parts.soft}>About {(step.targetGrams / scoop).toFixed(1)} of its scoops.</p>
            )}
            {step.ingredient.note && <p className={parts.soft}>{step.ingredient.note}</p>}
          </div>
        )
      )}
      <BowlPicture bowl={bowl} pouring={onScale ?? 0} words={g} />
      <ol className={css.pours} aria-label={`Steps of bowl ${bowl.number}`}>
        <li>
          <Tick met={begun != null && begun.tareGrams !== null} />
          <span>Bowl, tare</span>
          <span>{begun?.tareGrams != null ? g(begun.tareGrams) : ""}</span>
        </li>
        {bowl.steps.map((s, i) => (
          <li
            key={s.ingredient.words}
            className={i === at ? css.now : undefined}
            data-state={s.state}
            aria-current={i === at ? "step" : undefined}
          >
            <Tick met={s.state === "met"} over={s.state === "over"} now={i === at} />
            <span>{capital(s.ingredient.product ?? s.ingredient.words)}</span>
            <span>
              {g(i === at ? (shown ?? s.pouredGrams) : s.pouredGrams)} of {g(s.targetGrams)}
            </span>
          </li>
        ))}
      </ol>
      <div className={parts.row}>
        {begun && poured && (
          <Button
            disabled={mixing.busy}
            onClick={() => {
              hold();
              mixing.happen(bowl, { kind: "takenBack" });
            }}
          >
            Undo last pour
          </Button>
        )}
        {begun && !begun.isDone && begun.over === null && step && (
          <Typed
            key={`${begun.id} ${begun.events}`}
            name={step.ingredient.words}
            open={reading.state !== "live" || (begun.tareGrams === null && poured)}
            onTake={(grams) =>
              mixing.happen(bowl, { kind: "poured", ingredient: at ?? 0, grams, how: "typed" })
            }
          />
        )}
        <ScaleHands step={step} poured={Math.max(0, onScale ?? 0)} />
        <span className={`${css.scale} ${css[reading.state] ?? ""}`} role="status">
          {states[reading.state]}
        </span>
      </div>
    </div>
  );
}

/** The one number that is read from a metre. */
function Big({ value }: { value: string }) {
  const [figure, ...unit] = value.split(" ");
  return (
    <p className={css.big}>
      {figure}
      <small> {unit.join(" ")}</small>
    </p>
  );
}
