/** The largest file that is looked at, bytes: a camera's photo is a tenth of that. */
const largestFile = 60 * 1024 * 1024;
/** It is sent no larger than this, pixels of its longer side. */
const longestSide = 2000;
const quality = 0.85;

/** A photo ready to be sent, or why it is none. */
export type Taken = { readonly bytes: ArrayBuffer } | { readonly refused: string };

/**
 * Makes a photo ready to be sent: smaller, upright, without what the camera writes beside it. Whether it is one
 * is seen by drawing it, not by its name; the server looks again.
 */
export async function takePhoto(file: Blob & { readonly name?: string }): Promise<Taken> {
  const called = file.name ? `“${file.name}”` : 'That';
  if (file.size > largestFile)
    return {
      refused: `${called} has ${Math.round(file.size / 1024 / 1024)} MB: more than ${largestFile / 1024 / 1024} MB are no photo for a bake. Nothing was sent.`,
    };
  let drawn: ImageBitmap;
  try {
    drawn = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return { refused: `${called} is no photo that can be shown, whatever its name says.` };
  }
  const share = Math.min(1, longestSide / Math.max(drawn.width, drawn.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(drawn.width * share));
  canvas.height = Math.max(1, Math.round(drawn.height * share));
  canvas.getContext('2d')?.drawImage(drawn, 0, 0, canvas.width, canvas.height);
  drawn.close();
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', quality));
  return blob
    ? { bytes: await blob.arrayBuffer() }
    : { refused: `${called} could not be made smaller here.` };
}
