import { useEffect } from 'react';

/** To the map where there is one, else to the page. */
export function goHome(): void {
  const home = document.querySelector<HTMLElement>('[data-focus-home]') ?? document.getElementById('main');
  home?.focus({ preventScroll: true });
}

/**
 * The focus always has a place: when what had it is gone or can be pressed no more, it goes home, to the map where there
 * is one, else to the page.
 */
export function useFocusHome(): void {
  useEffect(() => {
    let last: Element | null = null;
    const remember = ({ target }: FocusEvent): void => {
      last = target as Element;
    };
    const lookAfter = (): void => {
      if (document.activeElement !== document.body || last === null) return;
      const isGone = !last.isConnected || (last instanceof HTMLButtonElement && last.disabled);
      if (!isGone) return;
      last = null;
      goHome();
    };
    // A dialog that closes gives the focus back by itself, a moment later.
    const observer = new MutationObserver(() => requestAnimationFrame(lookAfter));
    observer.observe(document.body, {
      childList: true,
      subtree: true,
      attributes: true,
      attributeFilter: ['disabled'],
    });
    document.addEventListener('focusin', remember);
    return () => {
      observer.disconnect();
      document.removeEventListener('focusin', remember);
    };
  }, []);
}

/** For what closes and would give the focus back a moment later: not where it has gone elsewhere meanwhile. */
export function stayWhereFocusIs(event: Event): void {
  if (document.activeElement && document.activeElement !== document.body) event.preventDefault();
}

/**
 * For a dialog that closes: the focus goes back to what opened it, or where it is told to; not where something was opened
 * meanwhile that has it. That it has gone home only says that nobody had it.
 */
export function giveBackFocus(event: Event, opener: HTMLElement | null, otherwise?: (event: Event) => void): void {
  const at = document.activeElement;
  if (at && at !== document.body && !at.matches('[data-focus-home], #main')) return event.preventDefault();
  if (otherwise) return otherwise(event);
  event.preventDefault();
  if (opener?.isConnected) opener.focus();
}
