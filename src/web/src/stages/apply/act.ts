import { clock } from "../../views/times";
import type { ApplyView, ServiceFact } from "./useApply";

/** What the one target says and does. */
export interface Act {
  title: string;
  label: string;
  fact: ServiceFact;
}

/** The wave the artist's own hands are at: none where somebody else rinses and something waits to be painted. */
export function ownWave(service: ApplyView): ApplyView["wave"] {
  return service.help === "rinses" && service.next && service.comfort !== "burning" ? null : service.wave;
}

const mixing = (bowl: ApplyView["bowls"][number]): Act => ({
  title: `Mix bowl ${bowl.number}`,
  label: `Bowl ${bowl.number} is mixed`,
  fact: { kind: "mixed", formula: bowl.formula, ordinal: bowl.ordinal },
});

/** What the one target does now. */
export function actOf(service: ApplyView): Act | undefined {
  const { next } = service;
  const wave = ownWave(service);
  const burning = service.comfort === "burning";
  if (wave) {
    return { title: "Rinsing", label: "Wave rinsed", fact: { kind: "waveEnded", not: null } };
  }
  if (burning) {
    const on = service.panels.filter((p) => p.state === "on").map((p) => p.panel);
    return on.length > 0 || service.areaIsOn
      ? { title: "Burning: rinse now", label: "Rinsing all now", fact: { kind: "waveBegun", panels: on } }
      : undefined;
  }
  if (!service.ready.includes("partSet")) {
    return {
      title: "Set the part",
      label: "Part is set",
      fact: { kind: "prepared", what: "partSet" },
    };
  }
  if (!service.ready.includes("combed")) {
    return { title: "Comb it through", label: "Combed", fact: { kind: "prepared", what: "combed" } };
  }
  if (service.areaWaits) {
    const bowl = service.bowls.find((b) => b.neededAt && !b.mixedAt);
    if (bowl) {
      return mixing(bowl);
    }
    const step = service.steps.find((s) => s.isNow);
    return { title: `Lay it on: ${step?.words ?? ""}`, label: "All of it is on", fact: { kind: "laid" } };
  }
  // Of the bowls only the one the next panel is painted from is waited for: the others are told as due.
  const bowl = service.bowls.find((b) => b.number === next?.bowl && !b.mixedAt);
  if (next && bowl) {
    return mixing(bowl);
  }
  if (next) {
    return { title: next.title, label: "Painted", fact: { kind: "painted", panel: next.panel.key } };
  }
  if (service.goesOn) {
    const step = service.steps[service.steps.findIndex((s) => s.isNow) + 1];
    return { title: `Next: ${step?.words ?? ""}`, label: "Go on", fact: { kind: "wentOn" } };
  }
  const on = service.panels.some((p) => p.state === "on") || service.areaIsOn;
  if (on) {
    const coming = service.waves[0];
    return {
      title: coming
        ? `Rinse ${coming.number} at ${clock(coming.startsAt)}`
        : service.areaFromAt
          ? `Rinse at ${clock(service.areaFromAt)}`
          : "Rinse",
      label: "Begin the rinse",
      fact: { kind: "waveBegun", panels: coming?.panels ?? [] },
    };
  }
  return service.isDone
    ? undefined
    : { title: "Wash, dry to damp, read", label: "Washed and read", fact: { kind: "washed" } };
}
