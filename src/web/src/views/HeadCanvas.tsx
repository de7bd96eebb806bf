import { useLayoutEffect, useMemo, useRef } from "react";
import { useAhead } from "../api/ahead";
import type { Colours, Hair, Seen } from "../api/seen";
import { type Colouring, colourHead } from "./colouring";
import type { Wiped } from "./Wipe";

interface Props extends React.CanvasHTMLAttributes<HTMLCanvasElement> {
  ref: React.RefObject<HTMLCanvasElement | null>;
  seen: Seen | undefined;
  hair: Hair | undefined;
  colours: Colours | undefined;
  panelOf: Int16Array | undefined;
  lit: ReadonlySet<number>;
  glow: number;
  along?: [number, number];
  /** The same head in another state, from a share of the width on. */
  wiped?: Wiped;
  wipeAt: number;
}

const noPanels: ReadonlySet<number> = new Set();

/** The drawn head: alone, so that a change of its hair is shown before the rest of the page follows. */
export function HeadCanvas({
  ref: canvas,
  seen,
  hair: given,
  colours,
  panelOf,
  lit,
  glow,
  along,
  wiped,
  wipeAt,
  ...rest
}: Props) {
  const hair = useAhead(given);
  const image = useMemo(() => (seen ? new ImageData(seen.width, seen.height) : undefined), [seen]);
  const other = useMemo(
    () => (seen && wiped ? new ImageData(seen.width, seen.height) : undefined),
    [seen, wiped],
  );
  const drawn = useRef<{ image: ImageData; by: Colouring }>(undefined);
  // Coloured before it is laid over the picture.
  useLayoutEffect(() => {
    if (other && seen && wiped) {
      colourHead(other, seen, { hair: wiped.hair, colours: wiped.colours, lit: noPanels, glow: 0 });
    }
  }, [other, seen, wiped]);
  // Before the frame is shown, and before anything else is drawn: the picture is what is waited for.
  useLayoutEffect(() => {
    const on = canvas.current;
    const context = on?.getContext("2d");
    if (!on || !context || !seen || !image || !hair || !colours) {
      return;
    }
    const by = { hair, colours, panelOf, lit, glow, along };
    colourHead(image, seen, by, drawn.current?.image === image ? drawn.current.by : undefined);
    drawn.current = { image, by };
    context.putImageData(image, 0, 0);
    if (other) {
      const x = Math.round(wipeAt * other.width);
      context.putImageData(other, 0, 0, x, 0, other.width - x, other.height);
    }
    on.setAttribute("data-drawn", String(Number(on.getAttribute("data-drawn") ?? 0) + 1));
  }, [canvas, image, other, wipeAt, seen, hair, colours, panelOf, lit, glow, along]);
  return <canvas ref={canvas} width={520} height={640} {...rest} />;
}
