import { type RefObject, startTransition, useEffect, useRef, useState } from 'react';

/** So far outside of the window something is made ready. */
const AHEAD = '600px';

/** Whether something has come near the window: what is far down a long list is not worked out until then. */
export function useNearScreen<E extends Element>(): readonly [RefObject<E | null>, boolean] {
  const ref = useRef<E>(null);
  const [near, setNear] = useState(typeof IntersectionObserver === 'undefined');
  useEffect(() => {
    const element = ref.current;
    if (!element || near) return;
    const observer = new IntersectionObserver(
      (entries) => {
        // Many come near at once, and are drawn in slices.
        if (entries.some((e) => e.isIntersecting)) startTransition(() => setNear(true));
      },
      { rootMargin: AHEAD },
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, [near]);
  return [ref, near];
}
