import { useEffect, useState } from "react";
import { flushSync } from "react-dom";
import type { Hair } from "./seen";

interface Ahead {
  from: Hair;
  to: Hair;
}

const heads = new Set<(ahead: Ahead | undefined) => void>();

/** The next frame has been shown; where none is (a window behind others), a moment has gone by. */
const frameShown = () =>
  new Promise<void>((resolve) => {
    const timer = setTimeout(resolve, 50);
    requestAnimationFrame(() => {
      clearTimeout(timer);
      // After the frame's own callbacks come its drawing and then what waits its turn.
      setTimeout(resolve);
    });
  });

/**
 * Every head that shows `from` is drawn as `to` and shown so, before the rest of the page hears of it: the picture is
 * what is waited for, figures and maps may come a frame later.
 */
export async function drawnAhead(from: Hair, to: Hair) {
  if (from === to || heads.size === 0) {
    return;
  }
  flushSync(() => {
    for (const head of heads) {
      head({ from, to });
    }
  });
  await frameShown();
}

/** What was drawn ahead will not come after all: heads show what they are given. */
export function notAhead() {
  for (const head of heads) {
    head(undefined);
  }
}

/** Hair to be shown: as it is given, or as it is already known to be given next. */
export function useAhead(given: Hair | undefined): Hair | undefined {
  const [ahead, setAhead] = useState<Ahead>();
  useEffect(() => {
    heads.add(setAhead);
    return () => {
      heads.delete(setAhead);
    };
  }, []);
  // Over once anything else is given: what was given before may be given again, a preview taken back.
  useEffect(() => setAhead((a) => (a && a.from !== given ? undefined : a)), [given]);
  return ahead && ahead.from === given ? ahead.to : given;
}
