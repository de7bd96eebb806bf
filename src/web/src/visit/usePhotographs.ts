import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, type Schemas } from "../api/client";
import { given, raw } from "../api/given";

export type PhotoMoment = Schemas["PhotoMoment"];
export type PhotoFrom = Schemas["PhotoFrom"];
export type StoredPhotograph = Schemas["StoredPhotograph"];
export type PhotographAsked = Schemas["PhotographAsked"];
export type Spot = Schemas["PhotoSpot"];

interface Adding {
  file: File;
  moment: PhotoMoment;
  from?: PhotoFrom;
}

/** A visit's photographs: what there is, another one, whether it may be shown, taken away. */
export function usePhotographs(visit: string | undefined) {
  const cache = useQueryClient();
  const queryKey = ["photographs", visit];
  const changed = () => cache.invalidateQueries({ queryKey });
  const { data } = useQuery({
    queryKey,
    enabled: visit !== undefined,
    queryFn: () =>
      given(api.GET("/api/visits/{visit}/photographs", { params: { path: { visit: visit ?? "" } } })),
  });
  const adding = useMutation({
    mutationFn: async ({ file, moment, from }: Adding): Promise<StoredPhotograph> => {
      const where = from ? `&from=${from}` : "";
      const answer = await raw(`/api/visits/${visit}/photographs?moment=${moment}${where}`, {
        method: "POST",
        headers: { "content-type": file.type },
        body: file,
      });
      return answer.json();
    },
    onSuccess: changed,
  });
  const agreeing = useMutation({
    mutationFn: ({ name, mayBeShown }: { name: string; mayBeShown: boolean }) =>
      given(
        api.PUT("/api/visits/{visit}/photographs/{name}/agreed", {
          params: { path: { visit: visit ?? "", name } },
          body: { mayBeShown },
        }),
      ),
    onSuccess: changed,
  });
  const removing = useMutation({
    mutationFn: (name: string) =>
      given(
        api.DELETE("/api/visits/{visit}/photographs/{name}", {
          params: { path: { visit: visit ?? "", name } },
        }),
      ),
    onSuccess: changed,
  });
  return {
    photographs: data ?? [],
    add: (file: File, moment: PhotoMoment = "rinsed", from?: PhotoFrom) =>
      adding.mutateAsync({ file, moment, from }),
    adding: adding.isPending,
    refused: adding.error?.message,
    agree: (name: string, mayBeShown: boolean) => agreeing.mutate({ name, mayBeShown }),
    remove: (name: string) => removing.mutateAsync(name),
  };
}

/** The level of a patch, asked for anew whenever a spot moves. */
export function useLevel(visit: string, name: string | undefined, asked: PhotographAsked | undefined) {
  const { data, error, isFetching } = useQuery({
    queryKey: ["photographLevel", visit, name, asked],
    enabled: name !== undefined && asked !== undefined,
    placeholderData: (p) => p,
    queryFn: () =>
      given(
        api.POST("/api/visits/{visit}/photographs/{name}/level", {
          params: { path: { visit, name: name ?? "" } },
          // biome-ignore lint/style/noNonNullAssertion: asked only where there is something
          body: asked!,
        }),
      ),
  });
  return {
    level: asked ? data : undefined,
    refused: asked ? error?.message : undefined,
    looking: isFetching,
  };
}
