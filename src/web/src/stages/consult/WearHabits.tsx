import { Button, Checkbox, Popover, Segmented, Select } from "antd";
import type { Schemas, Wear } from "../../api/client";
import parts from "../../style/parts.module.css";
import { wearWords, wornWays } from "../../views/words";
import type { Consult } from "./useConsult";
import css from "./WearHabits.module.css";

const often: Record<Schemas["Often"], string> = {
  seldom: "seldom",
  often: "often",
  mostDays: "most days",
};

/** The wears she uses and how often: down always, the others as she says. */
export function WearHabits({
  consult,
  wears,
  styled,
  style,
  set,
}: {
  consult: Consult | undefined;
  wears: Wear[];
  styled: Schemas["Styling"];
  style(styling: Schemas["Styling"]): void;
  set(wears: Wear[]): void;
}) {
  const told = consult?.view.consultation.wears ?? {};
  return (
    <Popover
      trigger="click"
      content={
        <div className={css.wearlist} role="group" aria-label="How it is worn">
          {wornWays.map((w) => (
            <div key={w} className={parts.set}>
              <Checkbox
                disabled={w === "down"}
                checked={wears.includes(w)}
                onChange={(e) =>
                  set(wornWays.filter((x) => (x === w ? e.target.checked : wears.includes(x))))
                }
              >
                {wearWords[w]}
              </Checkbox>
              <Select
                aria-label={`${wearWords[w]}, how often`}
                size="small"
                placeholder="how often"
                disabled={!wears.includes(w)}
                value={told[w]}
                options={(Object.keys(often) as Schemas["Often"][]).map((o) => ({
                  value: o,
                  label: often[o],
                }))}
                onChange={(o) => consult?.answer({ wears: { ...told, [w]: o } })}
              />
            </div>
          ))}
          <Segmented
            block
            aria-label="Its texture"
            value={styled}
            options={[
              { value: "own", label: "as it grows" },
              { value: "straight", label: "straightened" },
              { value: "waved", label: "waved" },
            ]}
            onChange={(v) => style(v as Schemas["Styling"])}
          />
        </div>
      }
    >
      <Button shape="round">+ how it is worn</Button>
    </Popover>
  );
}
