import { Button, Popover } from "antd";
import type { ReactNode } from "react";
import parts from "../style/parts.module.css";
import { type Severity, SeverityMark } from "./SeverityMark";
import { type Piece, said, useUnits } from "./units";

interface Props {
  finding: {
    title: string;
    severity: Severity;
    textParts?: readonly Piece[] | null;
    whyParts?: readonly Piece[] | null;
  };
  /** What can be done about it. */
  children?: ReactNode;
}

/** Something to mind: how much it matters, what, the evidence, why, and what can be done. */
export function Told({ finding: f, children }: Props) {
  const units = useUnits();
  return (
    <article className={parts.finding} aria-label={f.title}>
      <h3>
        <SeverityMark severity={f.severity} />
        <span>{f.title}</span>
        <Popover trigger="click" content={<p className={parts.why}>{said(f.whyParts, units)}</p>}>
          <Button type="text">Why</Button>
        </Popover>
      </h3>
      <p>{said(f.textParts, units)}</p>
      {children}
    </article>
  );
}
