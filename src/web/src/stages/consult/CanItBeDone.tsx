import { Button, Input, Popover, Segmented } from "antd";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import parts from "../../style/parts.module.css";
import { SeverityMark } from "../../views/SeverityMark";
import { AdvisedPatterns } from "./AdvisedPatterns";
import css from "./CanItBeDone.module.css";
import { PatchForm } from "./PatchTests";
import type { Consult } from "./useConsult";

const standing = { stop: "alarm", caution: "caution", ask: "note", clear: "clear" } as const;

/** Large words first, then the reason with figures, then why; then whether it is safe to start. */
export function CanItBeDone({ consult, client }: { consult: Consult; client: string }) {
  const { verdict } = consult.view;
  const [words, setWords] = useState<string>();
  return (
    <div className={css.verdict} role="group" aria-label="Can it be done">
      <h2>Can it be done</h2>
      <p className={css.large} role="status" aria-label="Verdict">
        {verdict.title}
      </p>
      <p>{verdict.text}</p>
      <div className={parts.row}>
        <Popover
          trigger="click"
          content={
            <table className={css.grounds}>
              <tbody>
                {verdict.grounds.map((g) => (
                  <tr key={g.what}>
                    <th scope="row">{g.what}</th>
                    <td>{g.value}</td>
                    <td className={parts.soft}>{g.kind}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          }
        >
          <Button>Why</Button>
        </Popover>
        <Popover
          trigger="click"
          onOpenChange={(open) => open && setWords(verdict.wordsForHer)}
          content={
            <div className={css.wordsforher} role="group" aria-label="Words for the client">
              <Input.TextArea
                aria-label="Words for the client"
                rows={7}
                maxLength={4000}
                value={words ?? verdict.wordsForHer}
                onChange={(e) => setWords(e.target.value)}
              />
              <div className={parts.row}>
                <Button type="primary" onClick={() => consult.answer({ words: words || null })}>
                  Keep
                </Button>
                <Button onClick={() => consult.answer({ words: null })}>Start over</Button>
                <Button onClick={() => window.print()}>Print</Button>
              </div>
            </div>
          }
        >
          <Button type="primary">Words for the client</Button>
        </Popover>
      </div>
      <section className={css.paper} aria-hidden="true">
        <h1>{client}</h1>
        <p>{words ?? verdict.wordsForHer}</p>
      </section>
      {verdict.visits.length > 1 && (
        <ol className={css.visits} aria-label="Visits">
          {verdict.visits.map((v) => (
            <li key={v.number}>
              {v.number === 1 ? "Today" : `After ${v.weeksAfter.toFixed(0)} weeks`}: level{" "}
              {v.level.level.toFixed(1)} ± {((v.level.high - v.level.low) / 2).toFixed(1)}, {v.undertone}
            </li>
          ))}
        </ol>
      )}
      <h2>How</h2>
      <p>
        <b>{verdict.advised.technique}.</b> {verdict.advised.why}
      </p>
      <AdvisedPatterns advised={consult.view.patterns} />
      <Popover
        trigger="click"
        content={
          <ul className={css.ruledout}>
            {verdict.ruledOut.map((a) => (
              <li key={a.technique}>
                <b>{a.technique}</b>: {a.why}
              </li>
            ))}
          </ul>
        }
      >
        <Button>Ruled out</Button>
      </Popover>
      <h2>Safe to start</h2>
      <ul className={css.safety}>
        {consult.view.safety.map((s) => (
          <li key={s.question}>
            <Question point={s} consult={consult} />
          </li>
        ))}
      </ul>
    </div>
  );
}

function Question({ point, consult }: { point: Schemas["SafetyPoint"]; consult: Consult }) {
  // Patch tests of colours are counted on from that of the lightener: patch, patch 2, patch 3.
  const [question, number] = point.question.split(" ");
  const form = forms[question]?.(consult, number ? Number(number) - 2 : undefined);
  const row = (
    <>
      <SeverityMark severity={standing[point.standing]} />
      <span>
        {point.title}
        {point.reason && <small aria-hidden="true">Overridden: {point.reason}</small>}
      </span>{" "}
      <b>{point.answer}</b>
    </>
  );
  if (!form) {
    return <div className={css.point}>{row}</div>;
  }
  return (
    <Popover
      trigger="click"
      content={
        <div className={css.question} role="group" aria-label={point.title}>
          {point.words && <p>{point.words}</p>}
          {form}
          {point.standing === "caution" && <GoPast point={point} consult={consult} />}
        </div>
      }
    >
      <button type="button" className={css.point} aria-label={`${point.title} ${point.answer}`}>
        {row}
      </button>
    </Popover>
  );
}

/** A caution can be gone past, with a reason that is kept; a stop can't. */
function GoPast({ point, consult }: { point: Schemas["SafetyPoint"]; consult: Consult }) {
  const [reason, setReason] = useState("");
  return (
    <div className={css.gopast}>
      <Input
        aria-label="Reason to override"
        placeholder="Override because…"
        maxLength={300}
        value={reason}
        onChange={(e) => setReason(e.target.value)}
      />
      <Button
        disabled={reason.trim() === ""}
        onClick={() =>
          consult.answer({
            overrides: [
              ...(consult.view.consultation.overrides ?? []),
              { question: point.question, reason: reason.trim(), at: new Date().toISOString() },
            ],
          })
        }
      >
        Keep the reason
      </Button>
    </div>
  );
}

const choose = <T extends string>(
  label: string,
  value: T | undefined,
  options: { value: T; label: string }[],
  set: (v: T) => void,
) => (
  <Segmented
    aria-label={label}
    value={value ?? ""}
    options={options as { value: string; label: string }[]}
    onChange={(v) => set(v as T)}
  />
);

const yesNo = (label: string, value: boolean | null | undefined, set: (v: boolean) => void) =>
  choose(
    label,
    value === null || value === undefined ? undefined : value ? "yes" : "no",
    [
      { value: "yes", label: "yes" },
      { value: "no", label: "no" },
    ],
    (v) => set(v === "yes"),
  );

const forms: Record<string, (consult: Consult, colour?: number) => React.ReactNode> = {
  patch: (c, colour) => <PatchForm consult={c} colour={colour} />,
  reacted: (c) => yesNo("Earlier reaction", c.view.consultation.reacted, (reacted) => c.answer({ reacted })),
  scalp: (c) =>
    choose(
      "Scalp",
      c.view.consultation.scalp ?? undefined,
      [
        { value: "calm", label: "calm" },
        { value: "irritated", label: "irritated" },
        { value: "broken", label: "broken" },
      ],
      (scalp) => c.answer({ scalp }),
    ),
  salts: (c) =>
    choose(
      "Metallic salts or henna",
      c.view.consultation.salts ?? undefined,
      [
        { value: "none", label: "none" },
        { value: "notSure", label: "not sure" },
        { value: "yes", label: "yes" },
      ],
      (salts) => c.answer({ salts }),
    ),
  age: (c) => (
    <>
      {yesNo("18 or over", c.view.consultation.adult, (adult) => c.answer({ adult }))}
      <Segmented
        aria-label="Where"
        value={c.view.consultation.atHome ? "home" : "studio"}
        options={[
          { value: "studio", label: "in the studio" },
          { value: "home", label: "at home" },
        ]}
        onChange={(v) => c.answer({ atHome: v === "home" })}
      />
    </>
  ),
};
