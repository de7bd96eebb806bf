import { useEffect, useRef } from "react";
import type { PanelView, PlanEdit, Strip } from "../api/client";
import type { Colours } from "../api/seen";
import parts from "../style/parts.module.css";
import { tokens } from "../style/tokens";
import css from "./PanelStrip.module.css";
import { coatOf } from "./shapes";
import { DepthBar, depthLeft, depthWidth, drawStrip, Edge, height, left, top, width } from "./stripDrawing";
import { type Handle, handlesOf } from "./stripHandles";
import { useUnits } from "./units";

interface Props {
  panel: PanelView;
  strip: Strip | undefined;
  colours: Colours | undefined;
  /** Which of several products the handles move. */
  coat: number;
  onTry(edit: PlanEdit): void;
  onEdit(edit: PlanEdit): void;
}

/**
 * The picked panel hung flat: scalp above, ends below, painted as it will be, with its handles; beside it
 * the section cut through.
 */
export function PanelStrip({ panel, strip, colours, coat, onTry, onEdit }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const svg = useRef<SVGSVGElement>(null);
  const dragging = useRef<Handle | undefined>(undefined);
  const length = panel.lengthCm;
  const paint = coatOf(panel.paint, coat);
  const perCm = height / length;

  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (context && strip && colours) {
      drawStrip(context, strip, colours);
    }
  }, [strip, colours]);

  const start = panel.coats[coat]?.startCm ?? paint?.startCm ?? 0;
  const handles = paint ? handlesOf(panel, paint, coat, start) : [];
  const valueAt = (h: Handle, event: React.PointerEvent): number => {
    const box = svg.current?.getBoundingClientRect();
    return box ? h.at(event.clientX - box.left, event.clientY - box.top) : h.value;
  };

  // Every 2 cm with a figure at every ten; every inch with a figure at every four.
  const [unit, each, figures] = useUnits() === "us" ? [2.54, 1, 4] : [1, 2, 10];
  const ticks = Array.from({ length: Math.floor(length / unit / each) + 1 }, (_, i) => i * each);
  return (
    <div className={css.strip} style={{ height: top + height + 26 }}>
      <canvas
        ref={canvas}
        width={width}
        height={height}
        style={{ left, top, width, height }}
        role="img"
        aria-label={`Strip of ${panel.words}`}
      />
      <svg ref={svg} width={210} height={top + height + 26} role="group" aria-label="Strip handles">
        <text x={left + width / 2} y={14} textAnchor="middle" className={css.small}>
          scalp
        </text>
        <text x={left + width / 2} y={top + height + 18} textAnchor="middle" className={css.small}>
          ends
        </text>
        <text x={depthLeft + depthWidth / 2} y={14} textAnchor="middle" className={css.small}>
          depth
        </text>
        {ticks.map((t) => (
          <g key={t}>
            <line
              x1={left - (t % figures === 0 ? 9 : 4)}
              x2={left - 1}
              y1={top + t * unit * perCm}
              y2={top + t * unit * perCm}
              stroke={tokens.edge}
            />
            {t % figures === 0 && (
              <text x={left - 12} y={top + t * unit * perCm + 4} textAnchor="end" className={css.small}>
                {t}
              </text>
            )}
          </g>
        ))}
        <DepthBar strip={strip} colours={colours} />
        {panel.coats.map((c, i) => (
          <Edge key={c.words} edge={c.edge} perCm={perCm} length={length} quiet={i !== coat} />
        ))}
        {handles.map((h) => (
          <g
            key={h.name}
            className={parts.handle}
            transform={`translate(${h.x} ${h.y})`}
            role="slider"
            tabIndex={0}
            aria-label={h.name}
            aria-orientation={h.sideways ? "horizontal" : "vertical"}
            aria-valuenow={Number(h.value.toFixed(1))}
            aria-valuemin={h.min}
            aria-valuemax={Number(h.max.toFixed(1))}
            aria-valuetext={`${h.value.toFixed(1)} ${h.unit}`}
            onPointerDown={(e) => {
              e.currentTarget.setPointerCapture(e.pointerId);
              dragging.current = h;
            }}
            onPointerMove={(e) => dragging.current?.name === h.name && onTry(h.edit(valueAt(h, e)))}
            onPointerUp={(e) => {
              if (dragging.current?.name === h.name) {
                dragging.current = undefined;
                onEdit(h.edit(valueAt(h, e)));
              }
            }}
            onKeyDown={(e) => {
              const up = e.key === "ArrowUp" || e.key === "ArrowLeft";
              if (up || e.key === "ArrowDown" || e.key === "ArrowRight") {
                e.preventDefault();
                e.stopPropagation();
                const by = (e.shiftKey ? 2 : 0.5) * (h.unit === "%" ? 5 : 1);
                onEdit(h.edit(Math.min(h.max, Math.max(h.min, h.value + (up ? -by : by)))));
              }
            }}
          >
            <circle r={22} fill="transparent" />
            {h.pill ? (
              <>
                <rect x={-30} y={-13} width={60} height={26} rx={13} fill={tokens.accent} />
                <text y={5} textAnchor="middle" className={css.pill}>
                  {h.label}
                </text>
              </>
            ) : (
              <>
                <circle
                  r={h.quiet && h.sideways ? 7 : 10}
                  fill={tokens.white}
                  stroke={tokens.accent}
                  strokeWidth={h.quiet && h.sideways ? 2.5 : 3.5}
                />
                {!h.sideways && !h.quiet && (
                  <g
                    transform={
                      h.x > left + width * 0.6
                        ? `translate(${-14 - labelWidth(h.label)} -9)`
                        : "translate(14 -9)"
                    }
                  >
                    <rect width={labelWidth(h.label)} height={20} rx={10} fill="rgba(24,30,32,0.82)" />
                    <text x={labelWidth(h.label) / 2} y={14.5} textAnchor="middle" className={css.pill}>
                      {h.label}
                    </text>
                  </g>
                )}
                {h.sideways && !h.quiet && (
                  <text y={-15} textAnchor="middle" className={`${css.small} ${css.strong}`}>
                    {h.label}
                  </text>
                )}
              </>
            )}
          </g>
        ))}
      </svg>
    </div>
  );
}

const labelWidth = (label: string) => Math.max(60, label.length * 7.4 + 14);
