import { Button } from "antd";
import { clock, span } from "../../views/times";
import { useServerNow } from "../../visit/serverNow";
import css from "./Tone.module.css";
import type { ToneAreaView, ToneView, Toning } from "./useTone";

const looked = [
  ["notYet", "not yet"],
  ["there", "there"],
  ["tooFar", "too far"],
] as const;

/** At the basin: what goes on next, what is on and how long, wiped and rinsed by a tap. */
export function AtBasin({ toning, tone }: { toning: Toning; tone: ToneView }) {
  const now = useServerNow();
  if (tone.areas.length === 0) {
    return null;
  }
  const on = tone.areas.filter((a) => a.onAt && !a.offAt);
  const next = tone.areas.find((a) => !a.onAt);
  return (
    <section className={css.basin} aria-label="At the basin">
      {on.map((a) => (
        <Working key={a.area.id} area={a} now={now} toning={toning} />
      ))}
      {next && (
        <Button
          type="primary"
          size="large"
          disabled={toning.busy}
          onClick={() => toning.say({ kind: "putOn", area: next.area.id })}
        >
          Put on {next.area.name}
          {whenOf(tone, next, now)}
        </Button>
      )}
      {tone.isDone && <p role="status">All is rinsed. {afterWords[tone.plan.after ?? "treatThenWash"]}</p>}
      {tone.lastFact != null && tone.areas.some((a) => a.onAt) && (
        <Button
          type="text"
          disabled={toning.busy}
          onClick={() => toning.say({ kind: "unsaid", number: tone.lastFact ?? 0 })}
        >
          Undo last
        </Button>
      )}
    </section>
  );
}

const afterWords: Record<NonNullable<ToneView["plan"]["after"]>, string> = {
  treatThenWash: "Treatment next, then wash.",
  washedBefore: "Treatment ends it: it was washed before.",
};

/** When the next is put on, so that all end together. */
function whenOf(tone: ToneView, next: ToneAreaView, now: number): string {
  const first = tone.areas.find((a) => a.onAt);
  if (!first?.onAt) {
    return "";
  }
  const at = Date.parse(first.onAt) + (next.onAtMinute - first.onAtMinute) * 60_000;
  return at <= now ? " · now" : ` · in ${span(at - now)}`;
}

function Working({ area, now, toning }: { area: ToneAreaView; now: number; toning: Toning }) {
  const due = Date.parse(area.dueAt ?? "");
  const over = now >= due;
  return (
    <div className={css.working} role="group" aria-label={area.area.name} data-over={over}>
      <b>{area.area.name}</b>
      <span className={css.left}>
        {over ? "rinse now" : span(due - now)}
        {over && ` · ${span(now - due)} over`}
      </span>
      <span>on {clock(area.onAt ?? "")}</span>
      <div className={css.taps}>
        {looked.map(([looks, words]) => (
          <Button
            key={looks}
            aria-pressed={area.looks === looks}
            disabled={toning.busy}
            onClick={() => toning.say({ kind: "wiped", area: area.area.id, looks })}
          >
            {words}
          </Button>
        ))}
        <Button
          type="primary"
          disabled={toning.busy}
          onClick={() => toning.say({ kind: "takenOff", area: area.area.id })}
        >
          Rinsed
        </Button>
      </div>
    </div>
  );
}
