import { HubConnectionBuilder, HubConnectionState, LogLevel } from "@microsoft/signalr";
import { useEffect, useState } from "react";
import type { Schemas } from "../api/client";

export type Reading = Schemas["ScaleReading"];

const lost: Reading = { state: "lost", grossGrams: null, grams: null, stable: false };

/** What the bench scale shows, as it streams; lost while there is no word from it. */
export function useScale(): Reading {
  const [reading, setReading] = useState<Reading>(lost);
  useEffect(() => {
    const hub = new HubConnectionBuilder()
      .withUrl("/hubs/scale")
      .withAutomaticReconnect({ nextRetryDelayInMilliseconds: () => 1000 })
      .configureLogging(LogLevel.None)
      .build();
    let over = false;
    hub.on("reading", setReading);
    hub.onreconnecting(() => setReading(lost));
    hub.onclose(() => setReading(lost));
    const start = () => {
      if (!over && hub.state === HubConnectionState.Disconnected) {
        hub.start().catch(() => setTimeout(start, 1000));
      }
    };
    start();
    return () => {
      over = true;
      hub.stop().catch(() => undefined);
    };
  }, []);
  return reading;
}
