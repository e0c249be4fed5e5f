/** A function that runs another at the next frame, once, however often it is called before. */
export function oncePerFrame(run: () => void): () => void {
  let asked = false;
  return () => {
    if (!asked) {
      asked = true;
      requestAnimationFrame(() => {
        asked = false;
        run();
      });
    }
  };
}
