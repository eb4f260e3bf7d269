import { useEffect, useRef } from 'react';
import type { RefObject } from 'react';

/** Who moves the map themselves, or presses Escape on it, goes along with nobody any more. */
export function useLetGo(host: RefObject<HTMLDivElement | null>, isLed: boolean, onLetGo: () => void): void {
  const letGo = useRef(onLetGo);
  useEffect(() => {
    letGo.current = onLetGo;
  });
  useEffect(() => {
    const canvas = host.current;
    if (!isLed || !canvas) return;
    const byHand = (): void => letGo.current();
    const byKey = ({ key }: KeyboardEvent): void => {
      if (key === 'Escape') letGo.current();
    };
    canvas.addEventListener('wheel', byHand, { capture: true, passive: true });
    canvas.addEventListener('pointerdown', byHand, { capture: true });
    canvas.addEventListener('keydown', byKey, { capture: true });
    return () => {
      canvas.removeEventListener('wheel', byHand, { capture: true });
      canvas.removeEventListener('pointerdown', byHand, { capture: true });
      canvas.removeEventListener('keydown', byKey, { capture: true });
    };
  }, [isLed, host]);
}
