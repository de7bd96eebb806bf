import { useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { Link } from "react-router";
import { glanceOf } from "../api/glance";
import { useSaving, type Work } from "../api/usePlan";
import { hairWords } from "../views/words";
import { type Stage, StageBeads } from "./StageBeads";
import css from "./TopBar.module.css";

/** Who she is, where in the order of work we are, and the way back. */
export function TopBar({ visit, work }: { visit: string; work: Work }) {
  const { plan } = work;
  const { data: glance } = useQuery(glanceOf(visit, work.revision));
  const done = new Set<Stage>(glance?.done);
  return (
    <header className={css.top}>
      <div className={css.who}>
        <Link to="/" aria-label="Back to the day" className={css.back}>
          ‹
        </Link>
        <div>
          <h1>{plan.client}</h1>
          <p>{hairWords(plan.hair)}</p>
        </div>
      </div>
      <StageBeads visit={visit} done={done} />
      <div className={css.acts}>
        <Saving visit={visit} />
        <Button
          aria-label="Undo"
          title={`Undo${plan.undoes ? `: ${plan.undoes}` : ""} (Ctrl+Z)`}
          disabled={!plan.canUndo}
          onClick={work.undo}
        >
          ↶
        </Button>
        <Button
          aria-label="Redo"
          title={`Redo${plan.redoes ? `: ${plan.redoes}` : ""} (Ctrl+Shift+Z)`}
          disabled={!plan.canRedo}
          onClick={work.redo}
        >
          ↷
        </Button>
      </div>
    </header>
  );
}

function Saving({ visit }: { visit: string }) {
  return <span role="status">{useSaving(visit) ? "saving…" : "saved"}</span>;
}
