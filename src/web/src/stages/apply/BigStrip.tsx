import { useEffect, useRef } from "react";
import type { PanelView } from "../../api/client";
import { drawStrip } from "../../views/stripDrawing";
import { quantity, useUnits } from "../../views/units";
import { useVisit } from "../../visit/useVisit";
import css from "./Apply.module.css";

/** The panel as it hangs, as large as can be: where paint starts, where it is solid. */
export function BigStrip({ panel, mirrored }: { panel: PanelView; mirrored: boolean }) {
  const { colours } = useVisit();
  const units = useUnits();
  const canvas = useRef<HTMLCanvasElement>(null);
  const { strip } = panel;
  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (context && strip && colours) {
      drawStrip(context, strip, colours);
    }
  }, [strip, colours]);
  const edge = panel.coats[0]?.edge ?? [];
  const [from, to] = [Math.max(0, Math.min(...edge)), Math.max(0, ...edge)];
  const at = (cm: number) => `${(Math.min(cm, panel.lengthCm) / panel.lengthCm) * 100}%`;
  const line = edge
    .map(
      (s, i) =>
        `${(i / (edge.length - 1)) * 100},${(Math.min(Math.max(s, 0), panel.lengthCm) / panel.lengthCm) * 100}`,
    )
    .join(" ");
  return (
    <div
      className={css.strip}
      role="img"
      aria-label={`Starts at ${quantity(from, "cm", units, 0)}, solid at ${quantity(to, "cm", units, 0)}`}
    >
      <div className={mirrored ? css.mirrored : undefined}>
        <canvas ref={canvas} width={104} height={520} />
        <svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true">
          <polyline points={line} vectorEffect="non-scaling-stroke" />
        </svg>
      </div>
      <b style={{ top: at(from) }}>{quantity(from, "cm", units, 0).split(" ")[0]}</b>
      {to - from > panel.lengthCm * 0.06 && (
        <b style={{ top: at(to) }}>{quantity(to, "cm", units, 0).split(" ")[0]}</b>
      )}
    </div>
  );
}
