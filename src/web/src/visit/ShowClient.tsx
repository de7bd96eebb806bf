import { useQuery } from "@tanstack/react-query";
import { Button, Spin } from "antd";
import { useEffect, useRef, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { useNavigate, useParams } from "react-router";
import type { Wear } from "../api/client";
import { api } from "../api/client";
import { given } from "../api/given";
import { angleWords } from "../views/angles";
import { WearButtons } from "../views/WearButtons";
import css from "./ShowClient.module.css";

/** What she is shown, one after another: words, and the picture's parameters. */
const pictures: [string, string][] = [
  ["As it is", "moment=before"],
  ["As wanted", "wanted=true&toned=true"],
  ["Rinsed, before toner", "moment=rinsed"],
  ["Toned", "moment=rinsed&toned=true"],
  ["In 6 weeks", "moment=6w&toned=true"],
  ["In 12 weeks", "moment=12w&toned=true"],
];

const swipePixels = 60;
const views = [30, 90, 180, 270, 330, 0];

/**
 * The head alone, to be turned to the client: as it is, as wanted, as planned and later, worn as she wears it. No
 * notes, no health answers, no prices; only the words meant for her.
 */
export function ShowClient() {
  const { visit = "" } = useParams();
  const leave = useNavigate();
  const [at, setAt] = useState(0);
  const [angle, setAngle] = useState(30);
  const [wear, setWear] = useState<Wear>("down");
  const begun = useRef<number>(undefined);
  const params = { path: { visit } };
  const { data: plan } = useQuery({
    queryKey: ["shown plan", visit],
    queryFn: () => given(api.GET("/api/visits/{visit}/plan", { params })),
  });
  const { data: consult } = useQuery({
    queryKey: ["shown words", visit],
    queryFn: () => given(api.GET("/api/visits/{visit}/consult", { params })),
  });
  const [words, look] = pictures[at];
  const address = `/api/visits/${visit}/plan/picture?twice=true&wear=${wear}&angle=${angle}&${look}`;
  const [drawn, setDrawn] = useState("");
  const [failed, setFailed] = useState("");
  const go = (by: number) => setAt((now) => (now + by + pictures.length) % pictures.length);
  const lookFrom = (by: number) =>
    setAngle((now) => views[(views.indexOf(now) + by + views.length) % views.length]);
  useHotkeys("left", () => go(-1));
  useHotkeys("right", () => go(1));
  useHotkeys("up", () => lookFrom(1));
  useHotkeys("down", () => lookFrom(-1));
  useHotkeys("esc", () => leave(-1));
  useEffect(() => {
    document.title = "Wendro";
  }, []);
  const said =
    consult && (consult.consultation.words ?? (consult.verdict.today ? consult.verdict.wordsForHer : null));
  return (
    <main
      className={css.show}
      onPointerDown={(e) => {
        begun.current = e.clientX;
      }}
      onPointerUp={(e) => {
        const swiped = e.clientX - (begun.current ?? e.clientX);
        begun.current = undefined;
        if (Math.abs(swiped) > swipePixels) {
          go(swiped < 0 ? 1 : -1);
        }
      }}
    >
      <Button
        className={css.close}
        size="large"
        aria-label="Close"
        onClick={() => leave(-1)}
        icon={<span aria-hidden="true">✕</span>}
      />
      <Button
        className={css.arrow}
        type="text"
        aria-label="The picture before"
        onClick={() => go(-1)}
        icon={<span aria-hidden="true">‹</span>}
      />
      <figure className={css.figure}>
        {failed === address ? (
          <p role="alert">The picture could not be drawn. Try again in a moment.</p>
        ) : (
          <img
            src={address}
            draggable={false}
            aria-busy={drawn !== address}
            alt={`The head from the ${angleWords(angle)}, ${words.toLowerCase()}`}
            onLoad={() => setDrawn(address)}
            onError={() => setFailed(address)}
          />
        )}
        {drawn === "" && !failed && <Spin size="large" description="The hair is falling into place…" />}
        <figcaption aria-live="polite">{words}</figcaption>
      </figure>
      <Button
        className={css.arrow}
        type="text"
        aria-label="The next picture"
        onClick={() => go(1)}
        icon={<span aria-hidden="true">›</span>}
      />
      <div className={css.foot}>
        <div className={css.choices} role="group" aria-label="Worn">
          <WearButtons wears={plan?.plan.wears ?? []} wear={wear} onWear={setWear} large />
          <Button size="large" onClick={() => lookFrom(1)}>
            Turn
          </Button>
        </div>
        {said && <p className={css.words}>{said}</p>}
      </div>
    </main>
  );
}
