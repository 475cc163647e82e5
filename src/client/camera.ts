import { transfer, wrap, type Remote } from 'comlink';
import type { ScanWork } from './scan.worker';

/** Why nothing can be scanned: no camera there, none allowed, none given to an address that is not safe, or in use elsewhere. */
export type NoCamera = 'none' | 'refused' | 'unsafe' | 'busy';

export class CameraFailed extends Error {
  constructor(readonly why: NoCamera) {
    super(why);
    this.name = 'CameraFailed';
  }
}

/** The camera that looks away from its keeper, where there are two. @throws CameraFailed */
export async function openCamera(): Promise<MediaStream> {
  // Browsers give a camera to pages over https, and to those of this computer itself.
  if (!window.isSecureContext) throw new CameraFailed('unsafe');
  if (!('mediaDevices' in navigator)) throw new CameraFailed('none');
  try {
    return await navigator.mediaDevices.getUserMedia({
      audio: false,
      video: { facingMode: 'environment', width: { ideal: 1280 }, height: { ideal: 720 } },
    });
  } catch (error) {
    const { name } = error as DOMException;
    if (name === 'NotAllowedError' || name === 'SecurityError') throw new CameraFailed('refused');
    throw new CameraFailed(name === 'NotReadableError' || name === 'AbortError' ? 'busy' : 'none');
  }
}

/** Between two looks at the picture. ms, chosen here */
const PAUSE_MS = 60;
/** The longer side of what is looked at: a code over a tenth of the picture still has three dots to a square. px */
const LOOKED_AT_PX = 800;

let worker: Remote<ScanWork> | undefined;

/** Tells each code that the camera sees, beside the page; the same one again only after another or none. Answers how to end it. */
export function readCodes(video: HTMLVideoElement, tell: (text: string) => void): () => void {
  worker ??= wrap<ScanWork>(new Worker(new URL('./scan.worker.ts', window.location.href)));
  const remote = worker;
  const canvas = document.createElement('canvas');
  const drawn = canvas.getContext('2d', { willReadFrequently: true });
  let isOn = true;
  let last: string | null = null;
  const look = async (): Promise<void> => {
    while (isOn) {
      const { videoWidth, videoHeight } = video;
      if (drawn && videoWidth > 0) {
        const scale = Math.min(1, LOOKED_AT_PX / Math.max(videoWidth, videoHeight));
        canvas.width = Math.round(videoWidth * scale);
        canvas.height = Math.round(videoHeight * scale);
        drawn.drawImage(video, 0, 0, canvas.width, canvas.height);
        const { data, width, height } = drawn.getImageData(0, 0, canvas.width, canvas.height);
        const text = await remote.read(transfer(data, [data.buffer]), width, height);
        if (isOn && text !== null && text !== last) tell(text);
        last = text;
      }
      await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
    }
  };
  void look();
  return () => {
    isOn = false;
  };
}
