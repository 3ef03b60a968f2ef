import { breathOf, cuesOf, type FaultId, faultsOf, plannedDoseInWords, tempoInWords, UNIT_WORDS } from '@myokinet/core/drills';
import { type Step, transitionTo } from '@myokinet/core/floor';
import { FEELINGS } from '@myokinet/core/readiness';
import { type RefObject, useEffect, useEffectEvent, useRef, useState } from 'react';
import { NewVersion } from '../../client/NewVersion.tsx';
import { Count } from './Count.tsx';
import { FaultCue, FaultPanel, toldIn } from './FaultPanel.tsx';
import { faultKeys } from './faultKeys.ts';
import { FeelChoice } from './FeelChoice.tsx';
import { firstName } from './FloorBar.tsx';
import type { FloorClock } from '../../client/floorClock.ts';
import type { FloorPerson } from './floorPeople.ts';
import { FloorFigure } from './FloorFigure.tsx';
import { FloorSetUp } from './FloorSetUp.tsx';
import { JustDone } from './JustDone.tsx';
import { Meanwhile } from './Meanwhile.tsx';
import { PaceDial } from './PaceDial.tsx';
import { RampLine } from './RampLine.tsx';
import { SideMark } from './SideMark.tsx';
import { StageFoot } from './StageFoot.tsx';
import { type OpenSheet, StageSheets } from './StageSheets.tsx';
import { Ticking } from './Ticking.tsx';
import { useFloorKeys } from './useFloorKeys.ts';
import { carefulBecause, useFloorTools } from './useFloorTools.ts';
import { useLastSet } from './useLastSet.ts';
import { type LastSet, useStage } from './useStage.ts';
import { useVoice } from './useVoice.ts';

export interface StageProps {
  readonly clock: FloorClock;
  readonly person: FloorPerson;
  readonly step: Step;
  readonly last: LastSet | undefined;
  /** The rest of the group, in whatever order. */
  readonly others: readonly FloorPerson[];
  readonly logged: () => void;
  readonly setLast: (last: LastSet | undefined) => void;
  /** Filled with what ends the set under way, or lets it go on, for what is laid over everything. */
  readonly underWayRef: RefObject<{ readonly end: () => void; readonly goOn: () => void } | undefined>;
  /** Something hurts: entered above the stage. */
  readonly hurts: (moment: 'before' | 'during') => void;
  /** It is being entered: keys are for that. */
  readonly hurting: boolean;
  /** In a group, who comes after this set, and with what. */
  readonly then: string | undefined;
  /** What to mind after something was felt. */
  readonly minded: string | undefined;
  readonly pick: (itemId: string) => void;
  readonly end: () => void;
}

const ONE_WORDS = { reps: 'repetition', s: 'second', breaths: 'breath' } as const;

/** One set: what, how, go. Everything else stays at the edge. */
export function Stage({
  clock,
  person,
  step,
  last,
  others,
  logged,
  setLast,
  underWayRef,
  hurts,
  hurting,
  then,
  minded,
  pick,
  end,
}: StageProps) {
  const lastSet = useLastSet(person, last, setLast);
  const stage = useStage({
    clock,
    person,
    step,
    last,
    alone: others.length === 0,
    logging: setLast,
    logged,
    unlogged: () => setLast(last),
    confirmLast: lastSet.confirm,
  });
  const endSet = useEffectEvent(() => stage.hurts());
  const goOn = useEffectEvent(() => stage.goOn());
  useEffect(() => {
    underWayRef.current = { end: () => endSet(), goOn: () => goOn() };
    return () => {
      underWayRef.current = undefined;
    };
  }, [underWayRef]);
  const tools = useFloorTools(person, step);
  const [open, setOpen] = useState<OpenSheet | undefined>();
  const { phase, fault, byFeel } = stage;
  const { drill, item } = step;
  const schools = person.kept.pack.schools;
  // Between sets faults are about the set before.
  const about = phase.kind !== 'work' && last ? last.step : step;
  const keys = faultKeys(faultsOf(about.drill, schools, person.library.faults));
  const told = fault && toldIn(fault.itemId === step.itemId || !last ? drill : last.step.drill, fault.faultId, person);
  const between = phase.kind === 'between' || phase.kind === 'ready';
  /** Nobody scrolls with a trainee under load: all of it fits the screen, and only the faults roll. */
  const atWork = phase.kind === 'work' || phase.kind === 'lead' || phase.kind === 'feel' || phase.kind === 'leaving';
  const unconfirmed = between && last?.unconfirmed ? `${last.amount} ${UNIT_WORDS[last.step.drill.dose.unit]}` : undefined;
  // What was felt in this session holds for the rest of it.
  const said = tools.said ?? minded ?? (phase.kind === 'work' ? undefined : carefulBecause(person, drill));
  const shut = () => setOpen(undefined);
  const lay = (sheet: OpenSheet | 'symptom') => {
    if (sheet !== 'symptom') {
      setOpen(sheet);
      return;
    }
    // The clock stops at once, whatever is entered and however long it takes.
    stage.hold();
    const begun = (atWork && phase.kind !== 'lead') || person.run.items.some((i) => i.done.length > 0);
    hurts(begun ? 'during' : 'before');
  };
  const see = (id: FaultId) => void stage.see(id);
  const heard = useVoice({
    ...{ clock, phase, step, byFeel },
    pace: stage.pace,
    name: others.length > 0 ? firstName(person.name) : undefined,
    cue: told?.cue,
  });
  // What had the focus went with the set before: it never falls to the page.
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    if (document.activeElement === document.body) heading.current?.focus({ preventScroll: true });
  }, []);

  useFloorKeys(
    {
      go: stage.go,
      back: () => {
        if (fault) stage.closeFault();
        else if (lastSet.asksBack) lastSet.keepIt();
        else if (!stage.leaveSet()) lastSet.askBack();
      },
      enter: () => {
        if (fault) stage.stayed();
        else if (!lastSet.commit()) stage.go();
      },
      up: () => lastSet.nudge(1),
      down: () => lastSet.nudge(-1),
      digit: (d) => {
        const feeling = FEELINGS[Number(d) - 1];
        if (phase.kind === 'feel') {
          if (feeling) stage.feel(feeling);
        } else if (between) lastSet.type(d);
      },
      letter: (letter) => {
        const id = [...keys].find(([, k]) => k === letter)?.[0];
        if (!id || (phase.kind !== 'work' && !last)) return false;
        see(id);
        return true;
      },
      lighter: tools.lighter,
      harder: tools.harder,
      command: (letter) => {
        const does = { S: 'symptom', W: 'swap', K: 'skip', L: 'list' } as const;
        const sheet = does[letter as keyof typeof does];
        if (sheet) lay(sheet);
        return sheet !== undefined;
      },
      discard: () => {
        if (lastSet.asksBack) lastSet.takeBack();
        else stage.discard();
      },
      help: () => setOpen('help'),
    },
    open === undefined && !hurting,
  );

  const next = person.open.find((s) => s !== step && !(s.itemId === step.itemId && s.round === step.round && s.side === step.side));
  const nextWords = next
    ? transitionTo(step, next, person.run.head.form)
        .says.join(' ')
        .replace(/^Next: /, '')
    : 'the end.';
  const easierDrill = fault && tools.neighbours().find((n) => !n.harder && !n.excluded);
  const easier = [
    ...(drill.support || drill.manner ? [{ label: tools.lighterName, does: tools.lighter }] : []),
    ...(easierDrill ? [{ label: `Easier: ${easierDrill.drill.name}`, does: () => void tools.swap(easierDrill) }] : []),
  ];

  return (
    <>
      {between && <NewVersion />}
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 pt-[6px] low:pt-[2px]">
        <h1 ref={heading} tabIndex={-1} className="read-far outline-none sm:text-4xl low:read-far" data-read="drill">
          {others.length > 0 && <span className="text-accent">{firstName(person.name)}: </span>}
          {drill.name}
          {step.side !== 'whole' && <SideMark side={step.side} />}
        </h1>
        <p className="read-far" data-read="dose">
          set <strong>{step.round}</strong> of {step.rounds} ·{' '}
          {plannedDoseInWords({ ...item.now, sets: 1 }, drill, byFeel ? 'feel' : 'count').replace(/^1 × /, '')}
        </p>
      </div>
      {(phase.kind === 'ready' || phase.kind === 'between') && <RampLine person={person} step={step} />}
      <p className="sr-only" aria-live="assertive">
        {heard}
      </p>

      <div
        className={`grid flex-1 content-start gap-x-8 gap-y-[10px] pt-[8px] lg:grid-cols-2 low:grid-cols-2 low:pt-1 ${atWork ? 'min-h-0 overflow-y-auto' : ''}`}
        data-at-work={atWork ? true : undefined}
      >
        <div className="flex flex-col gap-3">
          {phase.kind === 'work' && (
            <div className="flex flex-col gap-x-4 lg:flex-row lg:items-center">
              {!byFeel && (
                <div className="lg:flex-1">
                  <Ticking clock={clock}>
                    {(now) => (
                      <PaceDial
                        pace={stage.pace}
                        unit={drill.dose.unit}
                        breath={breathOf(drill)}
                        seconds={(phase.paused ?? now) - phase.since}
                      />
                    )}
                  </Ticking>
                </div>
              )}
              <div className="h-[10dvh] w-full sm:h-[22dvh] lg:h-72 lg:flex-1 @max-[20rem]:hidden low:hidden">
                <FloorFigure
                  clock={clock}
                  person={person}
                  step={step}
                  counted={byFeel ? undefined : { pace: stage.pace, seconds: (now) => (phase.paused ?? now) - phase.since }}
                />
              </div>
            </div>
          )}
          {phase.kind === 'work' && phase.paused !== undefined && (
            <p role="status" className="state-mark text-center text-lg">
              The count stands still until this is answered.
            </p>
          )}
          {phase.kind === 'work' && byFeel && (
            <p className="font-display py-8 text-center text-4xl leading-tight font-semibold sm:text-5xl">
              Work that leaves something over.
              <span className="mt-2 block text-xl font-normal">No counting. End it while it is good.</span>
            </p>
          )}
          {phase.kind === 'lead' && <Ticking clock={clock}>{(now) => <Count seconds={phase.until - now} words="Into position" />}</Ticking>}
          {phase.kind === 'between' && (
            <Ticking clock={clock}>
              {(now) => <Count seconds={phase.transition.seconds - (now - phase.since)} words={phase.transition.says.join(' ')} />}
            </Ticking>
          )}
          {phase.kind === 'leaving' && (
            <div role="alert" className="border-s-8 border-warning bg-warning/15 px-4 py-3 text-lg">
              <p className="text-2xl font-semibold">
                {byFeel ? 'This set has begun.' : `${phase.amount} ${UNIT_WORDS[drill.dose.unit]} of this set are done.`}
              </p>
              <div className="mt-2 flex flex-wrap gap-2">
                <button type="button" className="btn min-h-14 flex-1 text-lg" aria-keyshortcuts="PageUp" onClick={() => stage.leaveSet()}>
                  Go on with it
                </button>
                <button
                  type="button"
                  className="btn btn-outline min-h-14 flex-1 border-error text-lg text-error"
                  aria-keyshortcuts="Backspace"
                  onClick={stage.discard}
                >
                  Not a set: throw it away
                </button>
              </div>
            </div>
          )}
          {phase.kind === 'feel' && <FeelChoice choose={stage.feel} />}
          {phase.kind === 'unkept' && (
            <div role="alert" className="border-s-8 border-error bg-error/10 px-4 py-3 text-lg">
              <p className="font-semibold">
                This set is not logged yet: {phase.deed.amount} {UNIT_WORDS[drill.dose.unit]}.
              </p>
              <p>Neither this device nor the server has taken it. It stays on this screen; try again.</p>
            </div>
          )}
          {between && last && <JustDone last={last} handle={lastSet} named={last.step.itemId !== step.itemId} />}
          {(between || phase.kind === 'lead') && !fault && <FloorSetUp clock={clock} person={person} step={step} />}
        </div>
        <div className={`flex flex-col gap-3 ${fault ? 'max-lg:order-first low:order-none' : ''}`}>
          {fault && told && <FaultCue told={told} fault={fault} sided={stage.faultOn} stayed={stage.stayed} easier={easier} />}
          {!fault && (
            <ul className="read-far">
              {cuesOf(drill, schools).map((cue, i) => (
                // At work on a phone the drill's own cue is enough to read.
                <li
                  key={cue}
                  className={i > 0 && phase.kind === 'work' ? 'max-sm:hidden low:hidden' : ''}
                  data-read={i === 0 ? 'cue' : undefined}
                >
                  {cue}
                </li>
              ))}
              {tempoInWords(drill.dose) && !byFeel && (
                <li className={`aside text-base ${phase.kind === 'work' || last ? 'max-sm:hidden low:hidden' : ''}`}>
                  {tempoInWords(drill.dose)}
                </li>
              )}
            </ul>
          )}
          {stage.nothing && (
            <p role="status" className="border-s-4 border-warning bg-warning/15 px-3 py-2 text-lg">
              Ended before the first {ONE_WORDS[drill.dose.unit]}: no set is logged. Was one done, start it and put its figure right after.
            </p>
          )}
          {said && (
            <p role="status" className="border-s-4 border-primary bg-primary/10 px-3 py-2 text-lg">
              {said}
            </p>
          )}
          {phase.kind === 'work' && !fault && <FaultPanel person={person} step={step} see={see} about="Fault seen: one tap" />}
          {between && last && !fault && (
            <FaultPanel person={person} step={last.step} see={see} about={`Seen in the set before (${last.step.drill.name})`} />
          )}
          {between && !fault && <Meanwhile others={others} />}
        </div>
      </div>

      <StageFoot {...{ stage, tools, byFeel, open: lay, then: then ?? nextWords, unconfirmed }} />
      <StageSheets {...{ open, shut, stage, tools, person, step, pick, end }} />
    </>
  );
}
