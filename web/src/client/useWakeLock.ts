import { useEffect, useState } from 'react';

/** Keeps the screen lit while the floor is shown; says whether it could. */
export function useWakeLock(): 'on' | 'refused' | 'asking' {
  const [state, setState] = useState<'on' | 'refused' | 'asking'>('asking');
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let gone = false;
    const ask = async () => {
      try {
        if (!('wakeLock' in navigator)) throw new Error('none');
        const got = await navigator.wakeLock.request('screen');
        if (gone) await got.release();
        else {
          lock = got;
          setState('on');
        }
      } catch {
        if (!gone) setState('refused');
      }
    };
    // The system takes it away when the page is left.
    const back = () => {
      if (document.visibilityState === 'visible') void ask();
    };
    void ask();
    document.addEventListener('visibilitychange', back);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', back);
      void lock?.release().catch(() => undefined);
    };
  }, []);
  return state;
}
