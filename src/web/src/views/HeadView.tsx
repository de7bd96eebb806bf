import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { Wear } from "../api/client";
import { type Colours, colourHead, fetchSeen, type Hair, strandAt } from "../api/seen";
import { tokens } from "../style/tokens";
import css from "./HeadView.module.css";
import { type Wiped, WipeLine } from "./Wipe";
import wipeCss from "./Wipe.module.css";

export const angleStep = 30;
const names: Record<number, string> = {
  0: "front",
  30: "three-quarter left",
  60: "towards left side",
  90: "left side",
  120: "behind left",
  150: "three-quarter back, left",
  180: "back",
  210: "three-quarter back, right",
  240: "behind right",
  270: "right side",
  300: "towards right side",
  330: "three-quarter right",
};

const wornWords: Record<Wear, string> = {
  down: "worn down",
  tiedHigh: "tied high",
  tiedLow: "tied low",
  halfUp: "half up",
  otherPart: "parted on the other side",
  tucked: "tucked behind the ears",
  sweptBack: "swept back",
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
  /** Where along the hair the lit panels shine: shares of the length. */
  litAlong?: [number, number];
  /** Picks the panel under the finger; with Shift, Ctrl or Cmd besides those picked. */
  onPick(panel: number, besides: boolean): void;
  /** No ring and no buttons: the second of two heads side by side. */
  plain?: boolean;
  /** A word under the head. */
  caption?: string;
  /** The same head in another state, to be wiped across. */
  wiped?: Wiped;
}

const usualTilt = 9;
const fromAbove = 75;

const seenQuery = (visit: string, hairKey: string, wear: Wear, angle: number, tilt: number) => ({
  queryKey: ["seen", visit, hairKey, wear, angle, tilt] as const,
  queryFn: ({ signal }: { signal: AbortSignal }) => fetchSeen(visit, wear, angle, tilt, signal),
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
    litAlong,
    onPick,
    wiped,
    plain,
    caption,
  } = props;
  const [tilt, setTilt] = useState(usualTilt);
  const [wipeAt, setWipeAt] = useState(0.5);
  const canvas = useRef<HTMLCanvasElement>(null);
  const client = useQueryClient();
  const {
    data: seen,
    error,
    isFetching,
  } = useQuery({ ...seenQuery(visit, hairKey, wear, angle, tilt), placeholderData: (p) => p });
  const [glow, setGlow] = useState(0);
  const drag = useRef<{ x: number; angle: number; moved: boolean } | undefined>(undefined);

  useEffect(() => {
    if (litKey === 0) {
      return;
    }
    // Shown for a moment only: hair colour is judged without anything laid over it.
    setGlow(0.75);
    const started = performance.now();
    const timer = setInterval(() => {
      const left = 1 - (performance.now() - started) / 1300;
      setGlow(left > 0 ? 0.75 * Math.min(1, left * 2) : 0);
      if (left <= 0) {
        clearInterval(timer);
      }
    }, 60);
    return () => clearInterval(timer);
  }, [litKey]);

  const image = useMemo(() => (seen ? new ImageData(seen.width, seen.height) : undefined), [seen]);
  const other = useMemo(
    () => (seen && wiped ? new ImageData(seen.width, seen.height) : undefined),
    [seen, wiped],
  );
  useEffect(() => {
    if (other && seen && wiped) {
      colourHead(other, seen, wiped.hair, wiped.colours, undefined, new Set(), 0);
    }
  }, [other, seen, wiped]);
  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (!context || !seen || !image || !hair || !colours) {
      return;
    }
    colourHead(image, seen, hair, colours, panelOf, lit, glow, litAlong);
    context.putImageData(image, 0, 0);
    if (other) {
      const x = Math.round(wipeAt * other.width);
      context.putImageData(other, 0, 0, x, 0, other.width - x, other.height);
    }
    canvas.current?.setAttribute(
      "data-drawn",
      String(Number(canvas.current.getAttribute("data-drawn") ?? 0) + 1),
    );
  }, [image, other, wipeAt, seen, hair, colours, panelOf, lit, glow, litAlong]);

  useEffect(() => {
    if (!seen) {
      return;
    }
    const timer = setTimeout(() => {
      for (const next of [angle + angleStep, angle - angleStep]) {
        client.prefetchQuery(seenQuery(visit, hairKey, wear, (next + 360) % 360, tilt));
      }
    }, 250);
    return () => clearTimeout(timer);
  }, [client, visit, hairKey, wear, angle, tilt, seen]);

  const turn = useCallback((by: number) => onAngle((angle + by + 360) % 360), [angle, onAngle]);

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

  return (
    <div className={plain ? `${css.head} ${css.middle}` : css.head}>
      <div className={css.picture}>
        <canvas
          ref={canvas}
          width={520}
          height={640}
          tabIndex={0}
          role="img"
          aria-label={
            `The head from the ${names[angle]}${tilt > usualTilt ? ", seen from above" : ""}, ` +
            `${wornWords[wear]}. Arrow keys turn it; tap hair to pick its panel.`
          }
          aria-busy={isFetching}
          onKeyDown={(e) => {
            if (e.key === "ArrowLeft" || e.key === "ArrowRight") {
              e.preventDefault();
              turn(e.key === "ArrowLeft" ? -angleStep : angleStep);
            }
          }}
          onPointerDown={(e) => {
            e.currentTarget.setPointerCapture(e.pointerId);
            drag.current = { x: e.clientX, angle, moved: false };
          }}
          onPointerMove={(e) => {
            const d = drag.current;
            if (d) {
              const steps = Math.round((d.x - e.clientX) / 45);
              if (steps !== 0 || d.moved) {
                d.moved = true;
                onAngle((((d.angle + steps * angleStep) % 360) + 360) % 360);
              }
            }
          }}
          onPointerUp={(e) => {
            if (drag.current && !drag.current.moved) {
              pick(e);
            }
            drag.current = undefined;
          }}
        />
        {wiped && seen && <WipeLine at={wipeAt} onAt={setWipeAt} wiped={wiped} />}
        {caption && <span className={`${wipeCss.wipeWord} ${wipeCss.left}`}>{caption}</span>}
        {!plain && (
          <Button
            className={css.savePicture}
            aria-label="Save picture"
            title="Save picture"
            onClick={() =>
              canvas.current?.toBlob((blob) => {
                if (blob) {
                  const link = document.createElement("a");
                  link.href = URL.createObjectURL(blob);
                  link.download = `head ${wornWords[wear]} ${names[angle]}.png`;
                  link.click();
                  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
                }
              }, "image/png")
            }
            icon={<span aria-hidden="true">⤓</span>}
          />
        )}
        <Button
          className={css.above}
          aria-pressed={tilt > usualTilt}
          aria-label="From above"
          title="From above"
          onClick={() => setTilt((t) => (t > usualTilt ? usualTilt : fromAbove))}
          icon={<span aria-hidden="true">{tilt > usualTilt ? "↧" : "↥"}</span>}
        />
      </div>
      {!seen && (
        <div className={css.headWait}>{error ? `${error.message}` : "The hair is falling into place…"}</div>
      )}
      {!plain && <Ring angle={angle} onAngle={onAngle} />}
    </div>
  );
}

/** The angles round her. */
export function Ring({ angle, onAngle }: { angle: number; onAngle(a: number): void }) {
  const turn = (by: number) => onAngle((angle + by + 360) % 360);
  const w = 300;
  const at = (a: number) => {
    const r = (a * Math.PI) / 180;
    return { x: w / 2 - Math.sin(-r) * 132, y: 26 + Math.cos(r) * 15 };
  };
  return (
    <div className={css.ring}>
      <Button
        aria-label="Turn left"
        onClick={() => turn(-angleStep)}
        icon={<span aria-hidden="true">‹</span>}
      />
      <svg width={w} height={52} viewBox={`0 0 ${w} 52`} role="group" aria-label="Angles">
        <ellipse cx={w / 2} cy={26} rx={132} ry={15} fill="none" stroke={tokens.edge} strokeWidth="2" />
        {Object.keys(names).map((key) => {
          const a = Number(key);
          const p = at(a);
          return (
            <g key={a}>
              <circle
                cx={p.x}
                cy={p.y}
                r={a === angle ? 9 : 4.5}
                fill={a === angle ? tokens.accent : tokens.edge}
              />
              {/* biome-ignore lint/a11y/noStaticElementInteractions: arrow keys on the head do the same */}
              <circle
                cx={p.x}
                cy={p.y}
                r={15}
                fill="transparent"
                style={{ cursor: "pointer" }}
                onClick={() => onAngle(a)}
              />
            </g>
          );
        })}
        <text x={w / 2} y={31} textAnchor="middle" fontSize="14" fill={tokens.deep}>
          {names[angle]}
        </text>
      </svg>
      <Button
        aria-label="Turn right"
        onClick={() => turn(angleStep)}
        icon={<span aria-hidden="true">›</span>}
      />
    </div>
  );
}
