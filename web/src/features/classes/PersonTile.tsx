import { type ClassItem, isOut, itemAt, type MemberState, workAt } from '@myokinet/core/classes';
import type { ClassPersonReply } from '@myokinet/core/contracts';
import { faultIn } from '@myokinet/core/drills';
import { ChevronDown, ChevronUp, Flag, HeartPulse, Hash, UserMinus, UserPlus } from 'lucide-react';
import { type MouseEvent, type ReactNode, useEffect, useRef, useState } from 'react';
import { StillBody } from '../../kit/body/StillBody.tsx';
import { newestCount, SetCount } from './SetCount.tsx';
import { stepFrom, swapDeed, workAhead, workBefore } from './marks.ts';
import type { OpenClass } from './useClass.ts';
import { askedInWords, howInWords } from './words.ts';

interface PersonTileProps {
  readonly open: OpenClass;
  readonly person: ClassPersonReply;
  readonly member: MemberState;
  readonly moment: number;
  readonly name: string;
  readonly hurts: () => void;
  /** There is room for a figure. */
  readonly figures: boolean;
}

const MARK = 'btn min-h-11 flex-1 basis-[30%] gap-1 px-1 text-sm font-normal leading-none';
const LONG_PRESS_MS = 550;
const ONE_TAP_MS = 350;
const SETTLED_MS = 600;
/** Those that are not shown are named at the end. */
const FAULTS_SHOWN = 4;
/** Pixels of a figure’s square. */
const FIGURE = 96;

/** One of a class: what they do, and the exceptions that a coach marks. */
export function PersonTile({ open, person, member, moment, name, hurts, figures }: PersonTileProps) {
  const { state, library, run } = open;
  const who = member.member.traineeId;
  const [counting, setCounting] = useState(false);
  const [later, setLater] = useState<string>();
  const once = useOnce();
  const longPress = useLongPress(hurts);
  const ahead = workAhead(state, moment);
  const behind = workBefore(state, moment);
  const slotId = ahead === undefined ? undefined : state.head.moments[ahead]?.slotId;
  const item = slotId !== undefined && ahead !== undefined ? itemAt(member, slotId, ahead) : undefined;
  const work = ahead === undefined ? undefined : workAt(state, member, ahead, library);
  const out = isOut(member, moment);
  const stopped = run.stopped[who] ?? [];
  const step = (by: 1 | -1): ClassItem | undefined =>
    slotId !== undefined && ahead !== undefined ? stepFrom(member, person, { slotId, moment: ahead, by }) : undefined;
  const careful = member.symptoms.length > 0;
  const unnamed =
    behind === undefined ? undefined : member.faults.findLast((f) => f.moment === behind && f.faultId === undefined && f.id !== later);
  const change = (by: 1 | -1) => {
    const to = step(by);
    if (to && slotId !== undefined && ahead !== undefined) open.happen(swapDeed(who, slotId, ahead, to, by > 0));
  };
  const faults = behind === undefined ? 0 : member.faults.filter((f) => f.moment === behind).length;
  const seen = behind !== undefined && state.clock !== undefined && workAt(state, member, behind, library) !== undefined;
  const toCount = counting ? newestCount(open, member, moment) : undefined;
  const drill = item && library.asPlanned(item);
  const settled = useSettled(unnamed ? `which ${unnamed.id}` : toCount ? `count ${toCount.moment} ${toCount.side}` : 'marks');
  // In reach whatever is being said of a set.
  const hurtsButton = (
    <button type="button" className={`${MARK} text-error`} onClick={hurts}>
      <HeartPulse size={16} aria-hidden /> Hurts
    </button>
  );
  return (
    <li
      className={`flex flex-col rounded border-2 p-2 ${stopped.length > 0 || careful ? 'border-error' : out ? 'border-dashed border-base-300' : 'border-base-300'}`}
      aria-label={person.name}
      onClickCapture={settled}
      {...longPress}
    >
      <div className="flex items-baseline justify-between gap-2 leading-tight">
        <strong className="truncate text-lg">{name}</strong>
        <span className="shrink-0 font-semibold tabular-nums">{!out && work && drill ? askedInWords(work, drill) : ''}</span>
      </div>
      <div className={figures ? 'flex min-h-0 flex-1 items-center gap-2' : ''}>
        {figures && drill && work && <StillBody of={drill} size={FIGURE} />}
        <p className={`line-clamp-2 min-h-[2.4em] leading-tight ${out || !work ? 'aside' : ''}`}>
          {stopped.length > 0
            ? 'A stop sign is open: no work.'
            : out
              ? careful
                ? 'Stopped: something hurts.'
                : moment < member.member.from
                  ? 'Comes in with the next.'
                  : 'Sits out.'
              : drill && work && item
                ? [drill.name, howInWords(item)].filter(Boolean).join(', ')
                : ahead === undefined
                  ? 'Done.'
                  : 'Nothing in this one.'}
        </p>
      </div>
      {unnamed && behind !== undefined ? (
        <WhichFault open={open} member={member} at={behind} unnamed={unnamed.id} later={() => setLater(unnamed.id)}>
          {hurtsButton}
        </WhichFault>
      ) : toCount ? (
        <SetCount key={`${toCount.moment} ${toCount.side}`} open={open} who={who} count={toCount}>
          {hurtsButton}
        </SetCount>
      ) : (
        <div className="mt-auto flex flex-wrap gap-1">
          <button
            type="button"
            className={MARK}
            disabled={!seen}
            onClick={() => once(() => behind !== undefined && open.happen({ kind: 'fault', who, moment: behind }))}
          >
            <Flag size={16} aria-hidden /> Fault{faults > 0 ? ` (${faults})` : ''}
          </button>
          <button type="button" className={MARK} disabled={out || !step(-1)} onClick={() => once(() => change(-1))}>
            <ChevronDown size={16} aria-hidden /> Easier
          </button>
          <button
            type="button"
            className={MARK}
            disabled={out || careful || !step(1)}
            title={careful ? 'No harder today: something was felt.' : undefined}
            onClick={() => once(() => change(1))}
          >
            <ChevronUp size={16} aria-hidden /> Harder
          </button>
          <button
            type="button"
            className={MARK}
            aria-label={out ? 'Takes part again' : 'Sits out'}
            disabled={stopped.length > 0 || moment < member.member.from}
            onClick={() => once(() => open.happen({ kind: 'sits', who, moment, out: !out }))}
          >
            {out ? <UserPlus size={16} aria-hidden /> : <UserMinus size={16} aria-hidden />} {out ? 'In' : 'Out'}
          </button>
          <button
            type="button"
            className={`${MARK} ${counting ? 'btn-primary' : ''}`}
            aria-pressed={counting}
            onClick={() => setCounting(!counting)}
          >
            <Hash size={16} aria-hidden /> Count
          </button>
          {hurtsButton}
        </div>
      )}
    </li>
  );
}

interface WhichFaultProps {
  readonly open: OpenClass;
  readonly member: MemberState;
  /** The stretch of work that it was seen in. */
  readonly at: number;
  /** The mark that has no name yet. */
  readonly unnamed: string;
  readonly later: () => void;
  /** What stays in reach. */
  readonly children: ReactNode;
}

/** A fault is marked; which it was is one more tap. */
function WhichFault({ open: { state, library, happen }, member, at, unnamed, later, children }: WhichFaultProps) {
  const slotId = state.head.moments[at]?.slotId;
  const item = slotId === undefined ? undefined : itemAt(member, slotId, at);
  const drill = item && library.asPlanned(item);
  if (!drill) return null;
  const named = drill.faults.flatMap((id) => (library.hasFault(id) ? [faultIn(drill, { ...library.fault(id), id })] : []));
  return (
    <div className="mt-auto flex flex-wrap gap-1" role="group" aria-label="Which fault was it?">
      {named.slice(0, FAULTS_SHOWN).map((fault) => (
        <button
          key={fault.id}
          type="button"
          className="btn min-h-11 flex-1 basis-[30%] px-1 text-xs leading-tight font-normal"
          onClick={() => {
            happen({ kind: 'take back', eventId: unnamed });
            happen({ kind: 'fault', who: member.member.traineeId, moment: at, faultId: fault.id });
          }}
        >
          {fault.name}
        </button>
      ))}
      <button type="button" className="btn btn-ghost min-h-11 flex-1 basis-[30%] px-1 text-xs" onClick={later}>
        Say it later
      </button>
      {children}
    </div>
  );
}

/** Two presses within one tap are one. */
function useOnce(): (press: () => void) => void {
  const last = useRef(-Infinity);
  return (press) => {
    const now = performance.now();
    if (now - last.current < ONE_TAP_MS) return;
    last.current = now;
    press();
  };
}

/** Where other buttons have come into the place of those before, a tap of before presses none of them. */
function useSettled(shown: string): (event: MouseEvent) => void {
  const changedAt = useRef(-Infinity);
  const before = useRef(shown);
  useEffect(() => {
    if (before.current === shown) return;
    before.current = shown;
    changedAt.current = performance.now();
  }, [shown]);
  return (event) => {
    // Keys press what has the focus, and nothing comes under it unseen.
    if (event.detail === 0 || performance.now() - changedAt.current >= SETTLED_MS) return;
    event.preventDefault();
    event.stopPropagation();
  };
}

/** A long press anywhere on the tile. */
function useLongPress(act: () => void) {
  const timer = useRef<number>(undefined);
  const stop = () => window.clearTimeout(timer.current);
  return {
    onPointerDown: () => {
      stop();
      timer.current = window.setTimeout(act, LONG_PRESS_MS);
    },
    onPointerUp: stop,
    onPointerLeave: stop,
    onPointerCancel: stop,
  };
}
