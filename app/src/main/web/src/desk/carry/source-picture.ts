const pictures = new Map<string, Promise<HTMLImageElement>>();
/** How much of the other sheet is shown around the place, as a share of its width. */
const SHOWN = 0.22;
const RING_PX = 13;

/** Paints the surroundings of a place of another sheet, with a ring around the place. @param place shares of the sheet's size */
export async function paintSource(
  canvas: HTMLCanvasElement,
  path: string,
  place: { x: number; y: number },
): Promise<void> {
  const image = await (pictures.get(path) ?? load(path));
  const { width, height } = canvas;
  const span = SHOWN * image.naturalWidth;
  const tall = (span * height) / width;
  const context = canvas.getContext("2d")!;
  context.fillStyle = "#b8b8b8";
  context.fillRect(0, 0, width, height);
  const left = place.x * image.naturalWidth - span / 2;
  const top = place.y * image.naturalHeight - tall / 2;
  context.imageSmoothingQuality = "high";
  context.drawImage(image, left, top, span, tall, 0, 0, width, height);
  for (const [colour, line] of [
    ["white", 5],
    ["black", 2],
  ] as const) {
    context.strokeStyle = colour;
    context.lineWidth = line;
    context.beginPath();
    context.arc(width / 2, height / 2, RING_PX, 0, 2 * Math.PI);
    context.stroke();
  }
}

function load(path: string): Promise<HTMLImageElement> {
  const image = new Image();
  image.src = path;
  const loaded = image.decode().then(() => image);
  pictures.set(path, loaded);
  return loaded;
}
