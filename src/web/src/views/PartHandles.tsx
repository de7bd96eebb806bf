import type { PlanEdit, PlanView } from "../api/client";
import { MapHandle } from "./MapHandle";
import { cm } from "./words";

interface Props {
  plan: PlanView;
  edit(edit: PlanEdit): Promise<boolean>;
  tryOut(edit: PlanEdit): void;
}

/** Both ends of the part, to be moved to where she shows it. */
export function PartHandles({ plan, edit, tryOut }: Props) {
  const { part } = plan.plan;
  const line = plan.partLine;
  const move = (frontCm: number, backCm: number): PlanEdit => ({ kind: "movePart", frontCm, backCm });
  if (line.length < 4) {
    return null;
  }
  return (
    <>
      <MapHandle
        x={line[0]}
        y={line[1]}
        label="Part at the hairline"
        value={part.frontCm}
        text={cm(part.frontCm)}
        min={-5}
        max={5}
        step={0.5}
        valueAt={(x) => x}
        onTry={(v) => tryOut(move(v, part.backCm))}
        onSet={(v) => edit(move(v, part.backCm))}
      />
      <MapHandle
        x={line[line.length - 2]}
        y={line[line.length - 1]}
        label="Part at the crown"
        value={part.backCm}
        text={cm(part.backCm)}
        min={-3}
        max={3}
        step={0.5}
        valueAt={(x) => x}
        onTry={(v) => tryOut(move(part.frontCm, v))}
        onSet={(v) => edit(move(part.frontCm, v))}
      />
    </>
  );
}
