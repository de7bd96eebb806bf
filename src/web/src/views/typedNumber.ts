/** What was typed as a number, with a point or a comma; nothing typed is null, what is no number NaN. */
export function typedNumber(text: string): number | null {
  const plain = text.trim().replace(",", ".");
  return plain === "" ? null : Number(plain);
}
