import css from "./Weighing.module.css";

/** How much of an ingredient is in, of how much, and where to stop. */
export function PourBar(props: {
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
