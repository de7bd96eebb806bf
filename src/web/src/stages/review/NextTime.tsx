import { Button, Input } from "antd";
import { useState } from "react";
import { said, useUnits } from "../../views/units";
import css from "./Review.module.css";
import type { ReviewFact, ReviewView } from "./useReview";

/** What this visit teaches: each change kept for the next visit by a tap, and one's own words. */
export function NextTime({ review, say }: { review: ReviewView; say(fact: ReviewFact): void }) {
  const units = useUnits();
  const [words, setWords] = useState("");
  const keep = () => {
    if (words.trim()) {
      say({ kind: "note", words: words.trim() });
      setWords("");
    }
  };
  return (
    <section aria-label="Next time">
      <h3>Next time</h3>
      <ul className={css.next}>
        {review.nextTime.map((n) => {
          const what = said(n.wordsParts, units);
          return (
            <li key={what}>
              <span>{what}</span>
              <Button
                aria-pressed={n.isKept}
                aria-label={`Keep for next time: ${what}`}
                onClick={() => say({ kind: "lesson", cause: n.cause, zone: n.zone, keeps: !n.isKept })}
              >
                {n.isKept ? "✓ kept" : "keep"}
              </Button>
            </li>
          );
        })}
        {review.notes.map((n) => (
          <li key={n.fact}>
            <span>{n.words}</span>
            <Button aria-label={`Forget: ${n.words}`} onClick={() => say({ kind: "unsaid", number: n.fact })}>
              forget
            </Button>
          </li>
        ))}
      </ul>
      <Input
        aria-label="To remember next time"
        placeholder="In your own words"
        maxLength={200}
        value={words}
        onChange={(e) => setWords(e.target.value)}
        onPressEnter={keep}
        onBlur={keep}
      />
    </section>
  );
}
