import { useRef } from 'react';
import { smallJpeg } from '@/client/smallJpeg';
import { LinkRow } from './LinkRow';

interface Props {
  /** What the picture is of, for those who do not see it. */
  label: string;
  /** Ways on that stand beside it. */
  more?: { title: string; onPress: () => void }[];
  /** Is given the picture, made smaller on this device, as a promise that may fail in words. */
  onPick: (jpegBase64: Promise<string>) => void;
}

/** Takes a picture with the camera of this device, or one from its files. */
export function PhotoPicker({ label, more = [], onPick }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        aria-label={label}
        style={{ display: 'none' }}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onPick(smallJpeg(file));
        }}
      />
      <LinkRow links={[{ title: 'Take or choose a photo', onPress: () => input.current?.click() }, ...more]} />
    </>
  );
}
