/** Does something once the next frame stands on the screen; at once where nothing is drawn. @returns what calls it off */
export function afterPaint(work: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const later = () => (timer = setTimeout(work));
  if (document.hidden) {
    later();
    return () => clearTimeout(timer);
  }
  const frame = requestAnimationFrame(later);
  return () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  };
}
