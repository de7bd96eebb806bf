import { Button, Modal } from "antd";
import { type MouseEvent, useState } from "react";
import parts from "../../style/parts.module.css";
import { tokens } from "../../style/tokens";
import { Whether } from "../../views/Choice";
import { ChooseFile } from "../../views/ChooseFile";
import { DeletePhotograph } from "../../views/DeletePhotograph";
import { type Spot, useLevel, usePhotographs } from "../../visit/usePhotographs";
import css from "./Review.module.css";

type Tapping = "hair" | "neutral";
type Reference = "none" | "neutral" | "greyCard";

interface Props {
  visit: string;
  /** Where it is read, in words. */
  where: string;
  onKeep(level: number, spread: number, photograph: string): void;
  onClose(): void;
}

const references: [Reference, string][] = [
  ["greyCard", "a grey card"],
  ["neutral", "something neutral"],
  ["none", "nothing"],
];

/** A level read off a photograph: the card tapped, the hair tapped, the level with its range. */
export function FromPhotograph({ visit, where, onKeep, onClose }: Props) {
  const { photographs, add, adding, refused, agree, remove } = usePhotographs(visit);
  const [name, setName] = useState<string>();
  const [reference, setReference] = useState<Reference>("greyCard");
  const [spots, setSpots] = useState<Partial<Record<Tapping, Spot>>>({});
  const [tapping, setTapping] = useState<Tapping>("neutral");
  const shown = photographs.find((p) => p.name === name) ?? photographs.at(-1);
  const needs = reference !== "none";
  const asked =
    spots.hair && (!needs || spots.neutral)
      ? { hair: spots.hair, reference, neutral: needs ? spots.neutral : null }
      : undefined;
  const { level, refused: unread } = useLevel(visit, shown?.name, asked);
  const choose = (of: string) => {
    setName(of);
    setSpots({});
    setTapping(needs ? "neutral" : "hair");
  };
  const tap = (e: MouseEvent<HTMLButtonElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    const at = { x: (e.clientX - box.left) / box.width, y: (e.clientY - box.top) / box.height, radius: 0.02 };
    setSpots({ ...spots, [tapping]: at });
    if (tapping === "neutral") {
      setTapping("hair");
    }
  };
  return (
    <Modal
      open
      title={`From a photograph: ${where}`}
      onCancel={onClose}
      footer={null}
      width={860}
      centered
      styles={{ container: { background: tokens.surround }, header: { background: "transparent" } }}
    >
      <div className={css.photo}>
        <div>
          {shown ? (
            <button
              type="button"
              className={css.picture}
              onClick={tap}
              aria-label={`Tap ${tapping === "hair" ? "the hair" : "what is neutral"}`}
            >
              <img src={`/api/visits/${visit}/photographs/${shown.name}`} alt="The hair, photographed" />
              {(["neutral", "hair"] as const).map((which) => {
                const spot = spots[which];
                return (
                  spot &&
                  (which === "hair" || needs) && (
                    <span
                      key={which}
                      className={css.spot}
                      style={{ left: `${spot.x * 100}%`, top: `${spot.y * 100}%` }}
                    >
                      {which === "hair" ? "hair" : "grey"}
                    </span>
                  )
                );
              })}
            </button>
          ) : (
            <p className={parts.calm}>No photograph yet. Hold a grey card beside the hair, in even light.</p>
          )}
          <div className={css.films}>
            {photographs.map((p) => (
              <button
                key={p.name}
                type="button"
                aria-pressed={p === shown}
                aria-label={`Photograph of ${new Date(p.at).toLocaleTimeString()}`}
                onClick={() => choose(p.name)}
              >
                <img src={`/api/visits/${visit}/photographs/${p.name}`} alt="" />
              </button>
            ))}
          </div>
        </div>
        <div className={css.photoSide}>
          <ChooseFile
            loading={adding}
            name="Photograph file"
            accept="image/jpeg,image/png"
            onChosen={async (chosen) => {
              const kept = await add(chosen).catch(() => undefined);
              if (kept) {
                choose(kept.name);
              }
            }}
          >
            Add a photograph…
          </ChooseFile>
          {refused && <p role="alert">{refused}</p>}
          {shown && (
            <>
              <div className={css.ask} role="radiogroup" aria-label="Beside the hair lies">
                <span className={parts.soft}>Beside the hair lies</span>
                {references.map(([of, words]) => (
                  <button
                    key={of}
                    type="button"
                    role="radio"
                    aria-checked={reference === of}
                    onClick={() => {
                      setReference(of);
                      setTapping(of === "none" || spots.neutral ? "hair" : "neutral");
                    }}
                  >
                    {words}
                  </button>
                ))}
              </div>
              <p aria-live="polite">
                {tapping === "neutral" && needs
                  ? reference === "greyCard"
                    ? "Tap the grey card."
                    : "Tap what is neutral: a towel, the wall."
                  : "Tap the hair."}
                {needs && spots.neutral && (
                  <Button type="text" onClick={() => setTapping("neutral")}>
                    Tap the grey anew
                  </Button>
                )}
              </p>
              {unread && <p role="alert">{unread}</p>}
              {level && (
                <section aria-label="Read off it" className={css.readOff}>
                  <span style={{ background: level.hex }} aria-hidden="true" />
                  <b>{level.level.toFixed(1)}</b>
                  <p>{level.words}</p>
                  <Button
                    type="primary"
                    onClick={() => onKeep(Math.round(level.level * 10) / 10, level.spread, shown.name)}
                  >
                    Keep {level.level.toFixed(1)} for {where}
                  </Button>
                </section>
              )}
              <Whether
                name="May be shown to others"
                value={shown.mayBeShown}
                onChange={(may) => agree(shown.name, may)}
              />
              <p className={parts.soft}>
                {shown.mayBeShown ? "The client agreed." : "For the record only."} Place, time and camera are
                not kept in it.
              </p>
              <DeletePhotograph
                onDelete={async () => {
                  await remove(shown.name);
                  setName(undefined);
                  setSpots({});
                }}
              />
            </>
          )}
        </div>
      </div>
    </Modal>
  );
}
