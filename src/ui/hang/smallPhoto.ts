/** The longer edge of a photograph as it is kept, points. */
const LONGEST_EDGE = 1280;
const QUALITY = 0.72;

/** A photograph made small in the browser, as a data URL of a JPEG; undefined where it cannot be read. */
export async function smallPhoto(file: File): Promise<string | undefined> {
  const picture = await createImageBitmap(file).catch(() => undefined);
  if (!picture) return undefined;
  const scale = Math.min(1, LONGEST_EDGE / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.round(picture.width * scale), Math.round(picture.height * scale)];
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return canvas.toDataURL('image/jpeg', QUALITY);
}
