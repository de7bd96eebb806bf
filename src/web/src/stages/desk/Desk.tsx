import { Input, type InputRef } from "antd";
import { useEffect, useRef, useState } from "react";
import { api, type Schemas } from "../../api/client";
import { MainNav } from "../../shell/MainNav";
import { said, useUnits } from "../../views/units";
import { Sum, sums } from "./sums";

type Read = Schemas["ReadAnswer"];

/** Quick sums without a visit: a line that is understood, and a sheet for each sum. */
export function Desk() {
  const [line, setLine] = useState("");
  const [read, setRead] = useState<Read>();
  const [problem, setProblem] = useState<string>();
  const units = useUnits();
  const entry = useRef<InputRef>(null);
  useEffect(() => {
    document.title = "Desk · Wendro";
    entry.current?.focus();
  }, []);
  // Each line is asked as it is typed; an answer to an older one is dropped.
  useEffect(() => {
    if (line.trim() === "") {
      setRead(undefined);
      setProblem(undefined);
      return;
    }
    const stop = new AbortController();
    const soon = setTimeout(async () => {
      try {
        const { data, error } = await api.POST("/api/desk/read", {
          body: { text: line },
          signal: stop.signal,
        });
        setRead(data);
        setProblem((error as { errors?: Record<string, string[]> } | undefined)?.errors?.text?.[0]);
      } catch {
        if (!stop.signal.aborted) {
          setRead(undefined);
          setProblem("The server does not answer.");
        }
      }
    }, 120);
    return () => {
      clearTimeout(soon);
      stop.abort();
    };
  }, [line]);
  return (
    <main className="day desk">
      <header>
        <div>
          <h1>Desk</h1>
          <p>Sums without a visit</p>
        </div>
        <MainNav />
      </header>
      <section className="entry" aria-label="Short entry">
        <Input
          ref={entry}
          size="large"
          aria-label="Type a sum"
          placeholder="25 vol 60 g from 20 40"
          maxLength={2000}
          value={line}
          onChange={(e) => setLine(e.target.value)}
        />
        <div className="answer" role="status" aria-label="Answer">
          {read ? (
            <>
              <p className="result">{said(read.resultParts, units)}</p>
              <p>Read as: {said(read.readAsParts, units)}</p>
              <p className="soft">Why: {said(read.whyParts, units)}</p>
            </>
          ) : (
            <p className={problem ? undefined : "soft"}>
              {problem ??
                "Try 1:2 90 g · 1:1.5 40 g 70 g bowl 250 · 3% · 5 to 8 clay 30 vol film · " +
                  "8 pearl on 9 20 min · 10-20 15-30 40-50"}
            </p>
          )}
        </div>
      </section>
      <div className="sums">
        {sums.map((s) => (
          <Sum key={s.path} sum={s} />
        ))}
      </div>
      <p className="care" role="note">
        The product's leaflet, local rules and a licensed professional's judgement come before any figure
        here.
      </p>
    </main>
  );
}
