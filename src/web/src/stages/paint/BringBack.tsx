import { useMutation, useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { api, type PlanEdit } from "../../api/client";
import { given } from "../../api/given";
import parts from "../../style/parts.module.css";
import { quantity, useUnits } from "../../views/units";
import css from "./Placements.module.css";

interface Props {
  visit: string;
  edit(edit: PlanEdit): Promise<boolean>;
}

/** From last time: the fewest panels that bring the wish back, and what last time taught. */
export function BringBack({ visit, edit }: Props) {
  const units = useUnits();
  const { data: last } = useQuery({
    queryKey: ["lastTime", visit],
    // An edit of the plan changes nothing of it.
    staleTime: Number.POSITIVE_INFINITY,
    queryFn: () => given(api.GET("/api/visits/{visit}/last-time", { params: { path: { visit } } })),
  });
  const back = useMutation({
    mutationFn: () => given(api.GET("/api/visits/{visit}/bring-back", { params: { path: { visit } } })),
  });
  const there = last?.[0];
  if (!there?.isTaken) {
    return null;
  }
  const found = back.data?.found;
  const lessons = back.data?.lessons.filter((l) => l.edits.length > 0) ?? [];
  const share = (of = 0) => `${Math.round(of * 100)} %`;
  return (
    <section className={css.placements} aria-label="From last time">
      <div className={parts.title}>
        <h2>From last time</h2>
        <span>{quantity(there.grownCm, "cm", units)} grown</span>
      </div>
      {found ? (
        found.edits.length === 0 ? (
          <p>
            {found.ofPanels === 0
              ? "Nothing has grown or was missed that last time's plan would paint."
              : found.isMet
                ? "The wish still stands: nothing needs to be painted for it."
                : "Nothing that last time's plan would paint comes nearer to the wish."}
          </p>
        ) : (
          <>
            <p>
              <b>
                {found.panels.length} of {found.ofPanels} panels
              </b>{" "}
              {found.isMet ? "bring the wish back" : "come as near to the wish as any would"},{" "}
              {Math.round(found.minutes)} min of painting
              {found.isMirrored && ", the other way round: the part is on the other side now"}.
            </p>
            <p className={parts.soft}>
              Light seen {share(found.now.lightShare)} now, {share(found.after.lightShare)} then,{" "}
              {share(found.afterAll.lightShare)} with all of them.
            </p>
            <Button
              type="primary"
              size="large"
              onClick={async () => (await edit(found.edits[0])) && back.mutate()}
            >
              Paint these
            </Button>
          </>
        )
      ) : (
        <Button size="large" loading={back.isPending} onClick={() => back.mutate()}>
          What needs to be painted?
        </Button>
      )}
      {back.error && <p role="alert">{back.error.message}</p>}
      {lessons.map((l) => (
        <div key={l.words}>
          <p>{l.words}</p>
          <Button onClick={() => edit(l.edits[0])}>Do so</Button>
        </div>
      ))}
    </section>
  );
}
