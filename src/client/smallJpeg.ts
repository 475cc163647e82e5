import { CallFailed } from './api';

/** Long enough to see an animal by, small enough for a phone's line. px */
const LONG_SIDE = 1280;
const QUALITY = 0.8;

/**
 * A picture as a JPEG of at most 1280 px, in base64 without its header.
 * @throws CallFailed in words when the file is no picture.
 */
export async function smallJpeg(file: Blob): Promise<string> {
  const picture = await createImageBitmap(file).catch(() => {
    throw new CallFailed('That file is no picture this browser can read. Choose a JPEG or PNG.');
  });
  const shrink = Math.min(1, LONG_SIDE / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * shrink);
  canvas.height = Math.round(picture.height * shrink);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return canvas.toDataURL('image/jpeg', QUALITY).replace(/^data:image\/jpeg;base64,/, '');
}
