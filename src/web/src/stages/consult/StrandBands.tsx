import { Button, Popover } from "antd";
import { useRef, useState } from "react";
import type { Schemas } from "../../api/client";
import type { Colours } from "../../api/seen";
import parts from "../../style/parts.module.css";
import { tokens } from "../../style/tokens";
import { hexOf } from "../../views/CrownMap";
import { cm, linesOf, longestCm } from "../../views/words";
import { BandForm } from "./BandForm";
import { GrownSince } from "./GrownSince";
import css from "./StrandBands.module.css";
import type { Consult } from "./useConsult";

type Band = Schemas["Band"];

const height = 330;
const top = 10;
const left = 34;
const width = 62;

const stateOf = (b: Schemas["Band"]) =>
  (b.warmth ? (b.warmth < 0 ? "cooler, " : "warmer, ") : "") +
  b.state +
  (b.share < 1 ? `, ${Math.round(b.share * 100)}\u00a0%` : "");

/** One strand from scalp to ends with what was done to it before: drag a boundary, tap a band. */
export function StrandBands({
  visit,
  consult,
  colours,
}: {
  visit: string;
  consult: Consult;
  colours: Colours | undefined;
}) {
  const { hair, growthCmPerMonth: growthCm } = consult.view;
  const length = longestCm(hair);
  const told = hair.history ?? [];
  const bands: Band[] = told.length
    ? told
    : [{ fromCm: 0, toCm: length, state: "natural", level: hair.naturalLevel, share: 1, porosity: null }];
  const [drag, setDrag] = useState<{ edge: number; cm: number }>();
  const [growing, setGrowing] = useState(false);
  const svg = useRef<SVGSVGElement>(null);
  const perCm = height / length;
  const edgeAt = (i: number) => (drag?.edge === i ? drag.cm : bands[i].toCm);
  const pieces = hair.pieces?.all.length ?? 0;
  // Who tells the bands anew has looked: her eyes count, not what was kept.
  const set = (next: Band[]) =>
    consult.setHair(pieces > 0 ? { history: next, pieces: null } : { history: next });
  const moved = (i: number, cm: number) => {
    const low = bands[i].fromCm + 0.5;
    const high = bands[i + 1].toCm - 0.5;
    return Math.round(Math.min(high, Math.max(low, cm)) * 2) / 2;
  };
  const moveEdge = (i: number, cm: number) =>
    set(bands.map((b, k) => (k === i ? { ...b, toCm: cm } : k === i + 1 ? { ...b, fromCm: cm } : b)));
  const split = (i: number) => {
    const b = bands[i];
    const at = Math.round(((b.fromCm + b.toCm) / 2) * 2) / 2;
    set([...bands.slice(0, i), { ...b, toCm: at }, { ...b, fromCm: at }, ...bands.slice(i + 1)]);
  };
  const remove = (i: number) => {
    const rest = bands.filter((_, k) => k !== i);
    if (i === 0) {
      rest[0] = { ...rest[0], fromCm: 0 };
    } else {
      rest[i - 1] = { ...rest[i - 1], toCm: bands[i].toCm };
    }
    set(rest);
  };
  return (
    <div className={css.bands}>
      <svg
        ref={svg}
        width={212}
        height={height + 34}
        role="group"
        aria-label="Strand history"
        onPointerMove={(e) => {
          if (drag && svg.current) {
            const y = e.clientY - svg.current.getBoundingClientRect().top - top;
            setDrag({ edge: drag.edge, cm: moved(drag.edge, y / perCm) });
          }
        }}
        onPointerUp={() => {
          if (drag) {
            moveEdge(drag.edge, drag.cm);
            setDrag(undefined);
          }
        }}
      >
        {Array.from({ length: Math.floor(length / 10) + 1 }, (_, i) => i * 10).map((c) => (
          <text key={c} x={left - 8} y={top + c * perCm + 5} textAnchor="end">
            {c}
          </text>
        ))}
        {bands.map((b, i) => {
          // What has grown since something was done; without that, natural hair is just natural.
          const regrowth =
            i === 0 && b.state === "natural" && pieces === 0 && bands[1] && bands[1].state !== "natural";
          const from = i === 0 ? 0 : edgeAt(i - 1);
          const y = top + from * perCm;
          const h = Math.max(0, (edgeAt(i) - from) * perCm);
          return (
            <g key={`${b.fromCm}`}>
              <rect
                x={left}
                y={y}
                width={width}
                height={h}
                fill={hexOf(colours?.levels, hair.naturalLevel)}
              />
              {Array.from({ length: 20 }, (_, c) => c)
                .filter((c) => ((c * 7) % 20) / 20 < b.share)
                .map((c) => (
                  <rect
                    key={c}
                    x={left + (c * width) / 20}
                    y={y}
                    width={width / 20 + 0.4}
                    height={h}
                    fill={hexOf(colours?.levels, b.level)}
                  />
                ))}
              <text y={y + Math.max(14, h / 2)}>
                {linesOf(
                  14,
                  regrowth
                    ? `regrowth ${cm(edgeAt(i))}, ${(edgeAt(i) / growthCm).toFixed(0)} months`
                    : `level ${b.level}, ${stateOf(b)}`,
                ).map((line, l) => (
                  <tspan key={line} x={left + width + 12} dy={l === 0 ? 0 : 16}>
                    {line}
                  </tspan>
                ))}
              </text>
            </g>
          );
        })}
        {bands.slice(0, -1).map((b, i) => (
          <g
            key={`edge-${b.toCm}`}
            transform={`translate(${left} ${top + edgeAt(i) * perCm})`}
            role="slider"
            tabIndex={0}
            aria-label={`Boundary ${i + 1}`}
            aria-valuenow={edgeAt(i)}
            aria-valuemin={b.fromCm}
            aria-valuemax={bands[i + 1].toCm}
            aria-valuetext={cm(edgeAt(i))}
            className={parts.handle}
            onPointerDown={(e) => {
              e.currentTarget.ownerSVGElement?.setPointerCapture(e.pointerId);
              setDrag({ edge: i, cm: b.toCm });
            }}
            onKeyDown={(e) => {
              const step = e.key === "ArrowDown" ? 0.5 : e.key === "ArrowUp" ? -0.5 : 0;
              if (step) {
                e.preventDefault();
                moveEdge(i, moved(i, b.toCm + step));
              }
            }}
          >
            <rect x={-22} y={-22} width={width + 30} height={44} fill="transparent" />
            <line x1={0} x2={width + 6} stroke={tokens.accent} strokeWidth={3} />
            <circle r={10} fill={tokens.white} stroke={tokens.accent} strokeWidth={3.5} />
          </g>
        ))}
      </svg>
      {Object.entries(consult.errors)
        .filter(([f]) => f.startsWith("history"))
        .map(([f, words]) => (
          <p key={f} role="alert" className={parts.wrong}>
            {words}
          </p>
        ))}
      <div className={parts.row}>
        {bands.map((b, i) => (
          <Popover
            key={`${b.fromCm}-${b.toCm}`}
            trigger="click"
            content={
              <BandForm
                band={b}
                set={(change) => set(bands.map((x, k) => (k === i ? { ...x, ...change } : x)))}
                split={() => split(i)}
                remove={bands.length > 1 ? () => remove(i) : undefined}
              />
            }
          >
            <Button aria-label={`Band ${i + 1}, ${b.fromCm}–${b.toCm} cm`}>
              {b.fromCm}–{b.toCm}
            </Button>
          </Popover>
        ))}
        {pieces === 0 && (
          <Popover
            trigger="click"
            open={growing}
            onOpenChange={setGrowing}
            content={
              <GrownSince
                visit={visit}
                growthCm={growthCm}
                set={(grown) => {
                  set(grown);
                  setGrowing(false);
                }}
              />
            }
          >
            <Button>Grown since…</Button>
          </Popover>
        )}
      </div>
      {pieces > 0 && (
        <p className={parts.soft}>
          {pieces} pieces of last time lie on the head, each with bands of its own; these sum them up. A
          change here tells the hair anew, without them.
        </p>
      )}
    </div>
  );
}
