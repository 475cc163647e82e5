import { CallFailed } from './api';

/** Long enough to see an animal by, small enough for a phone's line. px */
const LONG_SIDE = 1280;
const QUALITY = 0.8;
/** As large as a phone takes it, where its keeper wishes. px, and what the server takes of it: base64 letters */
const FULL_SIDE = 4096;
const MOST_LETTERS = 11_000_000;

/**
 * A picture as a JPEG of at most 1280 px, or in full size, in base64 without its header. What a camera wrote beside the picture is not in it.
 * @throws CallFailed in words when the file is no picture.
 */
export async function smallJpeg(file: Blob, isFull = false): Promise<string> {
  const picture = await createImageBitmap(file).catch(() => {
    throw new CallFailed('That file is no picture this browser can read. Choose a JPEG or PNG.');
  });
  const shrink = Math.min(1, (isFull ? FULL_SIDE : LONG_SIDE) / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * shrink);
  canvas.height = Math.round(picture.height * shrink);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  const jpeg = canvas.toDataURL('image/jpeg', QUALITY).replace(/^data:image\/jpeg;base64,/, '');
  if (jpeg.length > MOST_LETTERS) throw new CallFailed('In full size that picture is too large: keep it small.');
  return jpeg;
}
