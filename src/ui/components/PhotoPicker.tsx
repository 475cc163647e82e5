import { smallJpeg } from '@/client/smallJpeg';
import { useFile } from '../kit/useFile';
import { LinkRow } from './LinkRow';

interface Props {
  /** What the picture is of, for those who do not see it. */
  label: string;
  /** Ways on that stand beside it. */
  more?: { title: string; onPress: () => void }[];
  /** Is given the picture, made smaller on this device, as a promise that may fail in words. */
  onPick: (jpegBase64: Promise<string>) => void;
  /** It is not made smaller. */
  isFull?: boolean;
}

/** Takes a picture with the camera of this device, or one from its files. */
export function PhotoPicker({ label, more = [], onPick, isFull = false }: Props) {
  const { choose, input } = useFile({
    ...{ label, accept: 'image/*', capture: 'environment' },
    onChoose: (file) => onPick(smallJpeg(file, isFull)),
  });
  return (
    <>
      {input}
      <LinkRow links={[{ title: 'Take or choose a photo', onPress: choose }, ...more]} />
    </>
  );
}
