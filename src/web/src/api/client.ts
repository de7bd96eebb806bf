import createClient from "openapi-fetch";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
export type PlanView = Schemas["PlanView"];
export type PlanChange = Schemas["PlanChange"];
export type PanelView = Schemas["PanelView"];
export type PanelPaint = Schemas["PanelPaint"];
export type PlanEdit = Schemas["PlanEdit"];
export type Finding = Schemas["FindingView"];
export type Zone = Schemas["Zone"];
export type Wear = Schemas["Wear"];
export type Strip = Schemas["Strip"];
export type HairProfile = Schemas["HairProfile"];

export const api = createClient<paths>({ baseUrl: "" });

/** What a refused request said, in one line. */
export function wordsOf(problem: unknown): string {
  const p = problem as { title?: string; detail?: string; errors?: Record<string, string[]> } | undefined;
  const first = p?.errors && Object.entries(p.errors)[0];
  if (first) {
    return `${first[0].replace(/^edit\./, "")}: ${first[1][0]}`;
  }
  return p?.detail ?? p?.title ?? "The server did not answer.";
}

export async function bytes(url: string, signal?: AbortSignal): Promise<ArrayBuffer> {
  const answer = await fetch(url, { signal });
  if (!answer.ok) {
    throw new Error(wordsOf(await answer.json().catch(() => undefined)));
  }
  return answer.arrayBuffer();
}

export function fromBase64(text: string): Uint8Array {
  const raw = atob(text);
  const out = new Uint8Array(raw.length);
  for (let i = 0; i < raw.length; i++) {
    out[i] = raw.charCodeAt(i);
  }
  return out;
}
