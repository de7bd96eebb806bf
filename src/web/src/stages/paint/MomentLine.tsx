import { Button, Slider } from "antd";
import type { MomentKey, Work } from "../../api/usePlan";

/** Before · minute t · rinsed. */
export function MomentLine({ work }: { work: Work }) {
  const longest = Math.max(...work.plan.plan.formulas.map((f) => f.minutes));
  const value = work.moment === "before" ? 0 : work.moment === "rinsed" ? longest : work.moment;
  const key = (v: number): MomentKey => (v <= 0 ? "before" : v >= longest ? "rinsed" : v);
  return (
    <div className="moment">
      <Slider
        min={0}
        max={longest}
        step={1}
        value={value}
        onChange={(v) => work.setMoment(key(v))}
        tooltip={{ open: false }}
        ariaLabelForHandle="Moment"
        ariaValueTextFormatterForHandle={(v) =>
          key(v) === "before" ? "before" : key(v) === "rinsed" ? "rinsed" : `minute ${v}`
        }
      />
      <div className="row">
        <Button type="text" className={value === 0 ? "now" : ""} onClick={() => work.setMoment("before")}>
          Before
        </Button>
        <span className={value > 0 && value < longest ? "now" : ""}>
          {value > 0 && value < longest ? `minute ${value}` : `0 – ${longest} min`}
        </span>
        <Button
          type="text"
          className={value === longest ? "now" : ""}
          onClick={() => work.setMoment("rinsed")}
        >
          Rinsed
        </Button>
      </div>
    </div>
  );
}
