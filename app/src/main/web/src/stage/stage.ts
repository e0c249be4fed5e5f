import alpine from "@alpinejs/csp";
import "../shared/follow";
import { component } from "../shared/components";
import { tellRanges } from "../shared/ranges";
import { registerMenu } from "../shared/menu";
import { goToSearchByKey } from "../shared/search-key";
import { makeLight } from "./light";
import { stageScene } from "./scene";

registerMenu(alpine);
goToSearchByKey();
component(alpine, "light", makeLight);
component(alpine, "scene", (form) => stageScene(form as HTMLFormElement));
alpine.start();
tellRanges();
