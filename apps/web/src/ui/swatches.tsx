import { colourName } from '@ichnograph/core';
import { useEffect, useRef } from 'react';

/** Colours to choose from, pale ones first, and a way to any other. */
export function Swatches({
  label,
  colours,
  value,
  onChange,
}: {
  label: string;
  colours: readonly string[];
  value: string | undefined;
  onChange: (colour: string) => void;
}) {
  return (
    <div role="group" aria-label={label} className="grid grid-cols-[6rem_1fr] items-center gap-2">
      <span>{label}</span>
      <div className="flex flex-wrap gap-1">
        {colours.map((colour) => (
          <button
            key={colour}
            data-swatch
            type="button"
            aria-pressed={value?.toLowerCase() === colour.toLowerCase()}
            aria-label={colour === 'none' ? 'no fill' : colourName(colour)}
            title={colour === 'none' ? 'no fill' : colourName(colour)}
            onClick={() => onChange(colour)}
            className="h-6 w-6 rounded-sm border border-[#8b9389] aria-pressed:outline-2 aria-pressed:outline-offset-1 aria-pressed:outline-ink"
            style={{
              background:
                colour === 'none' ? 'linear-gradient(135deg,#fff 47%,#9e2b3f 47%,#9e2b3f 53%,#fff 53%)' : colour,
            }}
          />
        ))}
        <AnyColour
          label={`Another ${label.toLowerCase()}`}
          value={value && value !== 'none' ? value : '#ffffff'}
          onChange={onChange}
        />
      </div>
    </div>
  );
}

/** The browser's own picker. It tells each shade on the way; only the one it is left with is taken. */
function AnyColour({ label, value, onChange }: { label: string; value: string; onChange: (colour: string) => void }) {
  const input = useRef<HTMLInputElement>(null);
  const newest = useRef(onChange);
  useEffect(() => {
    newest.current = onChange;
  });
  useEffect(() => {
    const field = input.current;
    // React's own `onChange` is the platform's `input`; `change` comes once, when the picker closes.
    const chosen = (): void => newest.current(field!.value);
    field?.addEventListener('change', chosen);
    return () => field?.removeEventListener('change', chosen);
  }, []);
  // It follows what is chosen elsewhere, and stays the field it is: made anew it would lose the focus.
  useEffect(() => {
    input.current!.value = value;
  }, [value]);
  return (
    <input
      ref={input}
      type="color"
      aria-label={label}
      data-swatch
      className="h-6 w-8 border border-[#8b9389] bg-white"
      defaultValue={value}
    />
  );
}
