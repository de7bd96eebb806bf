import { useEffect, useRef } from "react";
import type { PanelView, PlanEdit, Strip } from "../api/client";
import type { Colours } from "../api/seen";
import { DepthBar, depthLeft, depthWidth, drawStrip, Edge, height, left, top, width } from "./stripDrawing";
import { cm } from "./words";

interface Props {
  panel: PanelView;
  strip: Strip | undefined;
  colours: Colours | undefined;
  onTry(edit: PlanEdit): void;
  onEdit(edit: PlanEdit): void;
}

interface Handle {
  name: string;
  value: number;
  unit: "cm" | "mm";
  max: number;
  x: number;
  y: number;
  label: string;
  sideways?: boolean;
  pill?: boolean;
  /** The value stands beside its twin. */
  quiet?: boolean;
  edit(value: number): PlanEdit;
}

const round = (v: number, step: number) => Number((Math.round(v / step) * step).toFixed(2));

/** The picked panel hung flat: scalp above, ends below, painted as it will be, with its handles; beside it how deep the product goes. */
export function PanelStrip({ panel, strip, colours, onTry, onEdit }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const svg = useRef<SVGSVGElement>(null);
  const dragging = useRef<Handle | undefined>(undefined);
  const length = panel.lengthCm;
  const paint = panel.paint;
  const perCm = height / length;

  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (context && strip && colours) {
      drawStrip(context, strip, colours.levels);
    }
  }, [strip, colours]);

  const handles: Handle[] = [];
  if (paint) {
    const start = panel.startCm ?? paint.startCm;
    const clampY = (s: number) => top + Math.min(Math.max(s, 0), length) * perCm;
    const lowest = paint.shape === "full" ? start : start + paint.dropCm;
    const heights = (startCm: number): PlanEdit => ({
      kind: "setHeights",
      panels: [panel.key],
      startCm: round(startCm, 0.1),
    });
    const drop = (at: number): PlanEdit => ({
      kind: "setHeights",
      panels: [panel.key],
      dropCm: round(Math.min(40, Math.max(0, at - start)), 0.1),
    });
    const startHandle = (name: string, x: number): Handle => ({
      name,
      value: start,
      unit: "cm",
      max: Math.min(75, length),
      x,
      y: clampY(start),
      label: cm(start),
      edit: heights,
      quiet: x > left + width - 5,
    });
    if (paint.shape === "v") {
      handles.push(
        startHandle("Start at the front corner", left),
        startHandle("Start at the back corner", left + width),
      );
    } else if (paint.shape === "slant") {
      handles.push(startHandle("Start at the high side", paint.flip ? left + width : left));
    } else {
      handles.push(startHandle("Start", left + width / 2));
    }
    if (paint.shape !== "full") {
      handles.push({
        name: "Lowest point",
        value: lowest,
        unit: "cm",
        max: length,
        x: paint.shape === "v" ? left + width / 2 : paint.flip ? left : left + width,
        y: clampY(lowest),
        label: cm(lowest),
        edit: drop,
      });
    }
    handles.push({
      name: "Blur",
      value: paint.blurCm,
      unit: "cm",
      max: 12,
      x: left + width / 2,
      y: Math.min(clampY(lowest + Math.max(paint.blurCm, 1.4)) + 12, top + height - 14),
      label: `blur ${Number(paint.blurCm.toFixed(1))}`,
      pill: true,
      edit: (v) => ({
        kind: "setBlur",
        panels: [panel.key],
        blurCm: round(Math.min(12, Math.max(0, v)), 0.1),
      }),
    });
    const depth = (share: "mids" | "ends"): Handle => {
      const value = share === "mids" ? paint.midsMm : paint.endsMm;
      return {
        name: share === "mids" ? "Depth at mid-length" : "Depth at the ends",
        value,
        unit: "mm",
        max: Math.min(40, panel.thicknessMm),
        x: depthLeft + Math.min(1, value / panel.thicknessMm) * depthWidth,
        y: top + height * (share === "mids" ? 0.5 : 0.985),
        label: `${Number(value.toFixed(1))} mm`,
        sideways: true,
        edit: (v) => ({
          kind: "setDepth",
          panels: [panel.key],
          midsMm: share === "mids" ? round(v, 0.5) : paint.midsMm,
          endsMm: share === "ends" ? round(v, 0.5) : paint.endsMm,
        }),
      };
    };
    handles.push(depth("mids"), depth("ends"));
  }

  const valueAt = (h: Handle, event: React.PointerEvent): number => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) {
      return h.value;
    }
    const x = event.clientX - box.left;
    const y = event.clientY - box.top;
    if (h.sideways) {
      return Math.min(h.max, Math.max(0, ((x - depthLeft) / depthWidth) * panel.thicknessMm));
    }
    const s = (y - top) / perCm;
    if (h.name === "Blur") {
      const lowest = (panel.startCm ?? 0) + (paint?.shape === "full" ? 0 : (paint?.dropCm ?? 0));
      return Math.min(12, Math.max(0, s - 12 / perCm - lowest));
    }
    return Math.min(h.max, Math.max(0, s));
  };

  const ticks = Array.from({ length: Math.floor(length / 2) + 1 }, (_, i) => i * 2);
  return (
    <div className="strip" style={{ height: top + height + 26 }}>
      <canvas
        ref={canvas}
        width={width}
        height={height}
        style={{ left, top, width, height }}
        role="img"
        aria-label={`Strip of ${panel.words}`}
      />
      <svg ref={svg} width={210} height={top + height + 26} role="group" aria-label="Strip handles">
        <text x={left + width / 2} y={14} textAnchor="middle" className="small">
          scalp
        </text>
        <text x={left + width / 2} y={top + height + 18} textAnchor="middle" className="small">
          ends
        </text>
        <text x={depthLeft + depthWidth / 2} y={14} textAnchor="middle" className="small">
          depth
        </text>
        {ticks.map((t) => (
          <g key={t}>
            <line
              x1={left - (t % 10 === 0 ? 9 : 4)}
              x2={left - 1}
              y1={top + t * perCm}
              y2={top + t * perCm}
              stroke="#7c8480"
            />
            {t % 10 === 0 && (
              <text x={left - 12} y={top + t * perCm + 4} textAnchor="end" className="small">
                {t}
              </text>
            )}
          </g>
        ))}
        <DepthBar strip={strip} panel={panel} colours={colours} />
        {paint && <Edge panel={panel} perCm={perCm} />}
        {handles.map((h) => (
          <g
            key={h.name}
            className="handle"
            transform={`translate(${h.x} ${h.y})`}
            role="slider"
            tabIndex={0}
            aria-label={h.name}
            aria-orientation={h.sideways ? "horizontal" : "vertical"}
            aria-valuenow={Number(h.value.toFixed(1))}
            aria-valuemin={0}
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
                const by = e.shiftKey ? 2 : 0.5;
                onEdit(h.edit(Math.min(h.max, Math.max(0, h.value + (up ? -by : by)))));
              }
            }}
          >
            <circle r={22} fill="transparent" />
            {h.pill ? (
              <>
                <rect x={-30} y={-13} width={60} height={26} rx={13} fill="#0b6a80" />
                <text y={5} textAnchor="middle" className="pill">
                  {h.label}
                </text>
              </>
            ) : (
              <>
                <circle r={10} fill="#ffffff" stroke="#0b6a80" strokeWidth={3.5} />
                {!h.sideways && !h.quiet && (
                  <g transform={h.x > left + width - 5 ? "translate(-74 -9)" : "translate(14 -9)"}>
                    <rect width={60} height={20} rx={10} fill="rgba(24,30,32,0.82)" />
                    <text x={30} y={14.5} textAnchor="middle" className="pill">
                      {h.label}
                    </text>
                  </g>
                )}
                {h.sideways && (
                  <text y={-15} textAnchor="middle" className="small strong">
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
