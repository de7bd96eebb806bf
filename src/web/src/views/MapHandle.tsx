import { useRef, useState } from "react";
import { tokens } from "../style/tokens";
import css from "./MapHandle.module.css";

interface Props {
  /** Where it stands on the map, cm; +x her left, +y her face. */
  x: number;
  y: number;
  label: string;
  value: number;
  text: string;
  min: number;
  max: number;
  step: number;
  /** The value a place on the map stands for. */
  valueAt(x: number, y: number): number;
  onTry?(value: number): void;
  onSet(value: number): void;
}

/** A handle on the crown map: dragged, or moved with the arrow keys; its value stands beside it while it is held. */
export function MapHandle(props: Props) {
  const { x, y, label, value, text, min, max, step, valueAt, onTry, onSet } = props;
  const [held, setHeld] = useState<{ x: number; y: number; value: number }>();
  const last = useRef<number>(undefined);
  const within = (v: number) => Math.min(max, Math.max(min, Math.round(v / step) * step));
  const place = (e: React.PointerEvent<SVGGElement>) => {
    const svg = e.currentTarget.ownerSVGElement;
    const m = svg?.getScreenCTM();
    if (!svg || !m) {
      return;
    }
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(m.inverse());
    const next = within(valueAt(-p.x, -p.y));
    setHeld({ x: -p.x, y: -p.y, value: next });
    if (next !== last.current) {
      last.current = next;
      onTry?.(next);
    }
  };
  const at = held ?? { x, y };
  return (
    <g
      transform={`translate(${-at.x} ${-at.y})`}
      className={css.maphandle}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={min}
      aria-valuemax={max}
      aria-valuenow={value}
      aria-valuetext={text}
      onPointerDown={(e) => {
        e.stopPropagation();
        e.currentTarget.setPointerCapture(e.pointerId);
        last.current = value;
        setHeld({ x, y, value });
      }}
      onPointerMove={(e) => held && place(e)}
      onPointerUp={() => {
        if (held && held.value !== value) {
          onSet(held.value);
        }
        setHeld(undefined);
      }}
      onKeyDown={(e) => {
        const by = { ArrowUp: step, ArrowRight: step, ArrowDown: -step, ArrowLeft: -step }[e.key];
        if (by) {
          e.preventDefault();
          onSet(within(value + by));
        }
      }}
    >
      <circle r="1.7" fill="transparent" />
      <circle r="0.72" fill={tokens.white} stroke={tokens.accent} strokeWidth="0.26" />
      {held && (
        <g transform="translate(0 -2.1)" pointerEvents="none">
          <rect x="-3.1" y="-1.25" width="6.2" height="2" rx="0.9" fill="rgba(29,35,37,0.85)" />
          <text textAnchor="middle" y="0.25" fontSize="1.3" fontWeight="600" fill={tokens.white}>
            {text.replace(/[-\d.]+/, String(Number(held.value.toFixed(1))))}
          </text>
        </g>
      )}
    </g>
  );
}
