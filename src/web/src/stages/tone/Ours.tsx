import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button, Input } from "antd";
import { useState } from "react";
import { api } from "../../api/client";
import { given } from "../../api/given";
import css from "./Tone.module.css";

/** Forgets a way of toning of the studio's own. */
export function useForget() {
  const cache = useQueryClient();
  const { mutate } = useMutation({
    mutationFn: (toner: string) => given(api.DELETE("/api/toners/{toner}", { params: { path: { toner } } })),
    onSettled: () => cache.invalidateQueries({ queryKey: ["tone"] }),
  });
  return mutate;
}

/** Keeps these areas as a way of the studio's own, to begin with at any visit. */
export function KeepAsOurs({ visit }: { visit: string }) {
  const [name, setName] = useState<string>();
  const cache = useQueryClient();
  const kept = useMutation({
    mutationFn: (called: string) =>
      given(api.POST("/api/toners", { body: { visitId: visit, name: called } })),
    onSuccess: () => {
      setName(undefined);
      cache.invalidateQueries({ queryKey: ["tone"] });
    },
  });
  const keep = () => name?.trim() && kept.mutate(name.trim());
  if (name === undefined) {
    return (
      <p className={css.ours}>
        <Button onClick={() => setName("")}>Keep as ours…</Button>
        {kept.data && <span role="status">Kept as {kept.data.name}.</span>}
      </p>
    );
  }
  return (
    <p className={css.ours}>
      <Input
        aria-label="Called, as ours"
        placeholder="What you call it"
        maxLength={60}
        autoFocus
        value={name}
        onChange={(e) => setName(e.target.value)}
        onPressEnter={keep}
      />
      <Button type="primary" disabled={!name.trim() || kept.isPending} onClick={keep}>
        Keep
      </Button>
      <Button type="text" onClick={() => setName(undefined)}>
        Not now
      </Button>
    </p>
  );
}
