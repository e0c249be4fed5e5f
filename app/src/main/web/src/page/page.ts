import alpine from "@alpinejs/csp";
import "htmx.org";
import { registerMenu } from "../shared/menu";
import { submitOnChoice } from "../shared/submits";
import { importCards } from "./import-cards";

registerMenu(alpine);
alpine.start();

submitOnChoice();

const cards = document.getElementById("import-cards");
if (cards) {
  importCards(cards);
}
