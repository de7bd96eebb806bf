import { useQuery } from "@tanstack/react-query";
import { AutoComplete, Input } from "antd";
import { useDeferredValue, useState } from "react";
import { useNavigate } from "react-router";
import { api } from "../../api/client";
import { given } from "../../api/given";
import parts from "../../style/parts.module.css";
import css from "./Day.module.css";

/** Finds anyone as one types. */
export function FindClient() {
  const [words, setWords] = useState("");
  const asked = useDeferredValue(words);
  const go = useNavigate();
  const { data } = useQuery({
    queryKey: ["find", asked],
    placeholderData: (p) => p,
    refetchOnMount: "always",
    queryFn: () => given(api.GET("/api/find", { params: { query: { words: asked } } })),
  });
  return (
    <AutoComplete
      className={css.find}
      value={words}
      onChange={setWords}
      onSelect={(id) => go(`/clients/${id}`)}
      options={data?.map((c) => ({
        value: c.id,
        label: (
          <span>
            <strong>{c.name}</strong>{" "}
            <span className={parts.soft}>
              {c.visits === 1 ? "one visit" : `${c.visits} visits`}
              {c.lastAt && `, ${new Date(c.lastAt).toLocaleDateString()}`}
            </span>
          </span>
        ),
      }))}
      notFoundContent={words ? "Nobody of that name." : null}
    >
      <Input size="large" aria-label="Find a client" placeholder="Find a client" allowClear />
    </AutoComplete>
  );
}
