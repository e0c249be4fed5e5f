import { LOOKS_ONLY } from "../../shared/looks-only";
import type { Desk } from "../hand/desk";
import { RemarksDrawer } from "./remarks";

/** What is said about places of the sheet. */
export function openRemarks({ path, stack, hand, view, crop, regions, column, commands, parts }: Desk): void {
  const drawer = new RemarksDrawer(path, stack, hand, view, crop, regions, column);
  column.add("remarks", drawer);
  parts.follow("REMARKS", () => drawer.renew());
  commands.add(
    {
      name: "remarks",
      keys: ["Shift Y"],
      chapter: "Panels",
      tells: "show or hide what is said about the sheet",
      run: () => column.toggle("remarks"),
    },
    {
      name: "remark-next",
      keys: ["PageDown"],
      chapter: "Sheet",
      tells: "the next open remark",
      run: () => drawer.step(1),
    },
    {
      name: "remark-last",
      keys: ["PageUp"],
      chapter: "Sheet",
      tells: "the open remark before",
      run: () => drawer.step(-1),
    },
    {
      name: "remark-here",
      keys: ["Shift N"],
      chapter: "Sheet",
      tells: "say something about the region pointed at",
      entry: { menu: "region", label: () => (LOOKS_ONLY ? undefined : "Say something about it"), part: 3 },
      run: () => void drawer.begin(),
    },
  );
}
