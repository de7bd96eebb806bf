import { useSyncExternalStore } from "react";

/** Up to here three columns become tabs beside the head: a tablet. */
const narrow = window.matchMedia("(max-width: 1180px)");

/** Whether the window is a tablet's. */
export const useNarrow = (): boolean =>
  useSyncExternalStore(
    (tell) => {
      narrow.addEventListener("change", tell);
      return () => narrow.removeEventListener("change", tell);
    },
    () => narrow.matches,
  );
