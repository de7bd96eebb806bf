import { Button, Popover } from "antd";
import { useState } from "react";
import type { Schemas } from "../api/client";
import parts from "../style/parts.module.css";
import { Num } from "../views/Num";

/** A little more of one thing into what is mixed: what was added is weighed, and the true ratio counts. */
export function Adjust({
  word,
  by,
  of,
  g,
  busy,
  added,
}: {
  word: string;
  by: Schemas["Adjusting"];
  of: string;
  g(grams: number): string;
  busy: boolean;
  added(grams: number): Promise<boolean>;
}) {
  const [open, setOpen] = useState(false);
  const [weighed, setWeighed] = useState(Math.round(by.grams * 10) / 10);
  return (
    <Popover
      trigger="click"
      open={open}
      onOpenChange={(o) => {
        setOpen(o);
        setWeighed(Math.round(by.grams * 10) / 10);
      }}
      content={
        <div className={parts.formula} role="group" aria-label={`${word} the bowl`}>
          <p className={parts.soft}>
            Add {g(by.grams)} {of}: 1 : {by.ratio.toFixed(2)}, {by.holds}.
          </p>
          <Num
            draft
            name="Weighed in"
            unit="g"
            min={0.1}
            max={500}
            step={0.5}
            value={weighed}
            onSet={setWeighed}
          />
          <Button
            type="primary"
            disabled={busy}
            onClick={async () => {
              if (await added(weighed)) {
                setOpen(false);
              }
            }}
          >
            It is in
          </Button>
        </div>
      }
    >
      <Button>{word}…</Button>
    </Popover>
  );
}
