/** Listens to what others change in a project; the browser asks again by itself when the line breaks. */
export class Live {
  private readonly source: EventSource;

  constructor(project: string) {
    this.source = new EventSource(`/projects/${project}/live`);
    window.addEventListener("pagehide", () => this.source.close());
  }

  onPalette(changed: () => void): void {
    this.source.addEventListener("palette", changed);
  }

  onSheet(changed: (sheet: string, author: string) => void): void {
    this.source.addEventListener("sheet", (event) => {
      const [sheet, author] = (event as MessageEvent<string>).data.split(" ");
      changed(sheet!, author!);
    });
  }
}
