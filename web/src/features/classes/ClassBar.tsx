import { classTime, type ClassState } from '@myokinet/core/classes';
import type { Library } from '@myokinet/core/library';
import { Pause, Play, SkipBack, SkipForward } from 'lucide-react';
import { useEffect } from 'react';
import { FloorClock } from '../../client/floorClock.ts';
import { useWakeLock } from '../../client/useWakeLock.ts';
import { voice } from '../../client/voice.ts';
import { classTimeNow } from './classClock.ts';
import { type OpenClass, useClassTime } from './useClass.ts';
import { momentInWords } from './words.ts';

/** One for the page: a browser gives sound to few. */
export const classSound = new FloorClock();

/** Below this two presses are one tap. */
const ONE_TAP_MS = 400;

/** Sets the clock of a class; what is pressed twice within one tap counts once. */
export function setClock({ state, happen }: Pick<OpenClass, 'state' | 'happen'>, press: 'go' | 'stand' | 'next' | 'back'): void {
  const { clock, head } = state;
  const now = classTimeNow.now();
  if (clock && Math.abs(now - clock.at) < ONE_TAP_MS) return;
  const time = classTime(clock, now, head.moments);
  const whole = (moment: number) => (head.moments[moment]?.seconds ?? 0) * 1000;
  const to = (moment: number, left: number, running: boolean) =>
    happen({ kind: 'clock', moment, left: Math.round(left), running: running && moment < head.moments.length });
  if (press === 'go' || press === 'stand') to(time.moment, time.left, press === 'go');
  else {
    const moment = press === 'next' ? Math.min(head.moments.length, time.moment + 1) : Math.max(0, time.moment - 1);
    to(moment, whole(moment), time.running);
  }
}

/** A tone and, where it is wanted, a word at each change; the screen stays lit. */
export function useCalls(state: ClassState, library: Library): void {
  const { moment: at, running } = useClassTime(state, 'moment');
  const moment = state.head.moments[at];
  const words = running && moment ? momentInWords(state.head, moment, library) : '';
  useWakeLock();
  useEffect(() => {
    if (words === '') return;
    classSound.sound([{ at: 0, pitch: moment?.kind === 'work' ? 'turn' : 'hold' }], classSound.now() + 0.02);
    voice.say(words);
  }, [at, words, moment?.kind]);
}

/** The one clock of a class: what is on, what is left of it, what comes. */
export function ClassBar({ open }: { readonly open: OpenClass }) {
  const { state, library } = open;
  const { moment: at, running, seconds } = useClassTime(state, 'second');
  const { moments } = state.head;
  const moment = moments[at];
  const next = moments.slice(at + 1).find((m) => m.kind !== 'rest') ?? moments[at + 1];
  return (
    <section aria-label="Clock" className="flex flex-wrap items-center gap-x-5 gap-y-2 border-b-2 border-base-content px-3 py-2 sm:px-5">
      <p role="timer" aria-label={`${seconds} seconds left`} className="font-display min-w-28 text-6xl leading-none font-bold tabular-nums">
        {moment ? seconds : '·'}
        <span className="aside text-xl font-normal"> s</span>
      </p>
      <div className="min-w-56 flex-1">
        <p role="status" className="text-xl leading-tight font-semibold">
          {moment?.kind === 'rest' ? 'Rest' : momentInWords(state.head, moment, library)}
        </p>
        <p className="aside leading-tight">
          {moment ? (next ? `Then: ${momentInWords(state.head, next, library)}` : 'Then it is over.') : ''}
        </p>
      </div>
      <div className="flex gap-2">
        <button
          type="button"
          className="btn size-14 p-0"
          aria-label="Back to the one before"
          disabled={at === 0}
          onClick={() => setClock(open, 'back')}
        >
          <SkipBack size={20} aria-hidden />
        </button>
        <button
          type="button"
          className="btn btn-primary min-h-14 min-w-36 text-lg"
          disabled={!moment}
          onClick={() => {
            void classSound.wake();
            setClock(open, running ? 'stand' : 'go');
          }}
        >
          {running ? <Pause size={20} aria-hidden /> : <Play size={20} aria-hidden />}
          {running ? 'Stand still' : state.clock ? 'Go on' : 'Begin'}
        </button>
        <button
          type="button"
          className="btn size-14 p-0"
          aria-label="On to the next"
          disabled={!moment}
          onClick={() => setClock(open, 'next')}
        >
          <SkipForward size={20} aria-hidden />
        </button>
      </div>
    </section>
  );
}
