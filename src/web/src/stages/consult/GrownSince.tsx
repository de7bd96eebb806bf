import { useMutation } from "@tanstack/react-query";
import { Button, Segmented } from "antd";
import { useState } from "react";
import { api, type Schemas } from "../../api/client";
import { given } from "../../api/given";
import parts from "../../style/parts.module.css";
import { Num } from "../../views/Num";
import { cm } from "../../views/words";

const weeksAMonth = 52 / 12;

interface Props {
  visit: string;
  /** How much hair grows in a month, cm. */
  growthCm: number;
  set(bands: Schemas["Band"][]): void;
}

/** The strand some weeks on: what was done moves outwards, new hair comes at the scalp. */
export function GrownSince({ visit, growthCm, set }: Props) {
  // How regrowth is told, in weeks each.
  const units = { weeks: 1, months: weeksAMonth, cm: weeksAMonth / growthCm };
  const [unit, setUnit] = useState<keyof typeof units>("weeks");
  const [amount, setAmount] = useState(8);
  const weeks = amount * units[unit];
  const grow = useMutation({
    mutationFn: () =>
      given(api.POST("/api/visits/{visit}/consult/grown", { params: { path: { visit } }, body: { weeks } })),
    onSuccess: set,
  });
  return (
    <div className={parts.formula} role="group" aria-label="Grown since">
      <Segmented
        block
        aria-label="Given in"
        value={unit}
        options={Object.keys(units)}
        onChange={(u) => {
          const next = u as keyof typeof units;
          setAmount(Number((weeks / units[next]).toFixed(1)));
          setUnit(next);
        }}
      />
      <Num
        draft
        name={unit === "cm" ? "New hair" : "Since last time"}
        unit={unit}
        min={0.5}
        max={Math.floor(260 / units[unit])}
        step={unit === "cm" ? 0.5 : 1}
        value={amount}
        onSet={setAmount}
      />
      <p className={parts.soft}>
        About {cm((weeks / weeksAMonth) * growthCm)} of new hair, {(weeks / weeksAMonth).toFixed(1)} months.
      </p>
      <Button type="primary" onClick={() => grow.mutate()}>
        Let it grow
      </Button>
    </div>
  );
}
