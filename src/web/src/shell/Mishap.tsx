import { Button } from "antd";
import { Link, useRouteError } from "react-router";
import parts from "../style/parts.module.css";

/** What is shown where a screen could not be: the rest of the visit stays, and nothing that was saved is lost. */
export function Mishap() {
  const problem = useRouteError();
  return (
    <main className={parts.waiting} role="alert">
      <h1>This screen could not be shown.</h1>
      <p className={parts.soft}>
        Nothing that was saved is lost. {problem instanceof Error ? problem.message : ""}
      </p>
      <div className={parts.row}>
        <Button type="primary" onClick={() => window.location.reload()}>
          Try again
        </Button>
        <Link to="/">Back to the day</Link>
      </div>
    </main>
  );
}
