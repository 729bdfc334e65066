import { useCallback, useRef, useState } from 'react';

const STEP = 60;

/**
 * How many entries of a long list to draw: the first of them, and more whenever its end, which carries the ref, comes
 * near the eye.
 */
export function useGrowing(): { drawn: number; end: (element: HTMLElement | null) => void } {
  const [drawn, setDrawn] = useState(STEP);
  const observer = useRef<IntersectionObserver | null>(null);
  const end = useCallback((element: HTMLElement | null) => {
    observer.current?.disconnect();
    if (!element) return;
    observer.current = new IntersectionObserver(([seen]) => seen?.isIntersecting && setDrawn((known) => known + STEP), {
      rootMargin: '800px',
    });
    observer.current.observe(element);
  }, []);
  return { drawn, end };
}
