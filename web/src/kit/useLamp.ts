import { useEffect } from 'react';

/** What is read from afar, often in a dim hall, is always by lamplight. */
export function useLamp(): void {
  useEffect(() => {
    const { dataset } = document.documentElement;
    const before = dataset.theme;
    dataset.theme = 'lamp';
    return () => {
      dataset.theme = before;
    };
  }, []);
}
