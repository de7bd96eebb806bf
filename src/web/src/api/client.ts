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

export function fromBase64(text: string): Uint8Array {
  const raw = atob(text);
  const out = new Uint8Array(raw.length);
  for (let i = 0; i < raw.length; i++) {
    out[i] = raw.charCodeAt(i);
  }
  return out;
}
