import type { MeHere, MeReply } from '@myokinet/core/contracts';
import { createContext, use, useSyncExternalStore } from 'react';
import { keep, readKept } from './onDevice.ts';

/** Who was here last, so that pages open without the server too. */
const HERE = 'myokinet.me';

export const rememberedMe = (): MeHere | undefined => readKept<MeHere | undefined>(HERE, undefined);

/** Whose work this device holds: it changes only when nothing of the one before is left here. */
const HOLDER = 'myokinet.holder';

export interface Holder {
  readonly accountId: string;
  readonly name: string;
}

export const deviceHolder = (): Holder | undefined => readKept<Holder | undefined>(HOLDER, undefined);

export const holdDevice = ({ accountId, name }: Holder): void => keep(HOLDER, { accountId, name });

export const MeContext = createContext<MeHere | undefined>(undefined);

/** Who works on this device. */
export function useMe(): MeHere {
  const me = use(MeContext);
  if (!me) throw new Error('Pages that need to know who works here stand inside an AccountGate.');
  return me;
}

interface Session {
  /** The server no longer knows this device: what is entered is kept here until somebody signs in. */
  readonly signedOut: boolean;
  /** Somebody is asked to type the password once more. */
  readonly asking: boolean;
}

let pageToken = rememberedMe()?.pageToken ?? '';
let session: Session = { signedOut: false, asking: false };
let answer: ((typed: boolean) => void) | undefined;
const listeners = new Set<() => void>();

function become(next: Partial<Session>): void {
  session = { ...session, ...next };
  for (const listener of listeners) listener();
}

export const sessionHere = {
  pageToken: (): string => pageToken,
  /** The server says who is here. */
  heard(me: MeReply): void {
    if (me.state !== 'here') return;
    pageToken = me.pageToken;
    keep(HERE, me);
    become({ signedOut: false });
  },
  lost: (): void => become({ signedOut: true }),
  /** Asks for the password; true where it was typed and taken. */
  askPassword(): Promise<boolean> {
    answer?.(false);
    become({ asking: true });
    return new Promise((resolve) => {
      answer = (typed) => {
        answer = undefined;
        become({ asking: false });
        resolve(typed);
      };
    });
  },
  answered: (typed: boolean): void => answer?.(typed),
};

export function useSession(): Session {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => session,
  );
}
