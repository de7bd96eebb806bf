import { Button, InputNumber } from "antd";
import { type RefObject, useState } from "react";
import parts from "../style/parts.module.css";
import { tokens } from "../style/tokens";
import { quantity, useUnits } from "../views/units";
import { Adjust } from "./Adjust";
import { BowlPicture } from "./BowlPicture";
import type { Bowl, Weighs } from "./bowls";
import { ScaleHands } from "./ScaleHands";
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
            <Bar
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

const capital = (words: string) => words[0].toUpperCase() + words.slice(1);

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

function Bar(props: {
  shown: number;
  target: number;
  tolerance: number;
  lifted: boolean;
  g(v: number): string;
}) {
  const { shown, target, tolerance, lifted, g } = props;
  const most = target * 1.15;
  const share = (v: number) => `${(100 * Math.min(1, Math.max(0, v / most))).toFixed(2)}%`;
  const left = target - shown;
  const words = lifted
    ? "put the bowl back"
    : left > tolerance
      ? `${g(left)} to go${left < Math.max(8, target * 0.15) ? ", slowly" : ""}`
      : left < -tolerance
        ? `${g(-left)} too much`
        : "stop";
  return (
    <div
      className={css.pourbar}
      role="meter"
      aria-label="Poured"
      aria-valuemin={0}
      aria-valuemax={target}
      aria-valuenow={Math.round(shown * 10) / 10}
      aria-valuetext={words}
    >
      <div className={css.fill} style={{ width: share(shown) }} />
      <div
        className={css.goal}
        style={{
          left: `calc(${share(target - tolerance)} - 4px)`,
          width: `calc(${((200 * tolerance) / most).toFixed(2)}% + 8px)`,
        }}
      />
      <b>{words}</b>
      <span>0</span>
      <span>
        {g(target - tolerance)} – {g(target + tolerance)}
      </span>
    </div>
  );
}

function Tick({ met, over, now }: { met?: boolean; over?: boolean; now?: boolean }) {
  return (
    <svg
      width="22"
      height="22"
      viewBox="0 0 22 22"
      role="img"
      aria-label={over ? "too much" : met ? "done" : now ? "now" : "to do"}
    >
      {over ? (
        <path d="M11 2 21 20H1Z" fill={tokens.alarm} />
      ) : met ? (
        <>
          <circle cx="11" cy="11" r="10" fill={tokens.deep} />
          <path d="M6.4 11.4 9.8 14.6l5.8-6.8" fill="none" stroke={tokens.white} strokeWidth="2.2" />
        </>
      ) : (
        <circle
          cx="11"
          cy="11"
          r="9"
          fill={now ? tokens.accent : "none"}
          stroke={now ? tokens.accent : tokens.edge}
          strokeWidth="2.5"
        />
      )}
    </svg>
  );
}

/** Too much went in: restore the ratio, or keep it and see what that does. */
function Over({ bowl, mixing, g }: { bowl: Bowl; mixing: Weighs; g(v: number): string }) {
  const { begun } = bowl;
  const rescuing = begun?.rescue;
  if (!begun || begun.over === null || !rescuing) {
    return null;
  }
  const step = bowl.steps[begun.over];
  const adds = bowl.steps
    .map((s, i) => ({ words: s.ingredient.words, grams: rescuing.rescue.adds[i] }))
    .filter((a) => a.grams > 0.05);
  const takes = [
    rescuing.rescue.fits ? "the bowl holds it" : "more than the bowl holds",
    rescuing.tooMuchGrams > 0.5
      ? `${g(rescuing.tooMuchGrams)} more than the plan takes`
      : "the plan takes all of it",
    rescuing.missing.length > 0
      ? `too little ${rescuing.missing.join(", ")} on the shelf`
      : "the shelf has enough",
  ];
  return (
    <div className={`${css.say} ${css.over}`} role="alert">
      <p className={css.name}>
        <b>
          {g(step.pouredGrams - step.targetGrams)} too much {step.ingredient.words}
        </b>
      </p>
      <p>
        To restore the ratio pour {adds.map((a) => `${g(a.grams)} ${a.words}`).join(" and ")}:{" "}
        {g(rescuing.rescue.totalGrams)} in the bowl then. {capital(takes.join(", "))}.
      </p>
      <div className={parts.row}>
        <Button
          type="primary"
          size="large"
          autoFocus
          disabled={mixing.busy}
          onClick={() => mixing.happen(bowl, { kind: "restored" })}
        >
          Restore the ratio
        </Button>
        <Button size="large" disabled={mixing.busy} onClick={() => mixing.happen(bowl, { kind: "kept" })}>
          Keep 1 : {rescuing.rescue.ratioIfKept.toFixed(2)}
        </Button>
      </div>
    </div>
  );
}

/** A weight typed by hand, where the scale can't say. */
function Typed({ name, open, onTake }: { name: string; open: boolean; onTake(grams: number): void }) {
  const units = useUnits();
  const per = units === "us" ? 28.349523125 : 1;
  const [shown, setShown] = useState(false);
  const [value, setValue] = useState<number | null>(null);
  if (!open && !shown) {
    return (
      <Button className={css.typed} onClick={() => setShown(true)}>
        Type it…
      </Button>
    );
  }
  return (
    <form
      className={`${parts.row} ${css.typed}`}
      onSubmit={(e) => {
        e.preventDefault();
        if (value) {
          onTake(value * per);
        }
      }}
    >
      <InputNumber
        aria-label={`Weight of ${name}`}
        min={0.01}
        max={5000}
        step={0.1}
        value={value}
        suffix={units === "us" ? "oz" : "g"}
        onChange={setValue}
      />
      <Button htmlType="submit" disabled={!value}>
        Take this weight
      </Button>
    </form>
  );
}
