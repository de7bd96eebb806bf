import { Button, Segmented } from "antd";
import type { Schemas } from "../../api/client";
import parts from "../../style/parts.module.css";
import { Line } from "../../views/Choice";
import { Num } from "../../views/Num";

interface Props {
  band: Schemas["Band"];
  set(change: Partial<Schemas["Band"]>): void;
  split(): void;
  remove: (() => void) | undefined;
}

/** What was done to a piece of the strand. */
export function BandForm({ band, set, split, remove }: Props) {
  return (
    <div className={parts.bandform} role="group" aria-label="Band">
      <Segmented
        aria-label="What was done"
        value={band.state}
        options={["natural", "coloured", "lightened"]}
        onChange={(v) => set({ state: v as Schemas["BandState"] })}
      />
      <Num
        name="Band level"
        min={1}
        max={10}
        step={0.5}
        value={band.level}
        onSet={(level) => set({ level })}
      />
      <Num
        name="Share of strands"
        unit="%"
        min={5}
        max={100}
        step={5}
        value={Math.round(band.share * 100)}
        onSet={(v) => set({ share: v / 100 })}
      />
      <Line name="Undertone">
        <Segmented
          aria-label="Undertone"
          value={
            band.warmth === null || band.warmth === undefined
              ? "usual"
              : band.warmth < 0
                ? "cooler"
                : "warmer"
          }
          options={["cooler", "usual", "warmer"]}
          onChange={(v) => set({ warmth: v === "cooler" ? -1 : v === "warmer" ? 1 : null })}
        />
      </Line>
      <Line name="Porosity">
        <Segmented
          aria-label="Band porosity"
          value={band.porosity ?? "as the rest"}
          options={[
            { value: "low", label: "slowly" },
            { value: "as the rest", label: "as the rest" },
            { value: "high", label: "fast" },
          ]}
          onChange={(v) => set({ porosity: v === "as the rest" ? null : (v as Schemas["Porosity"]) })}
        />
      </Line>
      <div className={parts.row}>
        <Button onClick={split}>Split in two</Button>
        {remove && <Button onClick={remove}>Remove</Button>}
      </div>
    </div>
  );
}
