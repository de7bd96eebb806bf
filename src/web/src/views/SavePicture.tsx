import { useMutation } from "@tanstack/react-query";
import { Button, Dropdown } from "antd";
import { raw } from "../api/given";

interface Props {
  visit: string;
  /** Parameters of the picture to be drawn anew: wear, angle, moment; without, what is shown is saved. */
  look: string | undefined;
  canvas(): HTMLCanvasElement | null;
  /** What it is called, and what stands beneath it. */
  name: string;
}

const foot = 90;

/** The picture, drawn anew at twice the size, saved with or without words beneath. */
export function SavePicture({ visit, look, canvas, name }: Props) {
  const save = useMutation({
    mutationFn: async (caption: boolean) => {
      const picture =
        look === undefined
          ? await shown(canvas())
          : await (await raw(`/api/visits/${visit}/plan/picture?twice=true&${look}`)).blob();
      const link = document.createElement("a");
      link.href = URL.createObjectURL(caption ? await captioned(picture, name) : picture);
      link.download = `${name}.png`;
      link.click();
      setTimeout(() => URL.revokeObjectURL(link.href), 1000);
    },
  });
  return (
    <Dropdown
      trigger={["click"]}
      menu={{
        items: [
          { key: "plain", label: "Picture" },
          { key: "words", label: "Picture with caption" },
        ],
        onClick: ({ key }) => save.mutate(key === "words"),
      }}
    >
      <Button
        aria-label="Save picture"
        title="Save picture"
        loading={save.isPending}
        icon={<span aria-hidden="true">⤓</span>}
      />
    </Dropdown>
  );
}

const shown = (canvas: HTMLCanvasElement | null): Promise<Blob> =>
  new Promise((done, failed) => {
    canvas?.toBlob((blob) => (blob ? done(blob) : failed(new Error("The picture could not be made."))));
  });

/** The same picture with words beneath it. */
async function captioned(picture: Blob, words: string): Promise<Blob> {
  const image = await createImageBitmap(picture);
  const canvas = new OffscreenCanvas(image.width, image.height + foot);
  const context = canvas.getContext("2d");
  if (!context) {
    return picture;
  }
  context.fillStyle = "white";
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(image, 0, 0);
  context.fillStyle = "black";
  context.font = `32px ${getComputedStyle(document.body).fontFamily}`;
  context.textAlign = "center";
  context.fillText(words, canvas.width / 2, image.height + foot / 2 + 10, canvas.width - 40);
  return canvas.convertToBlob({ type: "image/png" });
}
