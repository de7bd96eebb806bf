/** How much closer the head is looked at, and where: 24ths of the whole picture. */
export interface Closer {
  steps: number;
  across: number;
  down: number;
}

export const whole: Closer = { steps: 0, across: 12, down: 12 };
export const mostSteps = 3;

/** How many times as large each step is drawn. */
const times = [1, 1.5, 2, 3];

const within = (steps: number, place: number) => {
  const half = 12 / times[steps];
  return Math.round(Math.min(Math.max(place, half), 24 - half));
};

/** What a point of the picture, 0..1 across and down, shows of the whole picture: in 24ths. */
const placeAt = (now: Closer, x: number, y: number): [number, number] => [
  within(now.steps, now.across) + ((x - 0.5) * 24) / times[now.steps],
  within(now.steps, now.down) + ((y - 0.5) * 24) / times[now.steps],
];

/** One or more steps closer or away; the point under the finger stays where it is. */
export function stepped(now: Closer, by: number, x = 0.5, y = 0.5): Closer {
  const steps = Math.min(Math.max(now.steps + by, 0), mostSteps);
  if (steps === 0) {
    return whole;
  }
  const [px, py] = placeAt(now, x, y);
  return {
    steps,
    across: within(steps, px - ((x - 0.5) * 24) / times[steps]),
    down: within(steps, py - ((y - 0.5) * 24) / times[steps]),
  };
}

/** Moved along by shares of the picture. */
export function moved(now: Closer, x: number, y: number): Closer {
  return now.steps === 0
    ? now
    : {
        steps: now.steps,
        across: within(now.steps, within(now.steps, now.across) - (x * 24) / times[now.steps]),
        down: within(now.steps, within(now.steps, now.down) - (y * 24) / times[now.steps]),
      };
}
