import { Button, Spin } from "antd";
import { Link, useParams } from "react-router";
import parts from "../../style/parts.module.css";
import css from "./KeepScreen.module.css";
import { day, useKeep } from "./useKeep";

/** After-care in a large face, to be printed and taken home. */
export function CareSheet() {
  const { visit = "" } = useParams();
  const { view, problem } = useKeep(visit);
  if (!view) {
    return <main className={parts.waiting}>{problem ? <h1>{problem}</h1> : <Spin size="large" />}</main>;
  }
  const lines = view.kept.care?.split("\n") ?? view.care;
  return (
    <main className={css.sheet}>
      <div className={`${parts.row} ${css.noprint}`}>
        <Link to={`/visits/${visit}/keep`}>Back to Keep</Link>
        <Button type="primary" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <article aria-label="After-care">
        <h1>For {view.client}</h1>
        <p>{day(view.startsAt)}</p>
        <ul>
          {lines
            .filter((l) => l.trim())
            .map((l) => (
              <li key={l}>{l}</li>
            ))}
        </ul>
      </article>
    </main>
  );
}
