import alpine from "@alpinejs/csp";
import "htmx.org";
import { registerMenu } from "../shared/menu";
import { submitOnChoice } from "../shared/submits";
import { mergeTwins } from "./merge-twins";
import { importCards } from "./import-cards";
import { registerProjectFile } from "./project-file";

registerMenu(alpine);
registerProjectFile(alpine);
alpine.start();

submitOnChoice();

const twins = document.querySelector<HTMLElement>(".twins-side");
if (twins) {
  mergeTwins(twins);
}

const cards = document.getElementById("import-cards");
if (cards) {
  importCards(cards);
}
