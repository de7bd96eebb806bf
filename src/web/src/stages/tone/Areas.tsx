import { Button, Dropdown } from "antd";
import type { PlanView } from "../../api/client";
import parts from "../../style/parts.module.css";
import { tokens } from "../../style/tokens";
import { PanelMap } from "../../views/PanelMap";
import { quantity, useUnits } from "../../views/units";
import { zoneWords } from "../../views/words";
import { AreaSettings } from "./AreaSettings";
import { KeepAsOurs, useForget } from "./Ours";
import css from "./Tone.module.css";
import type { ToneAreaView, ToneView, Toning } from "./useTone";

interface Props {
  visit: string;
  toning: Toning;
  tone: ToneView;
  plan: PlanView;
  chosen: ToneAreaView | undefined;
  onChosen(area: number): void;
  refused: string | undefined;
}

/** Which areas there are, what goes on them, and in which order. */
export function Areas({ visit, toning, tone, plan, chosen, onChosen, refused }: Props) {
  const units = useUnits();
  const on = (key: string) => tone.areas.filter((a) => a.panels.includes(key));
  return (
    <>
      <div className={parts.title}>
        <h2>Areas</h2>
        <span>
          {tone.areas.length > 0
            ? `${quantity(
                tone.areas.reduce((sum, a) => sum + a.grams, 0),
                "g",
                units,
                0,
              )} · ${Math.round(tone.minutes)} min`
            : "what goes where"}
        </span>
      </div>
      <PanelMap
        plan={plan}
        label="Areas on the crown map"
        className={css.map}
        fill={(p) => {
          const last = on(p.key).at(-1);
          return last?.forecast[0]?.toned ?? tokens.track;
        }}
        heavy={(p) => chosen !== undefined && chosen.area.zones != null && chosen.panels.includes(p.key)}
        words={(p) =>
          `${zoneWords(p.zone)}: ${
            on(p.key)
              .map((a) => a.area.name)
              .join(", ") || "not toned"
          }`
        }
        onPick={(p) => {
          const last = on(p.key).at(-1);
          if (last) {
            onChosen(last.area.id);
          }
        }}
      />
      {tone.areas.length === 0 && <Begin tone={tone} toning={toning} />}
      <ol className={css.areas} aria-label="Areas in the order they are put on">
        {tone.areas.map((a) => (
          <li key={a.area.id}>
            <button
              type="button"
              className={css.area}
              aria-pressed={a === chosen}
              onClick={() => onChosen(a.area.id)}
            >
              <b>
                {a.area.name} · {quantity(a.grams, "g", units, 0)}
              </b>
              <span>{a.shades}</span>
              <span>
                1 : {a.area.bowl.developerParts} with {a.area.bowl.volume} vol, {a.area.minutes} min
                {a.area.dryness && a.area.dryness !== "damp" ? `, ${a.area.dryness}` : ""}
              </span>
            </button>
            {a === chosen && <AreaSettings toning={toning} tone={tone} area={a} />}
          </li>
        ))}
      </ol>
      {tone.areas.length > 0 && (
        <Dropdown
          trigger={["click"]}
          menu={{
            items: tone.more.map((a) => ({ key: a.name, label: a.name })),
            onClick: ({ key }) => {
              const area = tone.more.find((a) => a.name === key);
              if (area) {
                onChosen(area.id);
                toning.plan((now) => ({ ...now, areas: [...now.areas, area] }));
              }
            },
          }}
        >
          <Button className={parts.wide} disabled={tone.more.length === 0}>
            Add an area…
          </Button>
        </Dropdown>
      )}
      {tone.areas.length > 0 && <KeepAsOurs visit={visit} />}
      {refused && <p role="alert">{refused}</p>}
    </>
  );
}

/** Nothing is chosen: ways to begin, each from what is on the shelf. */
function Begin({ tone, toning }: { tone: ToneView; toning: Toning }) {
  const forget = useForget();
  if (tone.starts.length === 0 && tone.ours.length === 0) {
    return <p className={parts.soft}>No shade is on the shelf. Put one there to plan a toner with it.</p>;
  }
  return (
    <fieldset className={css.begin} aria-label="Begin with">
      <legend>Begin with</legend>
      {tone.ours.map((o) => (
        <span key={o.id} className={css.ours}>
          <Button type="primary" disabled={toning.busy} onClick={() => toning.plan(() => o.plan)}>
            {o.name}
          </Button>
          <Button type="text" aria-label={`Forget ${o.name}`} onClick={() => forget(o.id)}>
            ✕
          </Button>
        </span>
      ))}
      {tone.starts.map((s) => (
        <Button key={s.words} disabled={toning.busy} onClick={() => toning.plan(() => s.plan)}>
          {s.words}
        </Button>
      ))}
    </fieldset>
  );
}
