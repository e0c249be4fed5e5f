import alpine from "@alpinejs/csp";
import "htmx.org";
import { registerMenu } from "../shared/menu";

registerMenu(alpine);
alpine.start();
