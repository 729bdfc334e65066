import { useLayoutEffect, useRef, useState } from 'react';

/** The width of an element as it is laid out, px; follows it when the window changes. */
export function useWidth<E extends HTMLElement>(usual: number) {
  const ref = useRef<E>(null);
  const [width, setWidth] = useState(usual);
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setWidth(Math.max(200, element.clientWidth)));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, width] as const;
}
