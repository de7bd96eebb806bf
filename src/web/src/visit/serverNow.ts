import { useEffect, useState } from "react";

/** Server's clock less this device's, ms, by when an answer came in. */
let ahead = 0;

/** Notes the server's time as an answer told it. */
export function noteServerNow(now: string, asked: number) {
  ahead = Date.parse(now) - (asked + Date.now()) / 2;
}

/** The server's time, told every half second. */
export function useServerNow(): number {
  const [, tick] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => tick((n) => n + 1), 500);
    return () => clearInterval(timer);
  }, []);
  // Reckoned when it is shown: right from the first answer on.
  return Date.now() + ahead;
}
