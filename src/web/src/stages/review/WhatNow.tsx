import { Button } from "antd";
import { Link } from "react-router";
import parts from "../../style/parts.module.css";
import { said, useUnits } from "../../views/units";
import { NextTime } from "./NextTime";
import css from "./Review.module.css";
import type { ReviewFact, ReviewView, ReviewZone } from "./useReview";

interface Props {
  review: ReviewView;
  zone: ReviewZone | undefined;
  say(fact: ReviewFact): void;
  /** Plans what is short to be lifted again, as the next step of the visit. */
  correct(): void;
  /** Where the step is mixed and painted. */
  visit: string;
}

const stretches: [NonNullable<ReviewView["stretch"]>, string][] = [
  ["springsBack", "springs back"],
  ["staysLong", "stays long"],
  ["breaks", "breaks"],
];

/** What came out in a sentence, why, and what can be done now. */
export function WhatNow({ review, zone, say, correct, visit }: Props) {
  const units = useUnits();
  const causes = zone?.causes.filter((c) => c.share >= 0.05).slice(0, 4) ?? [];
  return (
    <div>
      <h2 className={css.verdict}>{said(review.verdictParts, units)}</h2>
      {zone && causes.length > 0 && (
        <section aria-label="Why it came out so">
          <h3>Why {zone.words.toLowerCase()} came out so</h3>
          <dl className={css.causes}>
            {causes.map((c) => (
              <div key={c.kind}>
                <dt>{said(c.wordsParts, units)}</dt>
                <dd>{Math.round(c.share * 100)} %</dd>
              </div>
            ))}
          </dl>
          <p className={parts.soft}>
            {said(causes[0].evidenceParts, units)} It makes {causes[0].makes.toFixed(1)} of{" "}
            {(causes[0].makes + causes[0].left).toFixed(1)} levels.
          </p>
        </section>
      )}
      {review.choices.length > 0 && (
        <section aria-label="What now" className={css.now}>
          <h3>What now</h3>
          {review.choices.some((c) => c.what === "correctFirst") && (
            <div className={css.ask} role="group" aria-label="A wet strand, stretched">
              <span className={parts.soft}>A wet strand, stretched:</span>
              {stretches.map(([how, words]) => (
                <Button
                  key={how}
                  aria-pressed={review.stretch === how}
                  onClick={() => say({ kind: "stretched", how })}
                >
                  {words}
                </Button>
              ))}
            </div>
          )}
          {review.choices.map((c) => (
            <button
              key={c.what}
              type="button"
              className={css.choice}
              aria-pressed={review.decision === c.what}
              data-advised={c.isAdvised}
              disabled={!c.isAllowed}
              onClick={() => say({ kind: "decided", what: c.what })}
            >
              <b>
                {review.decision === c.what ? "✓ " : ""}
                {said(c.wordsParts, units)}
              </b>
              <span>{said(c.whyParts, units)}</span>
            </button>
          ))}
          {review.decision === "correctFirst" && review.correction.length > 0 && (
            <Button type="primary" size="large" onClick={correct}>
              Plan it as the next step
            </Button>
          )}
          {review.isCorrecting && (
            <p role="status">
              It is planned: <Link to={`/visits/${visit}/mix`}>mix it</Link>, then{" "}
              <Link to={`/visits/${visit}/apply`}>paint it</Link>; read it anew when it is rinsed.
            </p>
          )}
        </section>
      )}
      {review.facts > 0 && <NextTime review={review} say={say} />}
      {review.own && (
        <p className={parts.soft}>
          By this the hair lifts at {Math.round(review.own.speed * 100)} % of the tables' speed, give or take{" "}
          {Math.round(review.own.speedSpread * review.own.speed * 100)}.
        </p>
      )}
    </div>
  );
}
