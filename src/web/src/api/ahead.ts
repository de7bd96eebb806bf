import { useEffect, useState } from "react";
import { flushSync } from "react-dom";
import type { Hair } from "./seen";

/** Hair that shows as `to` where `from` is given. */
export interface Ahead {
  from: Hair;
  to: Hair;
}

type Head = (ahead: Ahead | undefined) => void;

const heads = new Set<Head>();

/** A head is told what is drawn ahead until the answer is called. */
export function shows(head: Head): () => void {
  heads.add(head);
  return () => {
    heads.delete(head);
  };
}

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

/** What is still drawn ahead once hair is given: nothing where it is other hair, which may be the same again later. */
export const stillAhead = (ahead: Ahead | undefined, given: Hair | undefined) =>
  ahead?.from === given ? ahead : undefined;

/** Hair to be shown: as it is given, or as it is already known to be given next. */
export function useAhead(given: Hair | undefined): Hair | undefined {
  const [ahead, setAhead] = useState<Ahead>();
  useEffect(() => shows(setAhead), []);
  useEffect(() => setAhead((a) => stillAhead(a, given)), [given]);
  return stillAhead(ahead, given)?.to ?? given;
}
