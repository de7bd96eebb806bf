import { Button, InputNumber } from "antd";
import { useState } from "react";
import parts from "../style/parts.module.css";
import { useUnits } from "../views/units";
import css from "./Weighing.module.css";

/** A weight typed by hand, where the scale can't say. */
export function Typed({ name, open, onTake }: { name: string; open: boolean; onTake(grams: number): void }) {
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
        if (value && value > 0) {
          onTake(value * per);
        }
      }}
    >
      <InputNumber
        aria-label={`Weight of ${name}`}
        step={0.1}
        value={value}
        suffix={units === "us" ? "oz" : "g"}
        onChange={setValue}
      />
      <Button htmlType="submit" disabled={!value || value <= 0}>
        Take this weight
      </Button>
    </form>
  );
}
