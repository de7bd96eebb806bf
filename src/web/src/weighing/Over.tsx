import { Button } from "antd";
import parts from "../style/parts.module.css";
import { capital } from "../views/words";
import type { Bowl, Weighs } from "./bowls";
import css from "./Weighing.module.css";

/** Too much went in: restore the ratio, or keep it and see what that does. */
export function Over({ bowl, mixing, g }: { bowl: Bowl; mixing: Weighs; g(v: number): string }) {
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
