import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button, Modal } from "antd";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import { raw } from "../../api/given";
import { ChooseFile } from "../../views/ChooseFile";
import css from "./Data.module.css";

/** All of the data as it is, saved in one file and put back; asked before it takes the data's place. */
export function Backup() {
  const [file, setFile] = useState<File>();
  const cache = useQueryClient();
  const restore = useMutation({
    mutationFn: async (chosen: File): Promise<Schemas["BackupManifest"]> =>
      (
        await raw("/api/restore", {
          method: "POST",
          headers: { "content-type": "application/zip" },
          body: chosen,
        })
      ).json(),
    onSuccess: () => cache.clear(),
    onSettled: () => setFile(undefined),
  });
  return (
    <section aria-labelledby="backup">
      <h2 id="backup">Backup</h2>
      <p>
        All of the data as it is, answers about health and every revision with it, read back before it is
        sent. Keep it where nobody else can open it.
      </p>
      <a className={css.file} href="/api/backup">
        Save a backup
      </a>
      <ChooseFile
        size="large"
        loading={restore.isPending}
        name="Backup file"
        accept=".zip,application/zip"
        onChosen={setFile}
      >
        Restore a backup…
      </ChooseFile>
      {restore.data && (
        <p role="status">
          Restored: {restore.data.clients} clients, {restore.data.visits} visits. What was here is kept in the
          data's folder, under copies.
        </p>
      )}
      {restore.error && (
        <p role="alert">
          <b>Nothing was changed.</b> {restore.error.message}
        </p>
      )}
      <Modal
        open={file !== undefined && !restore.isPending}
        title="Put this backup in the data's place?"
        onCancel={() => setFile(undefined)}
        footer={[
          <Button key="not" onClick={() => setFile(undefined)}>
            Not now
          </Button>,
          <Button key="restore" danger type="primary" onClick={() => file && restore.mutate(file)}>
            Restore
          </Button>,
        ]}
      >
        <p>
          {file?.name}: what is here now is replaced by it, all of it. A copy of what is here is kept in the
          data's folder.
        </p>
      </Modal>
    </section>
  );
}
