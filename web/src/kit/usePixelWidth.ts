import { type RefObject, useEffect, useRef, useState } from 'react';

/** The width of an element in pixels as it is laid out, followed while it changes. */
export function usePixelWidth<E extends Element>(initial: number): readonly [RefObject<E | null>, number] {
  const element = useRef<E>(null);
  const [width, setWidth] = useState(initial);
  useEffect(() => {
    if (!element.current || typeof ResizeObserver === 'undefined') return undefined;
    const observer = new ResizeObserver(([entry]) => entry && entry.contentRect.width > 0 && setWidth(entry.contentRect.width));
    observer.observe(element.current);
    return () => observer.disconnect();
  }, []);
  return [element, width];
}
