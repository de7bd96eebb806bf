import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import { api } from "../../api/client";
import { given } from "../../api/given";
import parts from "../../style/parts.module.css";
import { Num } from "../../views/Num";
import { cm } from "../../views/words";
import css from "./CanItBeDone.module.css";
import type { Consult } from "./useConsult";

/** What the client's last visit left, promised and taught; and this one begun with it. */
export function LastTime({ visit, consult, changed }: { visit: string; consult: Consult; changed(): void }) {
  const cache = useQueryClient();
  const [trimmedCm, setTrimmed] = useState(0);
  const { data } = useQuery({
    queryKey: ["lastTime", visit],
    refetchOnMount: "always",
    queryFn: () => given(api.GET("/api/visits/{visit}/last-time", { params: { path: { visit } } })),
  });
  const take = useMutation({
    mutationFn: () =>
      given(
        api.POST("/api/visits/{visit}/last-time", {
          params: { path: { visit } },
          body: { baseVersion: consult.view.version, trimmedCm },
        }),
      ),
    onSuccess: (last) => {
      cache.setQueryData(["lastTime", visit], last);
      cache.invalidateQueries({ queryKey: ["consult", visit] });
      changed();
    },
  });
  const last = data?.[0];
  if (!last) {
    return null;
  }
  const when = new Date(last.startsAt).toLocaleDateString(undefined, { day: "numeric", month: "long" });
  return (
    <section className={css.verdict} aria-label="Last time">
      <div className={parts.title}>
        <h2>Last time</h2>
        <Link to={`/visits/${last.visitId}/record`}>{when}</Link>
      </div>
      <p>
        {Math.round(last.weeks)} weeks ago, {cm(last.grownCm)} grown. {last.outcome}
      </p>
      {last.said && <p>“{last.said}”</p>}
      <p>
        <b>Promised:</b> {last.promised}
      </p>
      {last.toChange.length > 0 && (
        <ul aria-label="To remember">
          {last.toChange.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      <Num
        draft
        name="Trimmed since"
        unit="cm"
        min={0}
        max={60}
        step={0.5}
        value={trimmedCm}
        onSet={setTrimmed}
      />
      <Button
        size="large"
        type={last.isTaken ? "default" : "primary"}
        loading={take.isPending}
        onClick={() => take.mutate()}
      >
        {last.isTaken ? "Begin with it again" : "Begin with what it left"}
      </Button>
      <p className={parts.soft}>
        {last.pieces > 0
          ? `${last.pieces} pieces as they came out, moved outwards by what has grown.`
          : "The hair as it was read then, grown."}{" "}
        {last.isTaken && "This visit begins with it."}
      </p>
      {take.error && <p role="alert">{take.error.message}</p>}
    </section>
  );
}
