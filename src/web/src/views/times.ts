/** A moment as the clock on the wall shows it. */
export const clock = (at: string | number): string => {
  const date = new Date(at);
  return `${String(date.getHours()).padStart(2, "0")}:${String(date.getMinutes()).padStart(2, "0")}`;
};

/** Time to go, or gone by: 2:30, 1:02:30. */
export const span = (ms: number): string => {
  const seconds = Math.floor(Math.abs(ms) / 1000);
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60];
  const two = (n: number) => String(n).padStart(2, "0");
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
};

/** Minutes between two moments, rounded. */
export const minutes = (from: number, to: number): number => Math.round((to - from) / 60_000);
