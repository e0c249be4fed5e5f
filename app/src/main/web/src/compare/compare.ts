import alpine from "@alpinejs/csp";
import "../shared/follow";
import { tellRanges } from "../shared/ranges";
import { registerMenu } from "../shared/menu";
import { registerMoments } from "./moments";

registerMenu(alpine);
registerMoments(alpine);
alpine.start();
tellRanges();
