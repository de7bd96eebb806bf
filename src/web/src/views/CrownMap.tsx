import { memo, type ReactNode } from "react";
import type { PanelView } from "../api/client";
import type { Colours } from "../api/seen";
import { tokens } from "../style/tokens";
import css from "./CrownMap.module.css";

interface Props {
  scalp: number[];
  part: number[];
  panels: PanelView[];
  natural: number;
  colours: Colours | undefined;
  selected: string | undefined;
  marked: ReadonlySet<string>;
  /** Other panels picked besides. */
  picked?: ReadonlySet<string>;
  /** Picks a panel; with Shift, Ctrl or Cmd besides those picked. */
  onSelect(key: string, besides: boolean): void;
  /** Handles laid over the map. */
  children?: ReactNode;
}

const ways: Record<string, [number, number]> = {
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
};

/** The middle of a panel on the screen's map. */
const middle = ({ grip }: PanelView): [number, number] => [-grip[0], -grip[1]];

/** The nearest panel on one side: straight ahead counts for more than aside. */
const beside = (from: PanelView, panels: PanelView[], [wx, wy]: [number, number]) => {
  const [fx, fy] = middle(from);
  let best: PanelView | undefined;
  let least = Number.POSITIVE_INFINITY;
  for (const p of panels) {
    const [x, y] = middle(p);
    const ahead = (x - fx) * wx + (y - fy) * wy;
    const aside = Math.abs((x - fx) * wy) + Math.abs((y - fy) * wx);
    const far = ahead + 2.5 * aside;
    if (p.key !== from.key && ahead > 0.2 && far < least) {
      least = far;
      best = p;
    }
  }
  return best;
};

/** The whole scalp unrolled, cm. */
export const mapBox = "-17.6 -13.6 35.2 33.6";

/** Nose up, seen from above as the artist stands behind her: her left on the left. */
export const pathOf = (outline: number[]) => {
  let path = "";
  for (let i = 0; i < outline.length; i += 2) {
    path += `${i === 0 ? "M" : "L"}${(-outline[i]).toFixed(2)} ${(-outline[i + 1]).toFixed(2)}`;
  }
  return path;
};

const byteOf = (level: number) => Math.round(((Math.min(10, Math.max(1, level)) - 1) * 255) / 9);

export const hexOf = (colours: string[] | undefined, level: number) =>
  colours?.[Math.round((Math.min(10, Math.max(1, level)) - 1) * 10)] ?? tokens.unknown;

/** The scalp unrolled from above in true areas: panels filled with the level they reach, what stays natural dark. */
export const CrownMap = memo(function CrownMap(props: Props) {
  const { scalp, part, panels, natural, colours, selected, marked, picked, onSelect, children } = props;
  const dark = hexOf(colours?.levels, natural);
  const chosen = panels.find((p) => p.key === selected);
  return (
    <svg className={css.map} viewBox={mapBox} role="group" aria-label="Crown map">
      <path d={`M-0.9 -12.3 Q0 -13.6 0.9 -12.3`} fill="none" stroke={tokens.edge} strokeWidth="0.18" />
      <text x="-17.4" y="0.6" fontSize="1.45" fill={tokens.inkSoft}>
        ear
      </text>
      <text x="17.4" y="0.6" fontSize="1.45" fill={tokens.inkSoft} textAnchor="end">
        ear
      </text>
      <text x="-17.4" y="-11.6" fontSize="1.45" fill={tokens.inkSoft}>
        client’s left
      </text>
      <path d={`${pathOf(scalp)}Z`} fill={dark} stroke={tokens.edge} strokeWidth="0.2" />
      {panels.map((p) => (
        <path
          key={p.key}
          data-panel={p.key}
          d={`${p.outlines.map((o) => pathOf(o)).join("Z")}Z`}
          fill={p.paint && colours ? colours.hex(byteOf(p.brightestLevel), p.brightestTint) : dark}
          stroke={p.paint ? "rgba(20,20,20,0.35)" : "rgba(255,255,255,0.22)"}
          strokeWidth={picked?.has(p.key) ? 0.4 : marked.has(p.key) ? 0.32 : 0.09}
          style={
            picked?.has(p.key)
              ? { stroke: tokens.accentBright }
              : marked.has(p.key)
                ? { stroke: tokens.white }
                : undefined
          }
          role="button"
          tabIndex={p.key === selected ? 0 : -1}
          aria-pressed={p.key === selected || picked?.has(p.key) === true}
          aria-label={`${p.words}${p.paint ? `, level ${p.brightestLevel.toFixed(1)}` : ", natural"}`}
          onClick={(e) => onSelect(p.key, e.shiftKey || e.ctrlKey || e.metaKey)}
          onKeyDown={(e) => {
            const way = ways[e.key];
            if (e.key === "Enter" || e.key === " ") {
              e.preventDefault();
              onSelect(p.key, e.shiftKey || e.ctrlKey || e.metaKey);
            } else if (way) {
              e.preventDefault();
              const next = beside(p, panels, way);
              if (next) {
                onSelect(next.key, e.shiftKey);
                e.currentTarget.ownerSVGElement
                  ?.querySelector<SVGPathElement>(`[data-panel="${next.key}"]`)
                  ?.focus();
              }
            }
          }}
        />
      ))}
      <path
        d={pathOf(part)}
        fill="none"
        stroke={tokens.white}
        strokeWidth="0.34"
        strokeLinecap="round"
        pointerEvents="none"
      />
      {chosen && (
        <g pointerEvents="none" fill="none" strokeLinejoin="round">
          <path
            d={`${chosen.outlines.map((o) => pathOf(o)).join("Z")}Z`}
            stroke={tokens.accent}
            strokeWidth="0.75"
          />
          <path
            d={`${chosen.outlines.map((o) => pathOf(o)).join("Z")}Z`}
            stroke={tokens.white}
            strokeWidth="0.3"
          />
        </g>
      )}
      {children}
    </svg>
  );
});
