import { Button } from "antd";
import parts from "../../style/parts.module.css";
import css from "./Review.module.css";
import type { ReviewFact, ReviewView } from "./useReview";

type Place = ReviewView["seen"][number];

const places: [Place, string][] = [
  ["part", "part from above"],
  ["hairline", "hairline tied"],
  ["underneath", "underneath"],
  ["nape", "nape"],
  ["bothSides", "both sides at once"],
  ["faceAgainstBack", "face against back"],
  ["everyWear", "every wear"],
  ["pickedThrough", "picked through"],
];

/** The walk round the head, ticked as it is done. */
export function Walk({ review, say }: { review: ReviewView; say(fact: ReviewFact): void }) {
  return (
    <div role="group" aria-label="Walk round">
      <p className={parts.soft}>
        Walk round: {review.seen.length} of {places.length}
      </p>
      <div className={css.walk}>
        {places.map(([place, words]) => {
          const seen = review.seen.includes(place);
          return (
            <Button
              key={place}
              aria-pressed={seen}
              onClick={() => say({ kind: "walked", place, seen: !seen })}
            >
              {seen ? "✓ " : ""}
              {words}
            </Button>
          );
        })}
      </div>
    </div>
  );
}
