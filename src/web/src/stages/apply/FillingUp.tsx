import { Button, Dropdown } from "antd";
import { useState } from "react";
import parts from "../../style/parts.module.css";
import { tokens } from "../../style/tokens";
import { PanelMap } from "../../views/PanelMap";
import { clock, minutes } from "../../views/times";
import { quantity, useUnits } from "../../views/units";
import { useVisit } from "../../visit/useVisit";
import css from "./Apply.module.css";
import type { ApplyView, ServiceFact } from "./useApply";

interface Props {
  service: ApplyView;
  now: number;
  tell(fact: ServiceFact): Promise<boolean>;
  mirrored: boolean;
  onMirrored(on: boolean): void;
}

const fills: Record<string, string> = {
  waits: tokens.white,
  on: tokens.accent,
  inWave: tokens.accentMid,
  rinsed: tokens.accentSoft,
  left: tokens.track,
};

/** The crown map filling up, the bowls, the pace; a panel touched there can be said of. */
export function FillingUp({ service, now, tell, mirrored, onMirrored }: Props) {
  const { work } = useVisit();
  const units = useUnits();
  const { plan } = work;
  const [picked, setPicked] = useState<string>();
  const states = new Map(service.panels.map((p) => [p.panel as string, p]));
  const waits = service.waiting.length;
  const stand = picked ? states.get(picked) : undefined;
  const canAdd = picked && !stand && service.seatedAt && !service.isDone;
  const words = plan.panels.find((p) => p.key === picked)?.words;
  const say = (fact: ServiceFact) => {
    setPicked(undefined);
    void tell(fact);
  };
  const ahead = Math.round(service.aheadMinutes);
  return (
    <>
      <div className={parts.title}>
        <h2>Head</h2>
        <span>
          {waits > 0
            ? `${waits} to go · ${Math.round((waits * service.secondsEach) / 60)} min`
            : service.panels.length > 0
              ? "all painted"
              : "none in this step"}
        </span>
      </div>
      <PanelMap
        plan={plan}
        label="Crown map filling up"
        className={mirrored ? `${css.map} ${css.mirrored}` : css.map}
        fill={(p) => fills[states.get(p.key)?.state ?? ""] ?? "none"}
        heavy={(p) => p.key === service.next?.panel.key || p.key === picked}
        words={(p) => `${p.words}: ${states.get(p.key)?.state ?? "not painted"}`}
        onPick={(p) => setPicked(p.key)}
      />
      {canAdd ? (
        <div className={css.picked} role="group" aria-label={words} data-own-keys>
          <b>{words}</b>
          <p className={parts.soft}>The plan leaves it natural.</p>
          <div className={parts.row}>
            <Button onClick={() => say({ kind: "added", panel: picked })}>
              Paint it too, as the one beside it
            </Button>
            <Button type="text" onClick={() => setPicked(undefined)}>
              Close
            </Button>
          </div>
        </div>
      ) : stand && picked ? (
        <div className={css.picked} role="group" aria-label={words} data-own-keys>
          <b>{words}</b>
          <div className={parts.row}>
            {stand.state === "waits" && (
              <>
                <Button onClick={() => say({ kind: "paintedUpTo", panel: picked })}>
                  Painted up to here
                </Button>
                <Button onClick={() => say({ kind: "later", panel: picked, now: true })}>This one now</Button>
                <Button onClick={() => say({ kind: "painted", panel: picked })}>Painted</Button>
              </>
            )}
            {stand.state === "on" && (
              <>
                <Button onClick={() => say({ kind: "recoated", panel: picked })}>Painted again</Button>
                <Button
                  onClick={() => say({ kind: "marked", panel: picked, what: "turnedOver", note: null })}
                >
                  It turned over
                </Button>
                <Button onClick={() => say({ kind: "marked", panel: picked, what: "spot", note: null })}>
                  A spot here
                </Button>
                <Cover service={service} panel={picked} say={say} />
              </>
            )}
            <Button type="text" onClick={() => setPicked(undefined)}>
              Close
            </Button>
          </div>
          {stand.fromAt && stand.toAt && stand.state !== "rinsed" && (
            <p className={parts.soft}>
              {stand.isSpread && "Its moment was spread between two taps. "}
              May be rinsed {clock(stand.fromAt)} to {clock(stand.toAt)}, level {stand.reaches?.toFixed(1)} of{" "}
              {stand.target?.toFixed(1)}.
            </p>
          )}
        </div>
      ) : (
        <dl className={css.facts}>
          {service.panels.length > 0 && (
            <div>
              <dt>Hand</dt>
              <dd>
                {Math.round(service.secondsEach)} s a panel
                {Math.abs(service.secondsEach - service.plannedSecondsEach) < 3 && service.help !== "paints"
                  ? " · as planned"
                  : ""}
              </dd>
            </div>
          )}
          {service.bowls
            .filter((b) => b.neededAt || (b.livesUntil && Date.parse(b.livesUntil) > now && b.leftGrams > 0))
            .slice(0, 3)
            .map((b) => (
              <div key={b.number}>
                <dt>Bowl {b.number}</dt>
                <dd>
                  {b.mixedAt && b.leftGrams > 0 && (
                    <Button
                      type="text"
                      aria-label={`Bowl ${b.number} is gone`}
                      onClick={() => say({ kind: "bowlGone", formula: b.formula, ordinal: b.ordinal })}
                    >
                      Gone
                    </Button>
                  )}
                  {b.livesUntil
                    ? `${
                        Date.parse(b.livesUntil) <= now
                          ? "past its time"
                          : `${minutes(now, Date.parse(b.livesUntil))} min`
                      } · ${quantity(b.leftGrams, "g", units, 0)} to paint`
                    : b.neededAt
                      ? `mix ${quantity(b.grams, "g", units, 0)} by ${clock(b.neededAt)}`
                      : ""}
                </dd>
              </div>
            ))}
          {service.seatedAt && (
            <div>
              <dt>{ahead >= 0 ? "Ahead" : "Behind"}</dt>
              <dd>{Math.abs(ahead)} min</dd>
            </div>
          )}
        </dl>
      )}
      <div className={parts.row}>
        <Button aria-pressed={mirrored} onClick={() => onMirrored(!mirrored)}>
          As in the mirror
        </Button>
        {service.seatedAt && (
          <Dropdown
            trigger={["click"]}
            menu={{
              items: helps.map(([does, label]) => ({ key: does, label })),
              onClick: ({ key }) =>
                void tell(
                  key === "none"
                    ? { kind: "hands", pairs: 1, does: "paints" }
                    : { kind: "hands", pairs: 2, does: key as Help },
                ),
            }}
          >
            <Button aria-pressed={service.help != null}>
              {service.help ? `Second pair of hands ${service.help}` : "Second pair of hands"}
            </Button>
          </Dropdown>
        )}
      </div>
    </>
  );
}

type Help = NonNullable<ApplyView["help"]>;

const helps: [Help | "none", string][] = [
  ["paints", "paints a side"],
  ["mixes", "mixes"],
  ["rinses", "rinses while you paint"],
  ["none", "none any more"],
];

type Covering = ApplyView["panels"][number]["covering"];

const covers: [Covering, string][] = [
  ["film", "Film over"],
  ["mesh", "Mesh over"],
  ["foil", "Foil round"],
  ["open", "Uncover"],
];

/** What is over a panel, or over all of its zone that works, changed while it works. */
function Cover({ service, panel, say }: { service: ApplyView; panel: string; say(fact: ServiceFact): void }) {
  const zone = panel.split("/")[0];
  const now = service.panels.find((p) => p.panel === panel)?.covering;
  const those = service.panels
    .filter((p) => p.state === "on" && p.panel.split("/")[0] === zone)
    .map((p) => p.panel);
  const items = covers
    .filter(([covering]) => covering !== now)
    .flatMap(([covering, words]) => [
      { key: `${covering} one`, label: `${words} this one` },
      { key: `${covering} zone`, label: `${words} all ${those.length} on here` },
    ]);
  return (
    <Dropdown
      trigger={["click"]}
      menu={{
        items,
        onClick: ({ key }) => {
          const [covering, how] = key.split(" ");
          say({
            kind: "covered",
            panels: how === "zone" ? those : [panel],
            with: covering as Covering,
          });
        },
      }}
    >
      <Button>Cover… ▾</Button>
    </Dropdown>
  );
}
