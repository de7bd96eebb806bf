import { useSyncExternalStore } from "react";

let there = true;
const listeners = new Set<() => void>();

/** Said by every request: whether the server answered. */
export function reached(answered: boolean) {
  if (there !== answered) {
    there = answered;
    for (const l of listeners) {
      l();
    }
  }
}

/** Whether the server answered the last request. */
export const useReached = () =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => there,
  );
