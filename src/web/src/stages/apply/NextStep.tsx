import { Button } from "antd";
import { type ReactNode, useEffect, useMemo, useRef, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import parts from "../../style/parts.module.css";
import { angleOf } from "../../views/angles";
import { HeadView } from "../../views/HeadView";
import { clock, span } from "../../views/times";
import { said, useUnits } from "../../views/units";
import { useVisit } from "../../visit/useVisit";
import css from "./Apply.module.css";
import { actOf, ownWave } from "./act";
import { BigStrip } from "./BigStrip";
import type { ApplyView, Chair, ServiceFact } from "./useApply";

interface Props {
  service: ApplyView;
  chair: Chair;
  now: number;
  mirrored: boolean;
  /** On a tablet: what is due, which never goes into a tab. */
  due: ReactNode;
}

/** The head fills the picture. */
const near = { steps: 1, across: 12, down: 9 };

/** A second press within this time is asked about, ms. */
const twice = 1000;

/** What comes next, one target the size of a hand, and what may be said of it. */
export function NextStep({ service, chair, now, mirrored, due }: Props) {
  const { next } = service;
  const wave = ownWave(service);
  const target = useRef<HTMLButtonElement>(null);
  const pressed = useRef(Number.NEGATIVE_INFINITY);
  const [asking, setAsking] = useState(false);
  const tell = (fact: ServiceFact) => {
    setAsking(false);
    void chair.tell(fact);
  };
  const act = actOf(service);
  const press = (sure = false) => {
    if (!act || chair.busy) {
      return;
    }
    if (!sure && act.fact.kind === "painted" && performance.now() - pressed.current < twice) {
      setAsking(true);
      return;
    }
    pressed.current = act.fact.kind === "painted" ? performance.now() : Number.NEGATIVE_INFINITY;
    tell(act.fact);
  };
  const isElsewhere = (e: KeyboardEvent, at: string) =>
    e.target instanceof HTMLElement && e.target.closest(at) !== null;
  // A foot pedal is a Page Down, wherever the focus is. Space and Enter press what has the focus, and the target where
  // nothing has.
  useHotkeys("pagedown", () => press(), {
    preventDefault: true,
    ignoreEventWhen: (e) => isElsewhere(e, "[data-own-keys]"),
  });
  useHotkeys("space, enter", () => press(), {
    preventDefault: true,
    ignoreEventWhen: (e) =>
      isElsewhere(e, "[data-own-keys], button, a, summary, [role='button'], [role='tab']"),
  });
  // After each fact the target is in hand again, whatever said it; but a sheet that is open keeps its keys.
  const { facts } = service;
  useEffect(() => {
    if (facts > 0 && !asking && !document.activeElement?.closest("[data-own-keys]")) {
      target.current?.focus();
    }
  }, [facts, asking]);
  const counted = service.panels.filter((p) => p.state !== "left");
  const done = counted.filter((p) => p.state !== "waits").length;
  return (
    <section className={`${parts.col} ${css.work}`} aria-label="Next">
      {service.steps.length > 0 && (
        <p className={parts.soft}>
          {service.steps
            .map((s) => (s.isNow ? `▸ ${s.words}` : s.isDone ? `✓ ${s.words}` : s.words))
            .join(" · ")}
        </p>
      )}
      <div className={css.head}>
        <h2 className={css.where}>{act?.title ?? "All is done"}</h2>
        {counted.length > 0 && (
          <span className={css.of}>
            {done} of {counted.length}
          </span>
        )}
      </div>
      {(wave || act?.fact.kind === "painted") && <Line service={service} />}
      {due}
      <div className={css.pictures}>
        <LitHead service={service} mirrored={mirrored} />
        {next && !wave && <BigStrip panel={next.panel} mirrored={mirrored} />}
      </div>
      {service.pausedAt && (
        <p className={css.warn} role="status">
          Hands rest since {clock(service.pausedAt)}, {span(now - Date.parse(service.pausedAt))}. Every
          product works on.
        </p>
      )}
      {asking ? (
        <div className={css.asking} role="alertdialog" aria-label="Pressed twice">
          <b>Pressed twice: {act?.title} too?</b>
          <Button type="primary" onClick={() => press(true)}>
            Yes
          </Button>
          <Button onClick={() => setAsking(false)}>No, once</Button>
        </div>
      ) : (
        <Button ref={target} type="primary" className={css.painted} disabled={!act} onClick={() => press()}>
          {act?.label ?? "Done"}
        </Button>
      )}
      {chair.refused && (
        <p role="alert" className={css.warn}>
          {chair.refused}
        </p>
      )}
      <Beside service={service} tell={tell} burns={due !== false} />
      {next && !wave && (
        <p className={css.how}>
          {next.how} {next.then && `Next: ${next.then}.`}
        </p>
      )}
    </section>
  );
}

function Line({ service }: { service: ApplyView }) {
  const units = useUnits();
  const { next } = service;
  const wave = ownWave(service);
  if (wave) {
    const places = new Set(wave.panels.map((p) => p.split("/")[0]));
    return (
      <p className={css.line}>
        {wave.panels.length} panels, {places.size} {places.size === 1 ? "zone" : "zones"}
        {service.waveEndsAt ? ` · about until ${clock(service.waveEndsAt)}` : ""}
      </p>
    );
  }
  return <p className={css.line}>{next ? said(next.lineParts, units) : ""}</p>;
}

/** The head with the panel lit, what lies over it pinned up. */
function LitHead({ service, mirrored }: { service: ApplyView; mirrored: boolean }) {
  const { visit, work, colours, hairKey, wear } = useVisit();
  const { plan, setMoment } = work;
  useEffect(() => setMoment("before"), [setMoment]);
  const wave = ownWave(service);
  const key = wave ? undefined : service.next?.panel.key;
  const keys = wave?.panels;
  const lit = useMemo(() => {
    const those = new Set(keys ?? (key ? [key] : []));
    return new Set(plan.panels.flatMap((p, i) => (those.has(p.key) ? [i] : [])));
  }, [plan.panels, keys, key]);
  const angle = angleOf((key ?? keys?.[0] ?? "nape").split("/")[0]);
  const [turnedTo, setTurnedTo] = useState<{ key: string | undefined; angle: number }>();
  return (
    <div className={mirrored ? `${css.lit} ${css.mirrored}` : css.lit}>
      <HeadView
        visit={visit}
        hairKey={hairKey}
        wear={wear}
        angle={turnedTo?.key === key && turnedTo ? turnedTo.angle : angle}
        onAngle={(to) => setTurnedTo({ key, angle: to })}
        closer={near}
        hair={work.shown}
        colours={colours}
        panelOf={work.panelOf}
        lit={lit}
        litKey={lit.size === 0 ? 0 : [...lit][0] + 1}
        staysLit
        pinned={key ? `open=${key}` : ""}
        onPick={() => {}}
        plain
      />
    </div>
  );
}

/** Small taps beside the large one. */
function Beside({
  service,
  tell,
  burns,
}: {
  service: ApplyView;
  tell(fact: ServiceFact): void;
  /** Whether burning is said here: on a tablet it never goes into a tab. */
  burns: boolean;
}) {
  const { next, lastFact } = service;
  const wave = ownWave(service);
  const panel = next?.panel.key;
  const painted = service.panels.filter((p) => p.state === "on").map((p) => p.panel);
  const last = painted.length > 0 ? painted[painted.length - 1] : undefined;
  return (
    <div className={css.beside}>
      <Button
        disabled={lastFact == null || service.facts < 2}
        title={service.lastWords ?? undefined}
        aria-label={service.lastWords ? `Undo: ${service.lastWords}` : "Undo"}
        onClick={() => lastFact != null && tell({ kind: "takenBack", number: lastFact })}
      >
        Undo last
      </Button>
      {!wave && panel && (
        <>
          <Button onClick={() => tell({ kind: "later", panel, now: false })}>Later</Button>
          <Button onClick={() => tell({ kind: "leftNatural", panel })}>Leave natural</Button>
        </>
      )}
      <Button
        disabled={!last}
        onClick={() => last && tell({ kind: "marked", panel: last, what: "cameThrough", note: null })}
      >
        It came through
      </Button>
      <Button onClick={() => tell({ kind: service.pausedAt ? "resumed" : "paused" })}>
        {service.pausedAt ? "Go on" : "Pause"}
      </Button>
      {burns && (
        <Button danger className={css.burns} onClick={() => tell({ kind: "comfort", how: "burning" })}>
          ▲ burning
        </Button>
      )}
    </div>
  );
}
