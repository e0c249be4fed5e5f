import alpine from "@alpinejs/csp";
import "../shared/follow";
import { component } from "../shared/components";
import { tellRanges } from "../shared/ranges";
import { registerMenu } from "../shared/menu";
import { makeLight } from "./light";
import { stageScene } from "./scene";

registerMenu(alpine);
component(alpine, "light", makeLight);
component(alpine, "scene", (form) => stageScene(form as HTMLFormElement));
alpine.start();
tellRanges();
