import type { ReactNode } from "react";
import type { PanelView, PlanView } from "../api/client";
import { tokens } from "../style/tokens";
import { mapBox, pathOf } from "./CrownMap";

interface Props {
  plan: PlanView;
  label: string;
  className: string;
  fill(panel: PanelView): string;
  /** Drawn with a heavy line: picked, or at work. */
  heavy(panel: PanelView): boolean;
  /** What a panel is called, and how it stands. */
  words(panel: PanelView): string;
  onPick(panel: PanelView): void;
  /** Laid over the panels. */
  children?: ReactNode;
}

/** The scalp unrolled with its panels coloured by how they stand, whatever that is; each can be touched. */
export function PanelMap({ plan, label, className, fill, heavy, words, onPick, children }: Props) {
  return (
    <svg className={className} viewBox={mapBox} role="group" aria-label={label}>
      <path d={`${pathOf(plan.scalpOutline)}Z`} fill={tokens.track} stroke={tokens.edge} strokeWidth="0.2" />
      {plan.panels.map((p) => (
        <path
          key={p.key}
          d={`${p.outlines.map((o) => pathOf(o)).join("Z")}Z`}
          fill={fill(p)}
          stroke={heavy(p) ? tokens.ink : tokens.edge}
          strokeWidth={heavy(p) ? 0.55 : 0.12}
          role="button"
          tabIndex={-1}
          aria-label={words(p)}
          onClick={() => onPick(p)}
        />
      ))}
      {children}
      <path d={pathOf(plan.partLine)} fill="none" stroke={tokens.ink} strokeWidth="0.3" />
    </svg>
  );
}
