import { Button, Modal } from "antd";
import { useState } from "react";
import css from "./Data.module.css";

/** The whole studio as one file; answers about health go out only when that was asked and answered. */
export function ArchiveOut() {
  const [asking, setAsking] = useState(false);
  return (
    <section aria-labelledby="out">
      <h2 id="out">The whole studio</h2>
      <p>
        Clients, visits, plans, what happened, photographs and shelf in one file. Answers about health stay
        here; where the file is taken in they are asked again.
      </p>
      <a className={css.file} href="/api/archive" download>
        Save the archive
      </a>
      <Button size="large" onClick={() => setAsking(true)}>
        With answers about health…
      </Button>
      <Modal
        open={asking}
        title="Answers about health are private"
        onCancel={() => setAsking(false)}
        footer={[
          <Button key="not" onClick={() => setAsking(false)}>
            Not now
          </Button>,
          <a
            key="save"
            className={css.file}
            href="/api/archive?health=true"
            download
            onClick={() => setAsking(false)}
          >
            Save with them
          </a>,
        ]}
      >
        <p>
          The file will hold patch tests, reactions and what was seen on the scalp, readable to whoever has
          it. Only where the clients agreed, and only to keep it as safe as this computer.
        </p>
      </Modal>
    </section>
  );
}
