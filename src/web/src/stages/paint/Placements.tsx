import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Progress } from "antd";
import { api, type PlanEdit, type Schemas, wordsOf } from "../../api/client";
import type { Against } from "../../visit/LookBar";

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
    queryFn: async () => {
      const { data } = await api.GET("/api/visits/{visit}/plan/proposals", { params: { path: { visit } } });
      return data ?? null;
    },
    refetchInterval: (q) => (q.state.data?.state === "searching" ? 250 : false),
  });
  const begin = useMutation({
    mutationFn: async () => {
      const { data, error } = await api.POST("/api/visits/{visit}/plan/proposals", {
        params: { path: { visit } },
      });
      if (!data) {
        throw new Error(wordsOf(error));
      }
      return data;
    },
    onSuccess: (begun) => {
      client.setQueryData(key, begun);
      client.invalidateQueries({ queryKey: key });
    },
  });
  const refused =
    begin.error?.message ?? data?.problem ?? (error ? "The server does not answer." : undefined);
  const searching = data?.state === "searching";
  return (
    <section className="placements" aria-label="From look to placement">
      <div className="title">
        <h2>From look to placement</h2>
        <Button type="text" onClick={onClose}>
          Close
        </Button>
      </div>
      {data?.state === "none" && (
        <p className="why">
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
          <p className="why">
            {data.evaluations.toLocaleString()} heads judged
            {data.best != null && `, nearest so far ${data.best.toFixed(2)} off`}
          </p>
          <Button
            onClick={() => api.DELETE("/api/visits/{visit}/plan/proposals", { params: { path: { visit } } })}
          >
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
        <p className="soft">Found for an earlier revision of this plan.</p>
      )}
      {data?.found.map((p, i) => (
        <article key={p.strength} className="finding" aria-label={p.name}>
          <h3>{p.name}</h3>
          <Figures p={p} />
          {p.unmet.map((u) => (
            <p key={u.wish} className="unmet">
              <b>
                Not met: {u.wish} {number(u.reached, u.unit)} instead of {number(u.wanted, u.unit)}.
              </b>{" "}
              {u.because}
            </p>
          ))}
          <p className="why">Gives up {p.givesUp.join("; ")}.</p>
          <div className="row">
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
