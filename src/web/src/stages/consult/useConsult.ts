import { useQuery, useQueryClient } from "@tanstack/react-query";
import { App } from "antd";
import { useCallback, useRef, useState } from "react";
import { api, type HairProfile, type Schemas, wordsOf } from "../../api/client";

export type ConsultView = Schemas["ConsultView"];
export type Consultation = Schemas["Consultation"];

export interface Consult {
  view: ConsultView;
  /** What can't be taken, by field; what was typed stays until it can. */
  errors: Record<string, string>;
  busy: boolean;
  setHair(change: Partial<HairProfile>): void;
  answer(change: Partial<Consultation>): void;
}

/**
 * Hair and answers of a visit in this window: changes go out one after another, the last state
 * acknowledged is shown.
 */
export function useConsult(visit: string, changed: () => void): Consult | undefined {
  const { message } = App.useApp();
  const cache = useQueryClient();
  const key = ["consult", visit];
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [waiting, setWaiting] = useState(0);
  const line = useRef<Promise<unknown>>(Promise.resolve());
  const { data } = useQuery({
    queryKey: key,
    queryFn: async () => {
      const { data, error } = await api.GET("/api/visits/{visit}/consult", { params: { path: { visit } } });
      if (!data) {
        throw new Error(wordsOf(error));
      }
      return data;
    },
  });
  const send = useCallback(
    (hair: Partial<HairProfile>, answers: Partial<Consultation>) => {
      line.current = line.current.then(async () => {
        const now = cache.getQueryData<ConsultView>(["consult", visit]);
        if (!now) {
          return;
        }
        setWaiting((n) => n + 1);
        try {
          const { data, error, response } = await api.PUT("/api/visits/{visit}/consult", {
            params: { path: { visit } },
            body: {
              baseVersion: now.version,
              hair: { ...now.hair, ...hair },
              consultation: { ...now.consultation, ...answers },
            },
          });
          if (data) {
            cache.setQueryData(["consult", visit], data);
            cache.invalidateQueries({ queryKey: ["glance", visit] });
            setErrors({});
            changed();
            return;
          }
          const fields = (error as { errors?: Record<string, string[]> } | undefined)?.errors;
          if (fields) {
            setErrors(
              Object.fromEntries(
                Object.entries(fields).map(([f, words]) => [
                  f.replace(/^(hair|consultation)\./, ""),
                  words[0],
                ]),
              ),
            );
          } else {
            message.error(wordsOf(error));
          }
          if (response.status === 409) {
            await cache.invalidateQueries({ queryKey: ["consult", visit] });
          }
        } catch {
          message.error("The server does not answer. Nothing that was saved is lost; try again.");
        } finally {
          setWaiting((n) => n - 1);
        }
      });
    },
    [cache, visit, changed, message],
  );
  return data
    ? {
        view: data,
        errors,
        busy: waiting > 0,
        setHair: (change) => send(change, {}),
        answer: (change) => send({}, change),
      }
    : undefined;
}
