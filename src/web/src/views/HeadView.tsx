import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useEffect, useRef, useState } from "react";
import type { Wear } from "../api/client";
import { type Colours, fetchSeen, type Hair, strandAt } from "../api/seen";
import { angleStep, angleWords, turned } from "./angles";
import { type Closer, mostSteps, stepped, whole } from "./closer";
import { HeadCanvas } from "./HeadCanvas";
import css from "./HeadView.module.css";
import { Ring } from "./Ring";
import { SavePicture } from "./SavePicture";
import { useHand } from "./useHand";
import { type Wiped, WipeLine } from "./Wipe";
import wipeCss from "./Wipe.module.css";

const wornWords: Record<Wear, string> = {
  down: "worn down",
  tiedHigh: "tied high",
  tiedLow: "tied low",
  halfUp: "half up",
  otherPart: "parted on the other side",
  tucked: "tucked behind the ears",
  sweptBack: "swept back",
  wet: "wet",
};

interface Props {
  visit: string;
  /** Changes when her hair or part does: then everything is looked at anew. */
  hairKey: string;
  wear: Wear;
  angle: number;
  onAngle(angle: number): void;
  hair: Hair | undefined;
  colours: Colours | undefined;
  panelOf: Int16Array | undefined;
  /** Panel numbers to show for a moment. */
  lit: ReadonlySet<number>;
  litKey: number;
  /** Whether they stay lit: the panel at work. */
  staysLit?: boolean;
  /** Where along the hair the lit panels shine: shares of the length. */
  litAlong?: [number, number];
  /** Picks the panel under the finger; with Shift, Ctrl or Cmd besides those picked. */
  onPick(panel: number, besides: boolean): void;
  /** How close it is looked at; the whole head where nobody says. */
  closer?: Closer;
  onCloser?(closer: Closer): void;
  /** More tools beside the head. */
  tools?: React.ReactNode;
  /** What is clipped up, as the address says it. */
  pinned?: string;
  /** The moment to be saved drawn anew, and whether toned; where nobody says, what is shown is saved. */
  saved?: string;
  /** No ring and no buttons: the second of two heads side by side. */
  plain?: boolean;
  /** A word under the head. */
  caption?: string;
  /** The same head in another state, to be wiped across. */
  wiped?: Wiped;
}

const usualTilt = 9;
const tilts = [usualTilt, 75, -25] as const;
const tiltWords: Record<number, string> = { 75: ", seen from above", [-25]: ", seen from below" };

interface Look {
  visit: string;
  hairKey: string;
  wear: Wear;
  angle: number;
  tilt: number;
  closer: Closer;
  pinned: string;
}

const seenQuery = ({ visit, hairKey, wear, angle, tilt, closer, pinned }: Look) => ({
  queryKey: [
    "seen",
    visit,
    hairKey,
    wear,
    angle,
    tilt,
    closer.steps,
    closer.across,
    closer.down,
    pinned,
  ] as const,
  queryFn: ({ signal }: { signal: AbortSignal }) =>
    fetchSeen(visit, { wear, angle, tilt, closer, pinned }, signal),
  staleTime: Number.POSITIVE_INFINITY,
  gcTime: 10 * 60_000,
});

/** The head: turned by dragging or arrow keys, coloured by table, tapped to pick the panel under the finger. */
export function HeadView(props: Props) {
  const {
    visit,
    hairKey,
    wear,
    angle,
    onAngle,
    hair,
    colours,
    panelOf,
    lit,
    litKey,
    staysLit = false,
    litAlong,
    onPick,
    wiped,
    plain,
    caption,
    closer = whole,
    onCloser = () => {},
    pinned = "",
    tools,
    saved,
  } = props;
  const [tilt, setTilt] = useState<number>(usualTilt);
  const [wipeAt, setWipeAt] = useState(0.5);
  const canvas = useRef<HTMLCanvasElement>(null);
  const client = useQueryClient();
  const {
    data: seen,
    error,
    isFetching,
  } = useQuery({
    ...seenQuery({ visit, hairKey, wear, angle, tilt, closer, pinned }),
    placeholderData: (p) => p,
  });
  const [glow, setGlow] = useState(0);

  useEffect(() => {
    if (litKey === 0) {
      return;
    }
    // Shown for a moment only: hair colour is judged without anything laid over it. At work nothing is judged.
    const rests = staysLit ? 0.6 : 0;
    setGlow(0.75);
    const started = performance.now();
    const timer = setInterval(() => {
      const left = 1 - (performance.now() - started) / 1300;
      setGlow(Math.max(rests, left > 0 ? 0.75 * Math.min(1, left * 2) : 0));
      if (left <= 0) {
        clearInterval(timer);
      }
    }, 60);
    return () => clearInterval(timer);
  }, [litKey, staysLit]);

  useEffect(() => {
    if (!seen) {
      return;
    }
    const timer = setTimeout(() => {
      for (const next of [angle + angleStep, angle - angleStep]) {
        client.prefetchQuery(
          seenQuery({ visit, hairKey, wear, angle: turned(next, 0), tilt, closer, pinned }),
        );
      }
    }, 250);
    return () => clearTimeout(timer);
  }, [client, visit, hairKey, wear, angle, tilt, closer, pinned, seen]);

  const pick = (event: React.PointerEvent) => {
    const box = canvas.current?.getBoundingClientRect();
    if (!box || !seen || !panelOf) {
      return;
    }
    const x = Math.floor(((event.clientX - box.left) / box.width) * seen.width);
    const y = Math.floor(((event.clientY - box.top) / box.height) * seen.height);
    const strand = strandAt(seen, x, y);
    if (strand >= 0 && panelOf[strand] >= 0) {
      onPick(panelOf[strand], event.shiftKey || event.ctrlKey || event.metaKey);
    }
  };

  const hand = useHand({ angle, onAngle, closer, onCloser, onTap: pick });

  return (
    <div className={plain ? `${css.head} ${css.middle}` : css.head}>
      <div className={css.picture}>
        <HeadCanvas
          ref={canvas}
          seen={seen}
          hair={hair}
          colours={colours}
          panelOf={panelOf}
          lit={lit}
          glow={glow}
          along={litAlong}
          wiped={wiped}
          wipeAt={wipeAt}
          tabIndex={0}
          role="img"
          aria-label={
            `The head from the ${angleWords(angle)}${tiltWords[tilt] ?? ""}, ` +
            `${wornWords[wear]}. Arrow keys turn it, + and − come closer; tap hair to pick its panel.`
          }
          aria-busy={isFetching}
          {...hand}
        />
        {wiped && seen && <WipeLine at={wipeAt} onAt={setWipeAt} wiped={wiped} />}
        {caption && <span className={`${wipeCss.wipeWord} ${wipeCss.left}`}>{caption}</span>}
        <div className={css.tools}>
          <Button
            aria-pressed={tilt !== usualTilt}
            aria-label={tilt === 75 ? "From below" : tilt < 0 ? "From eye height" : "From above"}
            title={tilt === 75 ? "From below" : tilt < 0 ? "From eye height" : "From above"}
            onClick={() =>
              setTilt((t) => tilts[((tilts as readonly number[]).indexOf(t) + 1) % tilts.length])
            }
            icon={<span aria-hidden="true">{tilt === 75 ? "↧" : tilt < 0 ? "↔" : "↥"}</span>}
          />
          {!plain && (
            <>
              <Button
                aria-label="Closer"
                title="Closer"
                disabled={closer.steps === mostSteps}
                onClick={() => onCloser(stepped(closer, 1, 0.5, closer.steps === 0 ? 0.3 : 0.5))}
                icon={<span aria-hidden="true">+</span>}
              />
              <Button
                aria-label="Further away"
                title="Further away"
                disabled={closer.steps === 0}
                onClick={() => onCloser(stepped(closer, -1))}
                icon={<span aria-hidden="true">−</span>}
              />
              <SavePicture
                visit={visit}
                look={
                  saved !== undefined && closer.steps === 0 && !pinned
                    ? `wear=${wear}&angle=${angle}&tilt=${tilt}&${saved}`
                    : undefined
                }
                canvas={() => canvas.current}
                name={`head ${wornWords[wear]} ${angleWords(angle)}`}
              />
              {tools}
            </>
          )}
        </div>
      </div>
      {!seen && (
        <div className={css.headWait}>{error ? `${error.message}` : "The hair is falling into place…"}</div>
      )}
      {!plain && <Ring angle={angle} onAngle={onAngle} />}
    </div>
  );
}
