import htmx from "htmx.org";
import { Away, call, Refusal } from "../shared/http";

const areKnown = () =>
  typeof PublicKeyCredential !== "undefined" && "parseRequestOptionsFromJSON" in PublicKeyCredential;

/** Why nothing came of it, for the person; a browser's own window that was closed needs no words. */
function words(error: unknown): string {
  return error instanceof Refusal || error instanceof Away
    ? error.message
    : "Nothing came of it. Try again, or use your name and password.";
}

/** An Alpine component: lets somebody in whose device shows a passkey. */
export const passkeySignIn = () => ({
  isOffered: areKnown(),
  said: "",

  async enter(): Promise<void> {
    this.said = "";
    try {
      const asked = await call<PublicKeyCredentialRequestOptionsJSON>("/sign-in/passkey/options", {});
      const publicKey = PublicKeyCredential.parseRequestOptionsFromJSON(asked);
      const shown = (await navigator.credentials.get({ publicKey })) as PublicKeyCredential;
      const { to } = await call<{ to: string }>("/sign-in/passkey", shown.toJSON());
      location.assign(to + location.hash);
    } catch (error) {
      this.said = words(error);
    }
  },
});

/** An Alpine component: the passkeys of an account, and the form that adds one. */
export const passkeys = () => ({
  said: "",

  async add(event: Event): Promise<void> {
    const form = event.target as HTMLFormElement;
    const typed = new FormData(form);
    this.said = "";
    try {
      if (!areKnown()) {
        this.said = "This browser knows no passkeys.";
        return;
      }
      const asked = await call<PublicKeyCredentialCreationOptionsJSON>("/account/passkeys/options", {
        password: typed.get("password"),
      });
      const publicKey = PublicKeyCredential.parseCreationOptionsFromJSON(asked);
      const made = (await navigator.credentials.create({ publicKey })) as PublicKeyCredential;
      await call(`/account/passkeys?label=${encodeURIComponent(String(typed.get("label")))}`, made.toJSON());
      await htmx.ajax("get", "/account/passkeys", { target: "#passkeys", swap: "outerHTML" });
    } catch (error) {
      this.said = words(error);
    }
  },
});
