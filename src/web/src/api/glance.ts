import { api } from "./client";
import { given } from "./given";

/**
 * A visit at a glance: what is painted, what is missing, how long it takes, which stages have had their work done. With
 * chair also its minutes in the chair, which take the whole schedule: not while a plan is being edited.
 */
export const glanceOf = (visit: string, revision: number, chair = false) => ({
  queryKey: ["glance", visit, revision, chair],
  placeholderData: <T>(before: T) => before,
  queryFn: () =>
    given(
      api.GET("/api/visits/{visit}/glance", {
        params: { path: { visit }, query: chair ? { chair } : {} },
      }),
    ),
});
