import { Button } from "antd";
import { Link } from "react-router";
import type { Work } from "../api/usePlan";
import { hairWords } from "../views/words";
import { type Stage, Strand } from "./Strand";

/** Who she is, where in the order of work we are, and the way back. */
export function TopBar({ visit, stage, work }: { visit: string; stage: Stage; work: Work }) {
  const { plan } = work;
  const done = new Set<Stage>(
    plan.panels.some((p) => p.paint)
      ? ["consult", "section", ...(stage === "mix" ? (["paint"] as const) : [])]
      : [],
  );
  return (
    <header className="top">
      <div className="who">
        <Link to="/" aria-label="Back to the day" className="back">
          ‹
        </Link>
        <div>
          <h1>{plan.client}</h1>
          <p>{hairWords(plan.hair)}</p>
        </div>
      </div>
      <Strand visit={visit} stage={stage} done={done} />
      <div className="acts">
        <span role="status">{work.busy ? "saving…" : "saved"}</span>
        <Button aria-label="Undo" title="Undo (Ctrl+Z)" disabled={!plan.canUndo} onClick={work.undo}>
          ↶
        </Button>
        <Button aria-label="Redo" title="Redo (Ctrl+Shift+Z)" disabled={!plan.canRedo} onClick={work.redo}>
          ↷
        </Button>
      </div>
    </header>
  );
}
