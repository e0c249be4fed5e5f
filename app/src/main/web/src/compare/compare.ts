import alpine from "@alpinejs/csp";
import "../shared/follow";
import { registerMenu } from "../shared/menu";
import { registerMoments } from "./moments";

registerMenu(alpine);
registerMoments(alpine);
alpine.start();
