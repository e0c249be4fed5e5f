import { byId } from "../../shared/dom";

/** Shows a picture of another size as it would lie over the sheet, and asks whether it is to be taken so. */
export async function asksToStretch(picture: File, said: string): Promise<boolean> {
  const dialog = byId<HTMLDialogElement>("stretching");
  byId("stretching-said").textContent = said;
  await paint(byId<HTMLCanvasElement>("stretching-picture"), picture);
  dialog.returnValue = "";
  dialog.showModal();
  return new Promise((resolve) =>
    dialog.addEventListener("close", () => resolve(dialog.returnValue === "stretch"), { once: true }),
  );
}

/** The sheet's small picture lies over it, so that one sees whether lines and flats meet. */
async function paint(canvas: HTMLCanvasElement, picture: File): Promise<void> {
  const sheet = byId<HTMLCanvasElement>("present-picture");
  canvas.width = 480;
  canvas.height = Math.round((480 * sheet.height) / sheet.width);
  const context = canvas.getContext("2d")!;
  const decoded = await createImageBitmap(picture).catch(() => undefined);
  // What a browser cannot read, as TIFF, is taken or left unseen.
  canvas.hidden = decoded === undefined;
  if (decoded) {
    context.drawImage(decoded, 0, 0, canvas.width, canvas.height);
    context.globalCompositeOperation = "multiply";
    context.drawImage(sheet, 0, 0, canvas.width, canvas.height);
  }
}
