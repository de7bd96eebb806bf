import { Button } from "antd";
import type { Schemas } from "../../api/client";
import parts from "../../style/parts.module.css";
import { Told } from "../../views/Told";
import { said, useUnits } from "../../views/units";
import css from "./Tone.module.css";
import type { ToneAreaView, ToneView, Toning } from "./useTone";

interface Props {
  tone: ToneView;
  area: ToneAreaView | undefined;
  offers: Schemas["ToneOffer"][];
  toning: Toning;
  /** The minute that is looked at; nothing for when each area is done. */
  minute: number | undefined;
}

/** What it comes to: the verdict, raw, toned and wanted side by side, what to mind, what the shelf has nearer. */
export function Minding({ tone, area, offers, toning, minute }: Props) {
  const units = useUnits();
  return (
    <div>
      <h2 className={css.verdict}>{said(tone.verdictParts, units)}</h2>
      {tone.besides.map((b) => (
        <p key={b}>{b}</p>
      ))}
      {!tone.isRead && tone.areas.length > 0 && (
        <p className={parts.soft}>Nothing was read at the review: this tones the forecast.</p>
      )}
      {tone.areas.map(
        (a) => a.forecast[0] && <Patches key={a.area.id} area={a} wide={a === area} minute={minute} />,
      )}
      <div aria-live="polite">
        {tone.findings.map((f) => (
          <Told key={`${f.kind} ${f.area}`} finding={f}>
            {f.cure && f.mended && (
              <Button
                type="primary"
                disabled={toning.busy}
                onClick={() => toning.plan((now) => f.mended ?? now)}
              >
                {f.cure}
              </Button>
            )}
          </Told>
        ))}
      </div>
      {area && offers.length > 0 && (
        <section aria-label="Nearest from your shelf">
          <h3>Nearest from your shelf: {area.area.name.toLowerCase()}</h3>
          <ul className={css.offers}>
            {offers.map((o) => {
              const words = said(o.wordsParts, units);
              return (
                <li key={words}>
                  <span style={{ background: o.hex }} aria-hidden="true" />
                  <span>{words}</span>
                  <Button
                    aria-label={`Use ${words}`}
                    onClick={() => toning.change(area.area.id, { bowl: o.bowl, minutes: o.minutes })}
                  >
                    Use
                  </Button>
                </li>
              );
            })}
          </ul>
        </section>
      )}
    </div>
  );
}

/** Raw, toned so far, and wanted. */
function Patches({ area, wide, minute }: { area: ToneAreaView; wide: boolean; minute: number | undefined }) {
  const f = area.forecast[0];
  const then = minute !== undefined && minute < area.area.minutes ? f.byMinute[minute] : undefined;
  const colours = { raw: f.raw, toned: then?.hex ?? f.toned, wanted: f.wanted };
  return (
    <section aria-label={area.area.name}>
      <div className={parts.title}>
        <h3>{area.area.name}</h3>
        <span>
          level {f.rawLevel.toFixed(1)} → {(then?.level ?? f.level).toFixed(1)}
        </span>
      </div>
      <div className={css.patches} data-wide={wide}>
        {(["raw", "toned", "wanted"] as const).map((which) => (
          <span key={which} style={{ background: colours[which] }}>
            {which}
          </span>
        ))}
      </div>
      <p className={css.left}>
        {f.neutralised >= 0
          ? `${Math.round(f.neutralised * 100)} % of the warmth taken, ${f.remaining} left.`
          : `${Math.round(-f.neutralised * 100)} % warmth added, ${f.remaining}.`}{" "}
        {then
          ? `At minute ${minute} ${then.deltaE.toFixed(1)} from wanted, then`
          : `From wanted: ${area.seen}`}{" "}
        ({f.deltaE.toFixed(1)}).{" "}
        {wide && `Level ${f.levelFrom.toFixed(1)} to ${f.levelTo.toFixed(1)} by an eye's spread.`}
      </p>
    </section>
  );
}
