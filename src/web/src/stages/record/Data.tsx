import { useEffect } from "react";
import { MainNav } from "../../shell/MainNav";
import parts from "../../style/parts.module.css";
import { ArchiveIn } from "./ArchiveIn";
import { ArchiveOut } from "./ArchiveOut";
import { Backup } from "./Backup";
import css from "./Data.module.css";
import { DeletePerson } from "./DeletePerson";

/** What is kept: the whole studio as one file, out and in, and its visits for any calendar. */
export function Data() {
  useEffect(() => {
    document.title = "Data · Wendro";
  }, []);
  return (
    <main className={parts.day}>
      <header>
        <div>
          <h1>Data</h1>
          <p>What is yours, in files that anybody can read</p>
        </div>
        <MainNav />
      </header>
      <div className={css.ways}>
        <ArchiveOut />
        <ArchiveIn />
        <section aria-labelledby="calendar">
          <h2 id="calendar">Calendar</h2>
          <p>All visits for any calendar: who and when, nothing of hair or health.</p>
          <a className={css.file} href="/api/visits.ics" download="visits.ics">
            Save the visits
          </a>
        </section>
        <Backup />
        <DeletePerson />
      </div>
    </main>
  );
}
