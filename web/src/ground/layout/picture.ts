/** The longest side kept of a picture: enough for a plan, and small enough to keep. */
const LONGEST_PX = 2600;
/** A file above this is not read at all: a browser would need gigabytes to open it. */
const LARGEST_BYTES = 40_000_000;

/**
 * A picture made small enough to lie under a plan.
 * @throws RangeError `fileTooLarge:40` for a file that is not opened, `notAPicture` for what cannot be
 */
export async function shrunk(file: Blob): Promise<{ content: Blob; width: number; height: number }> {
  if (file.size > LARGEST_BYTES) throw new RangeError(`fileTooLarge:${LARGEST_BYTES / 1_000_000}`);
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    throw new RangeError('notAPicture');
  }
  const factor = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * factor), Math.round(bitmap.height * factor)];
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return { content: await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 }), width, height };
}
