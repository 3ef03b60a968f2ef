import type { LinkOpenReply } from '@myokinet/core/contracts';
import { useCallback, useEffect, useRef, useState } from 'react';
import { ask, type Refused } from './ask.ts';

interface OpenLinkProps {
  /** What the address held behind the #; absent: nothing. */
  readonly secret: string | undefined;
  readonly opened: (reply: LinkOpenReply) => void;
  /** The way to a page that this phone knows already. */
  readonly instead?: () => void;
}

type State = { readonly is: 'asking' } | { readonly is: 'away' } | { readonly is: 'refused'; readonly refused: Refused };

/** A link comes in: the PIN where one is asked for, and plain words where it opens nothing. */
export function OpenLink({ secret, opened, instead }: OpenLinkProps) {
  const [state, setState] = useState<State>({ is: 'asking' });
  const [pin, setPin] = useState('');
  const [pasted, setPasted] = useState('');
  const begun = useRef(false);

  const open = useCallback(
    async (link: string, withPin?: string) => {
      setState({ is: 'asking' });
      const answer = await ask<LinkOpenReply>('open', { body: { link, ...(withPin ? { pin: withPin } : {}) } });
      if ('data' in answer) opened(answer.data);
      else setState('away' in answer ? { is: 'away' } : { is: 'refused', refused: answer.refused });
    },
    [opened],
  );
  useEffect(() => {
    if (secret === undefined || begun.current) return;
    begun.current = true;
    void (async () => open(secret))();
  }, [secret, open]);

  const wantsPin = state.is === 'refused' && ['link-pin-needed', 'link-pin-wrong', 'try-later'].includes(state.refused.code);
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-4 p-5 text-lg">
      <h1>My practice</h1>
      {secret === undefined && (
        <form
          className="flex flex-col gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            window.location.hash = pasted.trim().split('#').at(-1) ?? '';
            window.location.reload();
          }}
        >
          <p>Open the link that your coach gave you, or scan its code with this phone’s camera.</p>
          <label>
            <span className="block text-base font-semibold">Or paste it here</span>
            <input className="input w-full" value={pasted} onChange={(e) => setPasted(e.target.value)} autoComplete="off" />
          </label>
          <button type="submit" className="btn btn-primary min-h-12" disabled={pasted.trim().length < 20}>
            Open my page
          </button>
        </form>
      )}
      {secret !== undefined && state.is === 'asking' && <p role="status">Opening your page…</p>}
      {state.is === 'away' && (
        <div role="alert">
          <p>The studio’s server does not answer. This page has to be opened once with a connection; from then on it works without.</p>
          <button type="button" className="btn btn-primary mt-3 min-h-12" onClick={() => secret !== undefined && void open(secret, pin)}>
            Try again
          </button>
        </div>
      )}
      {state.is === 'refused' && !wantsPin && <p role="alert">{state.refused.detail}</p>}
      {wantsPin && secret !== undefined && (
        <form
          className="flex flex-col gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            void open(secret, pin);
          }}
        >
          <p role="alert">{state.refused.detail}</p>
          <label>
            <span className="block text-base font-semibold">PIN</span>
            <input
              className="input w-40 text-2xl tracking-widest"
              inputMode="numeric"
              autoComplete="off"
              maxLength={8}
              value={pin}
              onChange={(e) => setPin(e.target.value.replaceAll(/\D/g, ''))}
            />
          </label>
          <button type="submit" className="btn btn-primary min-h-12" disabled={pin.length < 4}>
            Open my page
          </button>
        </form>
      )}
      {instead && state.is !== 'asking' && (
        <button type="button" className="btn btn-ghost min-h-12" onClick={instead}>
          Open the page that this phone knows
        </button>
      )}
    </main>
  );
}
