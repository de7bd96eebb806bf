import { useEffect, useRef, useState } from "react";
import type { Due } from "./useApply";

/** Tones of each kind of due thing, Hz, one after another: told apart by how many and which way they go. */
const tones: Partial<Record<Due["kind"], number[]>> = {
  look: [660, 660],
  wave: [440, 554, 659],
  area: [659, 554],
  bowlEnds: [392],
  mix: [392],
  over: [294, 220, 294, 220],
  burning: [220, 220, 220, 220, 220],
};

const key = "wendro.sounds";
const kept = () => {
  try {
    return localStorage.getItem(key) !== "off";
  } catch {
    return true;
  }
};

let context: AudioContext | undefined;

/** Plays the sound of something due; silent where the browser has none. */
export function play(kind: Due["kind"]) {
  if (typeof AudioContext === "undefined") {
    return;
  }
  context ??= new AudioContext();
  void context.resume();
  for (const [i, hz] of (tones[kind] ?? []).entries()) {
    const [tone, loud] = [context.createOscillator(), context.createGain()];
    const at = context.currentTime + i * 0.28;
    tone.frequency.value = hz;
    loud.gain.setValueAtTime(0.0001, at);
    loud.gain.exponentialRampToValueAtTime(0.3, at + 0.03);
    loud.gain.exponentialRampToValueAtTime(0.0001, at + 0.24);
    tone.connect(loud).connect(context.destination);
    tone.start(at);
    tone.stop(at + 0.25);
  }
}

/** Whether this device sounds, kept with it. */
export function useSounds(): [boolean, (on: boolean) => void] {
  const [on, setOn] = useState(kept);
  return [
    on,
    (next) => {
      setOn(next);
      try {
        localStorage.setItem(key, next ? "on" : "off");
      } catch {
        // It holds until the page is closed.
      }
    },
  ];
}

/** Sounds each due thing once, when its moment comes. */
export function useDueSounds(due: readonly Due[], now: number, on: boolean) {
  const told = useRef(new Set<string>());
  useEffect(() => {
    for (const d of due) {
      const name = `${d.kind} ${d.at}`;
      if (Date.parse(d.at) <= now && !told.current.has(name)) {
        told.current.add(name);
        if (on) {
          play(d.kind);
        }
      }
    }
  }, [due, now, on]);
}

/** Keeps the screen awake while shown; false where the browser can't. */
export function useAwake(): boolean {
  const [awake, setAwake] = useState(() => "wakeLock" in navigator);
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    const ask = () => {
      if (document.visibilityState === "visible" && "wakeLock" in navigator) {
        navigator.wakeLock.request("screen").then(
          (held) => {
            lock = held;
            setAwake(true);
          },
          () => setAwake(false),
        );
      }
    };
    ask();
    document.addEventListener("visibilitychange", ask);
    return () => {
      document.removeEventListener("visibilitychange", ask);
      void lock?.release();
    };
  }, []);
  return awake;
}
