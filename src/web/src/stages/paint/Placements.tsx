import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Progress } from "antd";
import { api, type PlanEdit, type Schemas } from "../../api/client";
import { given } from "../../api/given";
import parts from "../../style/parts.module.css";
import type { Against } from "../../visit/LookBar";
import css from "./Placements.module.css";

interface Props {
  visit: string;
  revision: number;
  edit(edit: PlanEdit): Promise<boolean>;
  onCompare(against: Against): void;
  onClose(): void;
}

/** From look to placement: three plans for what she wants, with what each gives up. */
export function Placements({ visit, revision, edit, onCompare, onClose }: Props) {
  const client = useQueryClient();
  const key = ["proposals", visit];
  const { data, error } = useQuery({
    queryKey: key,
    queryFn: () => given(api.GET("/api/visits/{visit}/plan/proposals", { params: { path: { visit } } })),
    refetchInterval: (q) => (q.state.data?.state === "searching" ? 250 : false),
  });
  const begin = useMutation({
    mutationFn: () => given(api.POST("/api/visits/{visit}/plan/proposals", { params: { path: { visit } } })),
    onSuccess: (begun) => {
      client.setQueryData(key, begun);
      client.invalidateQueries({ queryKey: key });
    },
  });
  const end = useMutation({
    mutationFn: () =>
      given(api.DELETE("/api/visits/{visit}/plan/proposals", { params: { path: { visit } } })),
    onSuccess: () => client.invalidateQueries({ queryKey: key }),
  });
  const refused = begin.error?.message ?? data?.problem ?? error?.message;
  const searching = data?.state === "searching";
  return (
    <section className={css.placements} aria-label="From look to placement">
      <div className={parts.title}>
        <h2>From look to placement</h2>
        <Button type="text" onClick={onClose}>
          Close
        </Button>
      </div>
      {data?.state === "none" && (
        <p className={parts.why}>
          Searches sections, heights, depth, covering and strength within the house rules for the wish.
        </p>
      )}
      {searching ? (
        <div>
          <Progress
            percent={Math.round(data.share * 100)}
            status="active"
            aria-label="How far the search is"
          />
          <p className={parts.why}>
            {data.evaluations.toLocaleString()} heads judged
            {data.best != null && `, nearest so far ${data.best.toFixed(2)} off`}
          </p>
          <Button loading={end.isPending} onClick={() => end.mutate()}>
            Stop, keep the best
          </Button>
        </div>
      ) : (
        <Button
          type={data?.state === "done" ? "default" : "primary"}
          loading={begin.isPending}
          onClick={() => begin.mutate()}
        >
          {data?.state === "done" ? "Search again" : "Search"}
        </Button>
      )}
      {refused && <p role="alert">{refused}</p>}
      {data?.state === "done" && data.revision !== revision && (
        <p className={parts.soft}>Found for an earlier revision of this plan.</p>
      )}
      {data?.found.map((p, i) => (
        <article key={p.strength} className={parts.finding} aria-label={p.name}>
          <h3>{p.name}</h3>
          <Figures p={p} />
          {p.unmet.map((u) => (
            <p key={u.wish} className={css.unmet}>
              <b>
                Not met: {u.wish} {number(u.reached, u.unit)} instead of {number(u.wanted, u.unit)}.
              </b>{" "}
              {u.because}
            </p>
          ))}
          <p className={parts.why}>Gives up {p.givesUp.join("; ")}.</p>
          <div className={parts.row}>
            <Button onClick={() => onCompare({ proposal: i, name: p.name.toLowerCase() })}>Compare</Button>
            <Button
              type="primary"
              onClick={async () => {
                if (await edit(p.edit)) {
                  onClose();
                }
              }}
            >
              Take it
            </Button>
          </div>
        </article>
      ))}
    </section>
  );
}

const number = (v: number, unit: string) =>
  unit === "share" ? `${Math.round(v * 100)} %` : `${v.toFixed(1)} ${unit}`;

function Figures({ p }: { p: Schemas["ProposalView"] }) {
  const m = p.measures;
  return (
    <p>
      Ends <b>{m.endsLevel?.toFixed(1) ?? "–"}</b>, light <b>{Math.round(m.lightShare * 100)} %</b>, face{" "}
      <b>
        {m.faceFrameLift >= 0 ? "+" : "−"}
        {Math.abs(m.faceFrameLift).toFixed(1)}
      </b>
      , root <b>{m.rootSoftness.toFixed(1)}</b> /cm, regrowth after <b>{Math.round(m.regrowthWeeks)}</b>{" "}
      weeks; <b>{p.panels}</b> panels, <b>{Math.round(p.minutes)}</b> min
      {p.findings.length > 0 && <>. Second look: {p.findings.join(", ").toLowerCase()}</>}.
    </p>
  );
}
