import { useRef, type ReactNode } from 'react';

interface Wanted {
  /** What the file is, for those who do not see the page. */
  label: string;
  /** Endings and types, with commas between. */
  accept: string;
  /** Where the device has a camera: which of them. */
  capture?: 'environment';
  onChoose: (file: File) => void;
}

/** A file of this device: what opens the choice of the system, and its input, to be placed anywhere on the page. */
export function useFile({ label, accept, capture, onChoose }: Wanted): { choose: () => void; input: ReactNode } {
  const field = useRef<HTMLInputElement>(null);
  const input = (
    <input
      ref={field}
      type="file"
      {...{ accept, capture }}
      aria-label={label}
      style={{ display: 'none' }}
      onChange={(event) => {
        const file = event.target.files?.[0];
        // The same file can be chosen again.
        event.target.value = '';
        if (file) onChoose(file);
      }}
    />
  );
  return { choose: () => field.current?.click(), input };
}
