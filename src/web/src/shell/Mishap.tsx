import { Button } from "antd";
import { Link, useRouteError } from "react-router";

/** What is shown where a screen could not be: the rest of the visit stays, and nothing that was saved is lost. */
export function Mishap() {
  const problem = useRouteError();
  return (
    <main className="waiting" role="alert">
      <h1>This screen could not be shown.</h1>
      <p className="soft">
        Nothing that was saved is lost. {problem instanceof Error ? problem.message : ""}
      </p>
      <div className="row">
        <Button type="primary" onClick={() => window.location.reload()}>
          Try again
        </Button>
        <Link to="/">Back to the day</Link>
      </div>
    </main>
  );
}
