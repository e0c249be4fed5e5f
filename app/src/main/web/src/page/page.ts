import alpine from "@alpinejs/csp";
import "htmx.org";
import { component } from "../shared/components";
import { registerMenu } from "../shared/menu";
import { registerSubmits } from "../shared/submits";
import { registerDoubts, registerTicks } from "./doubts";
import { importCards } from "./import-cards";
import { mergeTwins } from "./merge-twins";
import { registerProjectFile } from "./project-file";

registerMenu(alpine);
registerSubmits(alpine);
registerProjectFile(alpine);
registerDoubts(alpine);
registerTicks(alpine);
component(alpine, "twins", mergeTwins);
component(alpine, "importCards", importCards);
alpine.start();
