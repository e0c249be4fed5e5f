import type { Alpine } from "alpinejs";
import { upload } from "../shared/upload";

/** Brings a project in from a file, says how far it is, and goes to the project when it is there. */
export function registerProjectFile(alpine: Alpine): void {
  alpine.data("projectFile", () => ({
    said: "",
    refusal: "",
    get isBusy() {
      return this.said !== "";
    },
    choose(event: Event) {
      const input = event.target as HTMLInputElement;
      const file = input.files?.[0];
      input.value = "";
      if (file) {
        void this.take(file);
      }
    },
    async take(file: File) {
      this.refusal = "";
      this.said = `Sending ${file.name}`;
      try {
        const project = await upload<{ id: string }>(
          "/shelf/project-file",
          file,
          (percent) => {
            this.said =
              percent < 100 ? `Sending ${file.name}, ${percent} %` : "Reading; this may take a minute";
          },
          new AbortController().signal,
        );
        location.assign(`/projects/${project.id}`);
      } catch (error) {
        this.said = "";
        this.refusal = (error as Error).message;
      }
    },
  }));
}
