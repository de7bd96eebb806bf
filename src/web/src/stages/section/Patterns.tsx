import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { App, Button, Drawer, Input, Popover, Spin } from "antd";
import { useEffect, useState } from "react";
import { api, type PlanEdit, type PlanView } from "../../api/client";
import { given } from "../../api/given";
import parts from "../../style/parts.module.css";
import { quantity, useUnits } from "../../views/units";
import css from "./Patterns.module.css";

interface Props {
  visit: string;
  plan: PlanView;
  edit(edit: PlanEdit): Promise<boolean>;
}

/** Ways to start, fitted to her; the studio's own first. Laying one is a single step that undo takes back. */
export function Patterns({ visit, plan, edit }: Props) {
  const cache = useQueryClient();
  const [open, setOpen] = useState(false);
  // One head after another: the list stands at once, and the first is there soonest.
  const [turn, setTurn] = useState(0);
  const { data, error } = useQuery({
    queryKey: ["patterns", visit, plan.revision],
    enabled: open,
    queryFn: () => given(api.GET("/api/visits/{visit}/patterns", { params: { path: { visit } } })),
  });
  const forget = useMutation({
    mutationFn: (pattern: string) =>
      given(api.DELETE("/api/patterns/{pattern}", { params: { path: { pattern } } })),
    onSettled: () => cache.invalidateQueries({ queryKey: ["patterns", visit] }),
  });
  return (
    <div className={parts.row}>
      <Button type="primary" onClick={() => setOpen(true)}>
        Start from a pattern
      </Button>
      <KeepAsPattern visit={visit} />
      <Drawer open={open} onClose={() => setOpen(false)} title="Start from a pattern" size={720}>
        {!data && (
          <div className={parts.waiting}>
            {error ? error.message : <Spin description="Fitting patterns to this client…" />}
          </div>
        )}
        <ul className={css.patterns} aria-label="Patterns">
          {data?.map((p, i) => (
            <li key={p.id}>
              <OnClient
                visit={visit}
                revision={plan.revision}
                pattern={p.id}
                name={p.name}
                go={i <= turn}
                done={() => setTurn((t) => Math.max(t, i + 1))}
              />
              <div>
                <b>{p.name}</b>
                <p>{p.for}</p>
                {p.against && <p className={css.against}>Not suited: {p.against}</p>}
                <details>
                  <summary>{p.why.length} steps</summary>
                  <ol>
                    {p.why.map((w) => (
                      <li key={w}>{w}</li>
                    ))}
                  </ol>
                </details>
              </div>
              <div>
                <Button
                  aria-label={`Use pattern ${p.name}`}
                  onClick={async () => {
                    if (await edit(p.edit)) {
                      setOpen(false);
                    }
                  }}
                >
                  Use pattern
                </Button>
                {p.family === null && (
                  <Button type="text" aria-label={`Forget ${p.name}`} onClick={() => forget.mutate(p.id)}>
                    Forget
                  </Button>
                )}
              </div>
            </li>
          ))}
        </ul>
      </Drawer>
    </div>
  );
}

/** A pattern as a small head on this client, with what it takes. */
function OnClient({
  visit,
  revision,
  pattern,
  name,
  go,
  done,
}: {
  visit: string;
  revision: number;
  pattern: string;
  name: string;
  go: boolean;
  done(): void;
}) {
  const units = useUnits();
  const { data, isFetched } = useQuery({
    queryKey: ["pattern", visit, revision, pattern],
    enabled: go,
    queryFn: () =>
      given(
        api.GET("/api/visits/{visit}/patterns/{pattern}/tried", { params: { path: { visit, pattern } } }),
      ),
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: said once, when it has come
  useEffect(() => {
    if (isFetched) {
      done();
    }
  }, [isFetched]);
  return (
    <figure>
      {data ? (
        <img
          alt={`${name} on this client`}
          src={`data:image/png;base64,${data.picture}`}
          width="120"
          height="148"
        />
      ) : (
        <span className={css.notyet} />
      )}
      <figcaption>
        {data && (
          <>
            <b>{data.minutes.toFixed(0)} min</b>
            <br />
            {data.panels} panels · {quantity(data.grams, "g", units, 0)}
            {data.steps.length > 1 && (
              <>
                <br />
                {data.steps.length} steps: {data.steps.map((s) => s.split(",")[0]).join(", ")}
              </>
            )}
            {data.misses.length > 0 && (
              <>
                <br />
                <em>{data.misses.slice(0, 2).join(", ")}</em>
                {data.misses.length > 2 && ` and ${data.misses.length - 2} more`}
              </>
            )}
          </>
        )}
      </figcaption>
    </figure>
  );
}

function KeepAsPattern({ visit }: { visit: string }) {
  const { message } = App.useApp();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState("");
  const [why, setWhy] = useState("");
  const keep = useMutation({
    mutationFn: () => given(api.POST("/api/patterns", { body: { name, why, visitId: visit } })),
    onSuccess: () => {
      message.success(`${name} is kept. It stands first among the patterns.`);
      setOpen(false);
    },
  });
  return (
    <Popover
      trigger="click"
      open={open}
      onOpenChange={setOpen}
      content={
        <div className={parts.formula} role="group" aria-label="Keep as a pattern">
          <Input
            aria-label="Name of the pattern"
            placeholder="Name"
            maxLength={60}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
          <Input
            aria-label="What it is for"
            placeholder="What it is for"
            maxLength={200}
            value={why}
            onChange={(e) => setWhy(e.target.value)}
          />
          <Button type="primary" disabled={!name.trim() || !why.trim()} onClick={() => keep.mutate()}>
            Keep
          </Button>
        </div>
      }
    >
      <Button>Keep as a pattern…</Button>
    </Popover>
  );
}
