import alpine from "@alpinejs/csp";
import "../shared/follow";
import { tellRanges } from "../shared/ranges";
import { registerMenu } from "../shared/menu";
import { goToSearchByKey } from "../shared/search-key";
import { registerMoments } from "./moments";

registerMenu(alpine);
goToSearchByKey();
registerMoments(alpine);
alpine.start();
tellRanges();
