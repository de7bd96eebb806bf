import { Button, Slider } from "antd";
import { longestMinutes, type MomentKey, momentWords, type Work } from "../api/usePlan";
import css from "./MomentLine.module.css";
import { stepKindWords } from "./words";

const weeksShown = [6, 12, 20] as const;

/** Before · minute t · rinsed · weeks of growth. */
export function MomentLine({ work }: { work: Work }) {
  const longest = longestMinutes(work.plan);
  const { moment } = work;
  const grown = typeof moment === "string" && moment.endsWith("w");
  const steps = work.plan.plan.steps ?? [];
  const value = moment === "before" ? 0 : typeof moment === "number" ? moment : longest;
  const key = (v: number): MomentKey => (v <= 0 ? "before" : v >= longest ? "rinsed" : v);
  const button = (m: MomentKey, words: string) => (
    <Button
      type="text"
      className={moment === m ? css.now : undefined}
      aria-pressed={moment === m}
      onClick={() => work.setMoment(m)}
    >
      {words}
    </Button>
  );
  return (
    <div className={css.moment}>
      <Slider
        min={0}
        max={longest}
        step={1}
        value={value}
        onChange={(v) => work.setMoment(key(v))}
        tooltip={{ open: false }}
        ariaLabelForHandle="Moment"
        ariaValueTextFormatterForHandle={(v) => momentWords(grown ? moment : key(v))}
      />
      <div className={css.ends}>
        {button("before", "Before")}
        {value > 0 && value < longest && <span className={css.now}>minute {value}</span>}
        {steps.slice(0, -1).map((s, i) => (
          <span key={`${i + 1}`}>{button(`s${i + 1}`, stepKindWords[s.kind])}</span>
        ))}
        {button("rinsed", "Rinsed")}
        {(steps.length > 1 ? [12] : weeksShown).map((w) => (
          <span key={w}>{button(`${w}w`, `+${w} wk`)}</span>
        ))}
      </div>
    </div>
  );
}
