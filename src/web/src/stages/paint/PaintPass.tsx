import { Button } from "antd";
import { useMemo } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import type { PanelPaint, PanelView, PlanEdit, PlanView } from "../../api/client";
import parts from "../../style/parts.module.css";
import { ShapeTile } from "../../views/ShapeTile";
import { shapes } from "../../views/shapes";
import css from "./PaintPass.module.css";

interface Props {
  panel: PanelView;
  order: PanelView[];
  edit(edit: PlanEdit): Promise<boolean>;
  onGo(key: string): void;
  onEnd(): void;
}

/** Panels in the order they are worked, as the bowls are mixed for them. */
export function workingOrder(plan: PlanView): PanelView[] {
  const byKey = new Map(plan.panels.map((p) => [p.key, p]));
  return plan.working.flatMap((key) => byKey.get(key) ?? []);
}

/** Panel by panel with one hand: the same again, a shape, higher, lower, skip. */
export function PaintPass({ panel, order, edit, onGo, onEnd }: Props) {
  const at = Math.max(
    0,
    order.findIndex((p) => p.key === panel.key),
  );
  const next = order[at + 1];
  const last = useMemo(() => {
    for (let i = at - 1; i >= 0; i--) {
      if (order[i].paint) {
        return order[i].paint as PanelPaint;
      }
    }
    return undefined;
  }, [at, order]);
  const go = (key: string | undefined) => key && onGo(key);
  const same = async () => {
    const paint = panel.paint ?? last;
    if (panel.paint || (paint && (await edit({ kind: "paintPanels", panels: [panel.key], paint })))) {
      go(next?.key);
    }
  };
  const move = (by: number) =>
    panel.paint &&
    edit({
      kind: "setHeights",
      panels: [panel.key],
      startCm: Math.max(0, Math.round(((panel.startCm ?? 0) + by) * 10) / 10),
      coat: 0,
    });
  const skip = async () => {
    if (!panel.paint || (await edit({ kind: "clearPanels", panels: [panel.key] }))) {
      go(next?.key);
    }
  };
  useHotkeys("enter", () => void same(), { preventDefault: true });
  useHotkeys("backspace", () => go(order[at - 1]?.key), { preventDefault: true });
  useHotkeys("s", () => void skip());
  useHotkeys("plus, equal", () => void move(1));
  useHotkeys("minus", () => void move(-1));
  useHotkeys("escape", onEnd);
  useHotkeys("1,2,3,4,5,6,7,8,9", (e) => {
    const shape = shapes[Number(e.key) - 1];
    if (shape) {
      edit({ kind: "setShape", panels: [panel.key], shape: shape.shape, flip: null, coat: 0 });
    }
  });
  return (
    <div className={css.pass} role="group" aria-label="Paint pass">
      <div className={parts.title}>
        <h2>
          Panel {at + 1} of {order.length}
        </h2>
        <Button type="text" onClick={onEnd}>
          End
        </Button>
      </div>
      <p className={parts.panelName}>{panel.words}</p>
      <Button
        type="primary"
        className={css.passNext}
        disabled={!panel.paint && !last}
        onClick={() => void same()}
      >
        {panel.paint ? "Next" : "Same again"}
      </Button>
      <div className={css.pair}>
        <Button className={css.passKey} onClick={() => void skip()}>
          Leave natural
        </Button>
        <Button className={css.passKey} disabled={at === 0} onClick={() => go(order[at - 1]?.key)}>
          Back
        </Button>
      </div>
      <div className={css.pair}>
        <Button className={css.passKey} disabled={!panel.paint} onClick={() => void move(-1)}>
          Start 1 cm higher
        </Button>
        <Button className={css.passKey} disabled={!panel.paint} onClick={() => void move(1)}>
          1 cm lower
        </Button>
      </div>
      <div className={`${parts.shapeGrid} ${css.three}`} role="group" aria-label="Shapes">
        {shapes.slice(0, 9).map((s, i) => (
          <button
            key={s.shape}
            type="button"
            className={parts.tile}
            aria-label={s.name}
            aria-pressed={panel.paint?.shape === s.shape}
            onClick={() =>
              edit({ kind: "setShape", panels: [panel.key], shape: s.shape, flip: null, coat: 0 })
            }
          >
            <ShapeTile d={s.d} />
            {i + 1} {s.name}
          </button>
        ))}
      </div>
      <p className={parts.soft}>
        Keys: Enter next, Backspace back, S skip, 1–9 shape, − higher, + lower, Esc end.
      </p>
    </div>
  );
}
