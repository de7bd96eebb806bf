import { Button, Popover, Switch } from "antd";
import { useState } from "react";
import type { PlanEdit, PlanView, Schemas } from "../../api/client";
import type { Colours } from "../../api/seen";
import parts from "../../style/parts.module.css";
import { tokens } from "../../style/tokens";
import { Line } from "../../views/Choice";
import { CrownMap } from "../../views/CrownMap";
import { MapHandle } from "../../views/MapHandle";
import { Num } from "../../views/Num";
import { PartHandles } from "../../views/PartHandles";
import { cm } from "../../views/words";
import css from "./MarksMap.module.css";
import type { Consult } from "./useConsult";

type Mark = Schemas["Mark"];

const kinds: Record<Schemas["MarkKind"], { words: string; radius: number }> = {
  swirl: { words: "swirl", radius: 2.5 },
  breakage: { words: "breakage", radius: 2 },
  babyHair: { words: "new baby hair", radius: 2.5 },
  undercut: { words: "undercut", radius: 5 },
  oldLight: { words: "old light piece", radius: 1.5 },
  oldDark: { words: "old dark piece", radius: 1.5 },
};

interface Props {
  consult: Consult;
  plan: PlanView;
  colours: Colours | undefined;
  edit(edit: PlanEdit): Promise<boolean>;
  tryOut(edit: PlanEdit): void;
}

/** Where on her head something wants care: pick what it is, then tap the place. */
export function MarksMap({ consult, plan, colours, edit, tryOut }: Props) {
  const marks = consult.view.hair.marked ?? [];
  const [placing, setPlacing] = useState<Schemas["MarkKind"]>();
  const [open, setOpen] = useState<number>();
  const set = (next: Mark[]) => consult.setHair({ marked: next });
  const change = (i: number, by: Partial<Mark>) => set(marks.map((m, k) => (k === i ? { ...m, ...by } : m)));
  const put = (kind: Schemas["MarkKind"], x: number, y: number) => {
    setPlacing(undefined);
    setOpen(marks.length);
    set([
      ...marks,
      {
        kind,
        x: Math.round(x * 2) / 2,
        y: Math.round(y * 2) / 2,
        radiusCm: kinds[kind].radius,
        clockwise: true,
      },
    ]);
  };
  return (
    <div className={css.marks}>
      <CrownMap
        scalp={plan.scalpOutline}
        part={plan.partLine}
        panels={[]}
        natural={plan.hair.naturalLevel}
        colours={colours}
        selected={undefined}
        marked={new Set()}
        onSelect={() => undefined}
      >
        <PartHandles plan={plan} edit={edit} tryOut={tryOut} />
        {marks.map((m, i) => (
          <g key={`${m.kind} ${m.x} ${m.y}`}>
            <circle
              cx={-m.x}
              cy={-m.y}
              r={m.radiusCm}
              fill="rgba(255,255,255,0.16)"
              stroke={tokens.white}
              strokeWidth="0.22"
              strokeDasharray={m.kind === "swirl" ? undefined : "0.7 0.5"}
              pointerEvents="none"
            />
            {m.kind === "swirl" && (
              <path
                d={`M${-m.x} ${-m.y} q1 -0.8 1.3 0.5 q0.1 1.6 -1.7 1.5 q-2 -0.5 -1.6 -2.4`}
                transform={m.clockwise ? undefined : `matrix(-1 0 0 1 ${-2 * m.x} 0)`}
                fill="none"
                stroke={tokens.white}
                strokeWidth="0.28"
                pointerEvents="none"
              />
            )}
            <MapHandle
              x={m.x - m.radiusCm}
              y={m.y}
              label={`Reach of ${kinds[m.kind].words} ${i + 1}`}
              value={m.radiusCm}
              text={cm(m.radiusCm)}
              min={0.5}
              max={12}
              step={0.5}
              valueAt={(x, y) => Math.hypot(x - m.x, y - m.y)}
              onSet={(radiusCm) => change(i, { radiusCm })}
            />
          </g>
        ))}
        {placing && (
          <rect
            x="-17.6"
            y="-13.6"
            width="35.2"
            height="33.6"
            fill="transparent"
            style={{ cursor: "crosshair" }}
            role="button"
            aria-label={`Tap where the ${kinds[placing].words} is`}
            onPointerUp={(e) => {
              const m = e.currentTarget.getScreenCTM();
              if (m) {
                const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(m.inverse());
                put(placing, -p.x, -p.y);
              }
            }}
          />
        )}
      </CrownMap>
      <div className={`${parts.row} ${css.chips}`}>
        {marks.map((m, i) => (
          <Popover
            key={`${m.kind} ${m.x} ${m.y}`}
            trigger="click"
            open={open === i}
            onOpenChange={(o) => setOpen(o ? i : undefined)}
            content={
              <div className={parts.formula} role="group" aria-label={kinds[m.kind].words}>
                <Num
                  name="Reach"
                  unit="cm"
                  min={0.5}
                  max={12}
                  step={0.5}
                  value={m.radiusCm}
                  error={consult.errors[`marked[${i}].radiusCm`]}
                  onSet={(radiusCm) => change(i, { radiusCm })}
                />
                <Num
                  name="Towards the client's left"
                  unit="cm"
                  min={-20}
                  max={20}
                  step={0.5}
                  value={m.x}
                  error={consult.errors[`marked[${i}].x`]}
                  onSet={(x) => change(i, { x })}
                />
                <Num
                  name="Towards the face"
                  unit="cm"
                  min={-22}
                  max={16}
                  step={0.5}
                  value={m.y}
                  error={consult.errors[`marked[${i}].y`]}
                  onSet={(y) => change(i, { y })}
                />
                {(m.kind === "oldLight" || m.kind === "oldDark") && (
                  <Num
                    name="Begins"
                    unit="cm"
                    min={0}
                    max={60}
                    step={0.5}
                    value={m.startCm ?? null}
                    placeholder="–"
                    error={consult.errors[`marked[${i}].startCm`]}
                    onSet={(startCm) => change(i, { startCm })}
                    onEmpty={() => change(i, { startCm: null })}
                  />
                )}
                {m.kind === "swirl" && (
                  <Line name="Turns clockwise">
                    <Switch
                      aria-label="Turns clockwise"
                      checked={m.clockwise}
                      onChange={(clockwise) => change(i, { clockwise })}
                    />
                  </Line>
                )}
                <Button
                  onClick={() => {
                    setOpen(undefined);
                    set(marks.filter((_, k) => k !== i));
                  }}
                >
                  Take the mark away
                </Button>
              </div>
            }
          >
            <Button size="small" shape="round">
              {kinds[m.kind].words}
            </Button>
          </Popover>
        ))}
        <Popover
          trigger="click"
          content={
            <div className={parts.formula} role="group" aria-label="What to mark">
              {(Object.keys(kinds) as Schemas["MarkKind"][]).map((k) => (
                <Button
                  key={k}
                  onClick={() => setPlacing(k)}
                  // Without a pointer it starts in the middle and is moved by its numbers.
                  onKeyDown={(e) => {
                    if (e.key === "Enter" || e.key === " ") {
                      e.preventDefault();
                      put(k, 0, k === "babyHair" ? 12 : k === "undercut" ? -16 : -4);
                    }
                  }}
                >
                  {kinds[k].words}
                </Button>
              ))}
            </div>
          }
        >
          <Button size="small" shape="round">
            + mark a place
          </Button>
        </Popover>
        {placing && (
          <span role="status" className={parts.soft}>
            Tap where the {kinds[placing].words} is.
          </span>
        )}
      </div>
    </div>
  );
}
