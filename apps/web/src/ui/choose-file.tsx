import type { ReactNode } from 'react';
import { buttonClass } from './button';

/** A button that lets one choose a file; the same file may be chosen again. */
export function ChooseFile({
  accept,
  onFile,
  disabled = false,
  small = false,
  capture = false,
  children,
}: {
  accept: string;
  onFile: (file: File) => void;
  disabled?: boolean;
  small?: boolean;
  /** whether a device with a camera takes a photo for it */
  capture?: boolean;
  children: ReactNode;
}) {
  return (
    <label
      className={`${buttonClass('plain', small)} focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-action`}
    >
      {children}
      <input
        type="file"
        accept={accept}
        {...(capture && { capture: 'environment' })}
        className="sr-only"
        disabled={disabled}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
    </label>
  );
}
