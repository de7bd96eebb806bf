/** A turn, degrees. */
export const angleStep = 15;

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

/** The angles that have a name and a place on the ring. */
export const namedAngles = Object.keys(names).map(Number);

/** From where she is seen; between two names both are said. */
export const angleWords = (angle: number): string =>
  names[angle] ?? `between ${names[angle - 15]} and ${names[(angle + 15) % 360]}`;

/** The angle after a turn by so many degrees. */
export const turned = (angle: number, by: number): number => (((angle + by) % 360) + 360) % 360;

/** Where a zone is seen from best, degrees. */
export const angleOf = (zone: string): number =>
  zone.startsWith("side")
    ? zone.endsWith("Left")
      ? 90
      : 270
    : zone.startsWith("top") || zone.startsWith("faceFrame") || zone.startsWith("fringe")
      ? zone.endsWith("Left")
        ? 30
        : 330
      : 180;
