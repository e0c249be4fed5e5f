import { byId } from "../../shared/dom";
import { call } from "../../shared/http";

const ASK_MS = 1200;

/** While the gaps of a sheet are being found in the background: says so, and shows them when they are there. */
export function waitUntilSharp(
  path: string,
  isSharp: boolean,
  isBusy: () => boolean,
  show: () => Promise<void>,
): void {
  const { dataset } = byId("desk");
  dataset["sharp"] = String(isSharp);
  if (isSharp) {
    return;
  }
  byId("sharpening").hidden = false;
  const ask = async () => {
    const sharp = await call<boolean>(`${path}/sharp`).catch(() => false);
    const shown =
      sharp &&
      !isBusy() &&
      (await show().then(
        () => true,
        () => false,
      ));
    byId("sharpening").hidden = shown;
    dataset["sharp"] = String(shown);
    if (!shown) {
      setTimeout(() => void ask(), ASK_MS);
    }
  };
  setTimeout(() => void ask(), ASK_MS);
}
