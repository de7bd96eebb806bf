import { Button, Popconfirm } from "antd";

/** Deletes a photograph once it is said twice: nothing brings it back. */
export function DeletePhotograph({ onDelete }: { onDelete(): void }) {
  return (
    <Popconfirm
      title="Delete this photograph?"
      description="It is gone for good, from every record that shows it."
      okText="Delete it"
      okButtonProps={{ danger: true, size: "large" }}
      cancelText="Leave it"
      cancelButtonProps={{ size: "large" }}
      onConfirm={onDelete}
    >
      <Button size="large" danger>
        Delete photograph
      </Button>
    </Popconfirm>
  );
}
