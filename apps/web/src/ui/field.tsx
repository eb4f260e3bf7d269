import { useEffect, useId, useRef } from 'react';
import type { InputHTMLAttributes, ReactNode } from 'react';

interface Labelled {
  label: string;
  error?: string | undefined;
  hint?: ReactNode;
}

/** A labelled input that says in words what is wrong with it. Works with react-hook-form's `register`. */
export function Field({
  label,
  error,
  hint,
  ...input
}: Labelled & InputHTMLAttributes<HTMLInputElement> & { ref?: React.Ref<HTMLInputElement> }) {
  const id = useId();
  const about = [hint ? `${id}-hint` : '', error ? `${id}-error` : ''].filter(Boolean).join(' ');
  return (
    <div className="mb-4">
      <label htmlFor={id} className="mb-1 block font-semibold">
        {label}
      </label>
      <input
        id={id}
        className="field"
        aria-invalid={error ? true : undefined}
        aria-describedby={about || undefined}
        {...input}
      />
      {hint && (
        <p id={`${id}-hint`} className="mt-1 text-sm text-quiet">
          {hint}
        </p>
      )}
      {error && (
        <p id={`${id}-error`} role="alert" className="mt-1 text-sm text-madder">
          {sentence(error)}
        </p>
      )}
    </div>
  );
}

const sentence = (words: string): string =>
  `${words.charAt(0).toUpperCase()}${words.slice(1)}${/[.!?]$/.test(words) ? '' : '.'}`;

/** What an action ran into, said once beside its button, and brought into sight where the page was scrolled away from it. */
export function Trouble({ children }: { children: ReactNode }) {
  const place = useRef<HTMLParagraphElement>(null);
  useEffect(() => {
    place.current?.scrollIntoView({ block: 'nearest' });
  }, [children]);
  return children ? (
    <p ref={place} role="alert" className="words mb-4 border-l-4 border-madder bg-madder-wash px-3 py-2">
      {children}
    </p>
  ) : null;
}
