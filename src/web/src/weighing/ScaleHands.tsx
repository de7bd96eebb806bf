import { useMutation } from "@tanstack/react-query";
import { Button, Popover } from "antd";
import { useState } from "react";
import { api, type Schemas } from "../api/client";
import { given } from "../api/given";
import parts from "../style/parts.module.css";
import { NumberField } from "../views/NumberField";
import css from "./ScaleHands.module.css";

type Hand = Schemas["HandAtScale"];
type Step = Schemas["StepView"];

/** What a hand does at the scale, in the order it is done. */
function useHand() {
  const { mutate } = useMutation({
    scope: { id: "hand at the scale" },
    mutationFn: (hand: Hand) => given(api.POST("/api/stand-ins/scale", { body: hand })),
  });
  return (does: Hand["does"], by: Partial<Hand> = {}) =>
    mutate({ does, grams: 0, seconds: 0, gramsPerSecond: 0, ...by });
}

/** The hands at the simulated scale: there is no real one to pour on. */
export function ScaleHands({ step, poured }: { step: Step | undefined; poured: number }) {
  const hand = useHand();
  const [grams, setGrams] = useState(10);
  const left = step ? Math.max(0, step.toGoGrams - poured) : 0;
  const pourFor = (g: number) => hand("pour", { grams: g, seconds: Math.min(4, Math.max(0.4, g / 15)) });
  return (
    <Popover
      trigger="click"
      content={
        <div className={css.hands} role="group" aria-label="Simulated scale">
          <p className={parts.soft}>A simulated scale ships with Wendro. These are its hands.</p>
          <div className={parts.row}>
            <Button onClick={() => hand("pour", { grams: 212, seconds: 0.4 })}>Put a bowl on</Button>
            <Button onClick={() => hand("clear")}>Take all off</Button>
          </div>
          <div className={parts.row}>
            <Button disabled={left < 0.05} onClick={() => pourFor(Math.round(left * 100) / 100)}>
              Pour what is to go
            </Button>
            <HoldToPour />
          </div>
          <div className={parts.row}>
            <NumberField
              label="Grams to pour"
              unit="g"
              min={0.1}
              max={500}
              step={0.5}
              value={grams}
              onSet={setGrams}
            />
            <Button onClick={() => pourFor(grams)}>Pour this much</Button>
          </div>
          <div className={parts.row}>
            <Button onClick={() => hand("unplug")}>Pull the plug</Button>
            <Button onClick={() => hand("plug")}>Plug it in</Button>
          </div>
        </div>
      }
    >
      <Button>Simulated scale…</Button>
    </Popover>
  );
}

function HoldToPour() {
  const hand = useHand();
  const stop = () => hand("stop");
  return (
    <Button
      onPointerDown={() => hand("begin", { gramsPerSecond: 6 })}
      onPointerUp={stop}
      onPointerLeave={(e) => e.buttons > 0 && stop()}
      onKeyDown={(e) => e.key === " " && !e.repeat && hand("begin", { gramsPerSecond: 6 })}
      onKeyUp={(e) => e.key === " " && stop()}
    >
      Hold to pour
    </Button>
  );
}
