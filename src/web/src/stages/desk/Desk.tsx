import { useQuery } from "@tanstack/react-query";
import { Input, type InputRef } from "antd";
import { useEffect, useRef, useState } from "react";
import { api } from "../../api/client";
import { fieldsOf, given } from "../../api/given";
import { useSettled } from "../../api/useSettled";
import { MainNav } from "../../shell/MainNav";
import parts from "../../style/parts.module.css";
import { said, useUnits } from "../../views/units";
import css from "./Desk.module.css";
import { Sum, sums } from "./sums";

/** Quick sums without a visit: a line that is understood, and a sheet for each sum. */
export function Desk() {
  const [line, setLine] = useState("");
  const units = useUnits();
  const entry = useRef<InputRef>(null);
  useEffect(() => {
    document.title = "Desk · Wendro";
    entry.current?.focus();
  }, []);
  const asked = useSettled(line.trim(), 120);
  const { data, error } = useQuery({
    queryKey: ["desk", "read", asked],
    enabled: asked !== "",
    retry: false,
    queryFn: ({ signal }) => given(api.POST("/api/desk/read", { body: { text: asked }, signal })),
    placeholderData: (before) => before,
  });
  const read = asked === "" || error ? undefined : data;
  const problem = error ? (fieldsOf(error).text ?? error.message) : undefined;
  return (
    <main className={`${parts.day} ${css.desk}`}>
      <header>
        <div>
          <h1>Desk</h1>
          <p>Sums without a visit</p>
        </div>
        <MainNav />
      </header>
      <section className={css.entry} aria-label="Short entry">
        <Input
          ref={entry}
          size="large"
          aria-label="Type a sum"
          placeholder="25 vol 60 g from 20 40"
          maxLength={2000}
          value={line}
          onChange={(e) => setLine(e.target.value)}
        />
        <div className={css.answer} role="status" aria-label="Answer">
          {read ? (
            <>
              <p className={`${parts.result} ${css.read}`}>{said(read.resultParts, units)}</p>
              <p>Read as: {said(read.readAsParts, units)}</p>
              <p className={parts.soft}>Why: {said(read.whyParts, units)}</p>
            </>
          ) : (
            <p className={problem ? undefined : parts.soft}>
              {problem ??
                "Try 1:2 90 g · 1:1.5 40 g 70 g bowl 250 · 3% · 5 to 8 clay 30 vol film · " +
                  "8 pearl on 9 20 min · 10-20 15-30 40-50"}
            </p>
          )}
        </div>
      </section>
      <div className={css.sums} role="group" aria-label="Sums">
        {sums.map((s) => (
          <Sum key={s.path} sum={s} />
        ))}
      </div>
      <p className={parts.care} role="note">
        The product's leaflet, local rules and a licensed professional's judgement come before any figure
        here.
      </p>
    </main>
  );
}
