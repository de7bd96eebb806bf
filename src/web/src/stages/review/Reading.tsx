import { Button, Select } from "antd";
import { useState } from "react";
import type { PlanView } from "../../api/client";
import parts from "../../style/parts.module.css";
import { tokens } from "../../style/tokens";
import { PanelMap } from "../../views/PanelMap";
import { FromPhotograph } from "./FromPhotograph";
import { type Blemish, Marks, MarksOnMap } from "./Marks";
import { ReadingsFile } from "./ReadingsFile";
import css from "./Review.module.css";
import type { Depth, ReviewFact, ReviewView, ReviewZone } from "./useReview";

interface Props {
  visit: string;
  review: ReviewView;
  plan: PlanView;
  zone: ReviewZone | undefined;
  onZone(zone: string): void;
  say(fact: ReviewFact): void;
  refused: string | undefined;
}

type State = NonNullable<ReviewView["state"]>;

const wet: [State["wetness"], string][] = [
  ["wet", "wet"],
  ["damp", "towel-damp"],
  ["dry", "dry"],
];
const lights: [State["light"], string][] = [
  ["daylight", "daylight"],
  ["studio", "studio light"],
  ["mixed", "mixed"],
];
const depths: [Depth, string][] = [
  ["root", "root"],
  ["middle", "middle"],
  ["ends", "ends"],
];
const evens: ["even" | "patchy" | "spots", string][] = [
  ["even", "even"],
  ["patchy", "patchy"],
  ["spots", "spots"],
];

/** Short dark, over pale, as planned grey; what nobody read lighter still. */
const fillOf = (zone: ReviewZone | undefined) => {
  if (zone?.difference == null) {
    return tokens.track;
  }
  if (zone.isAsPlanned) {
    return tokens.edge;
  }
  return zone.difference < 0 ? tokens.deep : tokens.accentSoft;
};

const signed = (difference: number) => `${difference > 0 ? "+" : "−"}${Math.abs(difference).toFixed(1)}`;

function Tap({ on, words, onTap }: { on: boolean; words: string; onTap(): void }) {
  return (
    <button type="button" role="radio" aria-checked={on} onClick={onTap}>
      {words}
    </button>
  );
}

/** Where it came out otherwise, and the readings: hair first, then zone by zone. */
export function Reading({ visit, review, plan, zone, onZone, say, refused }: Props) {
  const [depth, setDepth] = useState<Depth>("ends");
  const [asking, setAsking] = useState(review.state == null);
  const [photograph, setPhotograph] = useState(false);
  const [marking, setMarking] = useState<Blemish>();
  const [undertone, setUndertone] = useState<string>();
  const [even, setEven] = useState<(typeof evens)[number][0]>("even");
  const state = review.state ?? { wetness: "wet", washed: false, light: "studio" };
  const set = (change: Partial<State>) => say({ kind: "state", ...state, ...change });
  const of = (name: string) => review.zones.find((z) => z.zone === name);
  const here = zone?.depths.find((d) => d.depth === depth);
  // An undertone is of one place: the next is read without it.
  const read = (level: number, evenness: typeof even, seen: string | undefined) => {
    if (zone) {
      say({ kind: "read", zone: zone.zone, depth, level, evenness, undertone: seen });
      setUndertone(undefined);
    }
  };
  return (
    <>
      <div className={parts.title}>
        <h2>Where</h2>
        <span>came out − planned, levels</span>
      </div>
      <PanelMap
        plan={plan}
        label="What came out on the crown map"
        className={css.map}
        fill={(p) => fillOf(of(p.zone))}
        heavy={(p) => p.zone === zone?.zone}
        words={(p) => {
          const difference = of(p.zone)?.difference;
          return `${of(p.zone)?.words ?? p.zone}: ${difference == null ? "not read" : difference.toFixed(1)}`;
        }}
        onPick={(p) => {
          onZone(p.zone);
          if (marking) {
            say({ kind: "place", panel: p.key, what: marking, is: true });
            setMarking(undefined);
          }
        }}
      >
        {review.zones
          .filter((z) => z.difference != null)
          .map((z) => {
            const those = plan.panels.filter((p) => p.zone === z.zone);
            const mean = (i: 0 | 1) =>
              those.reduce((sum, p) => sum - p.grip[i], 0) / Math.max(1, those.length);
            return (
              <text key={z.zone} className={css.onMap} x={mean(0)} y={mean(1)} textAnchor="middle">
                {signed(z.difference ?? 0)}
              </text>
            );
          })}
        <MarksOnMap marks={review.marks} plan={plan} />
      </PanelMap>
      <Marks marks={review.marks} marking={marking} onMarking={setMarking} say={say} />
      <Select
        aria-label="Zone"
        className={css.zone}
        value={zone?.zone}
        onChange={onZone}
        options={review.zones.map((z) => ({
          value: z.zone,
          label: z.difference == null ? z.words : `${z.words} ${signed(z.difference)}`,
        }))}
      />
      {review.state && !asking ? (
        <div className={css.asked}>
          <span>
            {wet.find(([w]) => w === state.wetness)?.[1]} · {state.washed ? "washed" : "rinsed only"} ·{" "}
            {lights.find(([l]) => l === state.light)?.[1]}
          </span>
          <Button type="text" onClick={() => setAsking(true)}>
            Change
          </Button>
        </div>
      ) : (
        <fieldset className={css.ask} aria-label="The hair now">
          {wet.map(([wetness, words]) => (
            <Tap
              key={wetness}
              on={review.state?.wetness === wetness}
              words={words}
              onTap={() => set({ wetness })}
            />
          ))}
          <Tap
            on={review.state?.washed === true}
            words={state.washed ? "washed" : "rinsed only"}
            onTap={() => set({ washed: !state.washed })}
          />
          {lights.map(([light, words]) => (
            <Tap key={light} on={review.state?.light === light} words={words} onTap={() => set({ light })} />
          ))}
          {review.state && (
            <Button type="text" onClick={() => setAsking(false)}>
              Go on
            </Button>
          )}
        </fieldset>
      )}
      {!review.state ? (
        <p className={parts.soft}>Say first how wet it is, and in which light: wet hair reads darker.</p>
      ) : (
        zone && (
          <>
            <div className={parts.title}>
              <h3>{zone.words}</h3>
              <span>planned {here?.planned.toFixed(1)}</span>
            </div>
            <div className={css.ask} role="radiogroup" aria-label="Depth">
              {depths.map(([d, words]) => (
                <Tap
                  key={d}
                  on={depth === d}
                  words={`${words}${zone.depths.find((x) => x.depth === d)?.cameOut != null ? " ✓" : ""}`}
                  onTap={() => setDepth(d)}
                />
              ))}
            </div>
            <div className={css.ask} role="radiogroup" aria-label="How even">
              {evens.map(([e, words]) => (
                <Tap key={e} on={even === e} words={words} onTap={() => setEven(e)} />
              ))}
            </div>
            <Select
              aria-label="Undertone"
              className={css.zone}
              value={here?.undertone ?? undertone ?? ""}
              onChange={(chosen) => {
                const seen = chosen || undefined;
                // What an eye read here is said again with it; else it goes with what is read next.
                if (here?.seen != null && here.spread <= review.eyeSpread) {
                  read(here.seen, here.evenness ?? even, seen);
                } else {
                  setUndertone(seen);
                }
              }}
              options={[
                { value: "", label: "undertone: as its level" },
                ...review.undertones.map((u) => ({ value: u, label: `undertone: ${u}` })),
              ]}
            />
            <div className={css.levels} role="radiogroup" aria-label="Level it looks">
              {review.colours.map((c) => (
                <button
                  key={c.level}
                  type="button"
                  role="radio"
                  aria-checked={here?.seen === c.level}
                  aria-label={`Level ${c.level}`}
                  style={{ background: c.hex }}
                  onClick={() => read(c.level, even, undertone)}
                >
                  {Number.isInteger(c.level) ? c.level : "½"}
                </button>
              ))}
            </div>
            <p className={parts.soft}>
              {here?.cameOut != null
                ? `Read ${[here.seen?.toFixed(1), here.undertone].filter(Boolean).join(", ")}, ` +
                  `counted ${here.cameOut.toFixed(1)}.`
                : "Not read here yet: tap the colour it looks like."}{" "}
              {here?.cameOut != null &&
                here.spread > review.eyeSpread &&
                `Give or take ${here.spread.toFixed(1)}. `}
              {review.readsDarker > 0 && `So wet it reads ${review.readsDarker.toFixed(1)} darker: counted.`}
            </p>
            <div className={parts.row}>
              <Button onClick={() => setPhotograph(true)}>From a photograph…</Button>
              <ReadingsFile visit={visit} review={review} />
            </div>
            {photograph && (
              <FromPhotograph
                visit={visit}
                where={`${zone.words.toLowerCase()}, ${depth}`}
                onKeep={(level, spread, name) => {
                  say({
                    kind: "read",
                    zone: zone.zone,
                    depth,
                    level,
                    evenness: even,
                    undertone,
                    spread,
                    photograph: name,
                  });
                  setUndertone(undefined);
                  setPhotograph(false);
                }}
                onClose={() => setPhotograph(false)}
              />
            )}
          </>
        )
      )}
      {refused && <p role="alert">{refused}</p>}
      {review.lastFact != null && (
        <Button type="text" onClick={() => say({ kind: "unsaid", number: review.lastFact ?? 0 })}>
          Undo last
        </Button>
      )}
    </>
  );
}
