import { Button, Input, Popover } from "antd";
import { useState } from "react";
import type { PlanEdit, Schemas } from "../api/client";
import parts from "../style/parts.module.css";
import css from "./SetAside.module.css";

interface Heard {
  id: string;
  title: string;
  severity: Schemas["Severity"];
  setAside?: string | null;
}

/** Discard, and why: it does not come back until it matters more. */
export function SetAside({ finding, edit }: { finding: Heard; edit(edit: PlanEdit): Promise<boolean> }) {
  const [reason, setReason] = useState("");
  const send = () => edit({ kind: "dismiss", finding: finding.id, at: finding.severity, reason });
  return (
    <Popover
      trigger="click"
      content={
        <div className={parts.move} role="group" aria-label={`Set aside: ${finding.title}`}>
          <Input
            aria-label="Reason"
            placeholder="Reason to set it aside"
            maxLength={200}
            value={reason}
            onChange={(e) => setReason(e.target.value)}
            onPressEnter={() => reason.trim() && void send()}
          />
          <Button type="primary" disabled={!reason.trim()} onClick={() => void send()}>
            Set aside
          </Button>
        </div>
      }
    >
      <Button type="text">Set aside</Button>
    </Popover>
  );
}

/** What was set aside, and the way back. */
export function SetAsideList({ aside, edit }: { aside: Heard[]; edit(edit: PlanEdit): Promise<boolean> }) {
  return aside.length === 0 ? null : (
    <details>
      <summary>{aside.length === 1 ? "One set aside" : `${aside.length} set aside`}</summary>
      {aside.map((f) => (
        <div key={f.id} className={css.aside}>
          <span>
            {f.title}: {f.setAside}
          </span>
          <Button onClick={() => edit({ kind: "heed", finding: f.id })}>Restore</Button>
        </div>
      ))}
    </details>
  );
}
