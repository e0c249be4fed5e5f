import alpine from "@alpinejs/csp";
import "htmx.org";
import { registerMenu } from "../shared/menu";
import { importCards } from "./import-cards";

registerMenu(alpine);
alpine.start();

const cards = document.getElementById("import-cards");
if (cards) {
  importCards(cards);
}
