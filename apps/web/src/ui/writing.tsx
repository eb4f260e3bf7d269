import type { TextareaHTMLAttributes } from 'react';

/** A few lines of one's own words; Ctrl or the command key with Enter sends them. */
export function Writing({
  onText,
  onSend,
  ...rest
}: Omit<TextareaHTMLAttributes<HTMLTextAreaElement>, 'onChange' | 'onKeyDown'> & {
  value: string;
  onText: (text: string) => void;
  onSend: () => void;
}) {
  return (
    <textarea
      className="field"
      rows={2}
      maxLength={2000}
      {...rest}
      onChange={({ target }) => onText(target.value)}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey)) return;
        event.preventDefault();
        onSend();
      }}
    />
  );
}
