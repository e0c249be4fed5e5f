import alpine from "@alpinejs/csp";
import { registerMenu } from "../shared/menu";
import { submitOnChoice } from "../shared/submits";
import { makeLight } from "./light";
import { stageScene } from "./scene";

registerMenu(alpine);
alpine.start();
submitOnChoice();

const light = document.getElementById("light");
if (light) {
  makeLight(light);
}

const scene = document.getElementById("stage");
if (scene) {
  stageScene(scene as HTMLFormElement);
}
