import { dueToSay, spokenIn, type StagePhase, type Step } from '@myokinet/core/floor';
import type { Pace } from '@myokinet/core/floor';
import { useEffect, useRef, useState } from 'react';
import type { FloorClock } from '../../client/floorClock.ts';
import { useWhenDue } from './useWhenDue.ts';
import { voice } from '../../client/voice.ts';

interface Said {
  readonly clock: FloorClock;
  readonly phase: StagePhase;
  readonly step: Step;
  readonly pace: Pace;
  readonly byFeel: boolean;
  /** Where several train. */
  readonly name: string | undefined;
  /** A cue that has to be heard now. */
  readonly cue: string | undefined;
}

/**
 * Says aloud what is to be done and how much is left. Returns what a screen reader is to hear: set and side, and the last five seconds.
 */
export function useVoice({ clock, phase, step, pace, byFeel, name, cue }: Said): string {
  const [heard, setHeard] = useState('');
  const looked = useRef(0);
  const set = `${name ? `${name}: ` : ''}${step.drill.name}${step.side === 'whole' ? '' : `, ${step.side}`}, set ${step.round} of ${step.rounds}.`;
  const announced =
    phase.kind === 'between'
      ? phase.transition.says.join(' ')
      : phase.kind === 'ready'
        ? set
        : phase.kind === 'lead'
          ? `Into position. ${step.side === 'whole' ? '' : step.side}`
          : phase.kind === 'work'
            ? 'Go.'
            : phase.kind === 'feel'
              ? 'How was it?'
              : '';
  useEffect(() => {
    looked.current = 0;
    voice.say(announced);
    return () => voice.hush();
  }, [announced]);
  useEffect(() => {
    if (cue) voice.say(cue);
  }, [cue]);
  useWhenDue(clock, phase.kind === 'work' && !byFeel && phase.paused === undefined, (at) => {
    if (phase.kind !== 'work') return;
    const now = at - phase.since;
    const due = dueToSay(spokenIn(pace, step.drill.dose.unit), looked.current, now);
    looked.current = now;
    if (!due || due.at === 0) return;
    voice.say(due.words);
    if (due.last) setHeard(due.words);
  });
  return phase.kind === 'work' && heard !== '' ? heard : announced;
}
