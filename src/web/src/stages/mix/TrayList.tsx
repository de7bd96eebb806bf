import { Checkbox } from "antd";
import parts from "../../style/parts.module.css";
import css from "./TrayList.module.css";
import type { Mixing, MixView } from "./useMix";

/** What must lie ready, ticked off by touch. */
export function TrayList({ mix, mixing }: { mix: MixView; mixing: Mixing }) {
  const left = mix.tray.filter((t) => !t.isThere).length;
  return (
    <div className={css.tray}>
      <h2>
        {mix.tray.length === 0
          ? "Nothing is painted yet."
          : left === 0
            ? "Tray complete."
            : `${left} to lay out`}
      </h2>
      <ul aria-label="Tray">
        {mix.tray.map((t) => (
          <li key={t.id}>
            <Checkbox checked={t.isThere} onChange={(e) => mixing.tick(t.id, e.target.checked)}>
              <b>
                {t.count > 1 ? `${t.count} × ` : ""}
                {t.words}
              </b>
              <span className={parts.soft}>{t.why}</span>
            </Checkbox>
          </li>
        ))}
      </ul>
    </div>
  );
}
