import { useEffect, useState } from 'react';

export type Theme = 'bench' | 'lamp';
const STORAGE_KEY = 'myokinet.theme';

/** The theme of this device: chosen by hand, else what the system asks for. */
export function useTheme(): readonly [Theme, () => void] {
  const [theme, setTheme] = useState<Theme>(initialTheme);
  useEffect(() => {
    document.documentElement.dataset.theme = theme;
  }, [theme]);
  const toggle = () => {
    const next = theme === 'bench' ? 'lamp' : 'bench';
    setTheme(next);
    localStorage.setItem(STORAGE_KEY, next);
  };
  return [theme, toggle];
}

function initialTheme(): Theme {
  const chosen = localStorage.getItem(STORAGE_KEY);
  if (chosen === 'bench' || chosen === 'lamp') return chosen;
  return window.matchMedia('(prefers-color-scheme: dark)').matches ? 'lamp' : 'bench';
}
