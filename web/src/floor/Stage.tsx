import { cuesOf, type FaultId, doseInWords, faultsOf, tempoInWords, UNIT_WORDS } from '@myokinet/core/drills';
import { type Step, transitionTo } from '@myokinet/core/floor';
import { type Feeling, FEELINGS } from '@myokinet/core/readiness';
import { ArrowDown, ArrowUp, HeartPulse, List, SkipForward, Undo2, Repeat2 } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { ListSheet, SkipSheet, SwapSheet } from './ChoiceSheets.tsx';
import { FaultCue, FaultPanel, letGo } from './FaultPanel.tsx';
import type { FloorClock } from './floorClock.ts';
import { firstName } from './FloorBar.tsx';
import { FloorHelp } from './FloorHelp.tsx';
import type { FloorPerson } from './floorPeople.ts';
import { FloorSetUp } from './FloorSetUp.tsx';
import { faultKeys } from './faultKeys.ts';
import { JustDone } from './JustDone.tsx';
import { Meanwhile } from './Meanwhile.tsx';
import { PaceDial } from './PaceDial.tsx';
import { SymptomSheet } from './SymptomSheet.tsx';
import { useFloorKeys } from './useFloorKeys.ts';
import { useFloorTools } from './useFloorTools.ts';
import { useLastSet } from './useLastSet.ts';
import { type LastSet, useStage } from './useStage.ts';

export interface StageProps {
  readonly clock: FloorClock;
  readonly person: FloorPerson;
  readonly step: Step;
  readonly last: LastSet | undefined;
  /** The rest of the group, in whatever order. */
  readonly others: readonly FloorPerson[];
  readonly logged: () => void;
  readonly setLast: (last: LastSet | undefined) => void;
  readonly pick: (itemId: string) => void;
  readonly end: () => void;
}

type Open = 'symptom' | 'swap' | 'skip' | 'list' | 'help';

/** One set: what, how, go. Everything else stays at the edge. */
export function Stage({ clock, person, step, last, others, logged, setLast, pick, end }: StageProps) {
  const stage = useStage({
    clock,
    person,
    step,
    last,
    alone: others.length === 0,
    logging: setLast,
    logged,
    unlogged: () => setLast(last),
  });
  const tools = useFloorTools(person, step);
  const lastSet = useLastSet(person, last, setLast);
  const [open, setOpen] = useState<Open | undefined>();
  const { phase, fault, byFeel } = stage;
  const { drill, item } = step;
  const schools = person.kept.pack.schools;
  const keys = faultKeys(faultsOf(drill, schools), person.library);
  const between = phase.kind === 'between' || phase.kind === 'ready';
  const shut = () => setOpen(undefined);
  const see = (id: FaultId) => void stage.see(id);

  useFloorKeys(
    {
      go: stage.go,
      back: () => {
        if (fault) stage.closeFault();
        else if (!stage.leaveSet()) lastSet.takeBack();
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
        if (sheet) setOpen(sheet);
        return sheet !== undefined;
      },
      help: () => setOpen('help'),
    },
    open === undefined,
  );

  const next = person.open.find((s) => s !== step && !(s.itemId === step.itemId && s.round === step.round && s.side === step.side));
  const nextWords = next
    ? transitionTo(step, next, person.run.head.form)
        .says.join(' ')
        .replace(/^Next: /, '')
    : 'the end.';
  const easierDrill = tools.neighbours().find((n) => !n.harder && !n.excluded);
  const easier = [
    ...(drill.support ? [{ label: 'Lighter by 5 points', does: tools.lighter }] : []),
    ...(easierDrill ? [{ label: `Easier: ${easierDrill.drill.name}`, does: () => void tools.swap(easierDrill) }] : []),
  ];

  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 pt-2">
        <h1 className="text-2xl sm:text-4xl">
          {others.length > 0 && <span className="text-accent">{firstName(person.name)}: </span>}
          {drill.name}
          {step.side !== 'whole' && <SideMark side={step.side} />}
        </h1>
        <p className="text-lg sm:text-xl">
          set <strong>{step.round}</strong> of {step.rounds} ·{' '}
          {doseInWords({ ...item.now, sets: 1 }, drill.dose, byFeel ? 'feel' : 'count').replace(/^1 × /, '')}
        </p>
      </div>
      <p className="sr-only" aria-live="polite">
        {phase.kind === 'between' ? phase.transition.says.join(' ') : phase.kind === 'work' ? 'Go.' : ''}
      </p>

      <div className="grid flex-1 content-start gap-x-8 gap-y-3 pt-3 lg:grid-cols-2">
        <div className="flex flex-col gap-3">
          {phase.kind === 'work' && !byFeel && <PaceDial pace={stage.pace} unit={drill.dose.unit} seconds={stage.now - phase.since} />}
          {phase.kind === 'work' && byFeel && (
            <p className="font-display py-8 text-center text-4xl leading-tight font-semibold sm:text-5xl">
              Engaged, not burnt out.
              <span className="mt-2 block text-xl font-normal">No counting. End it while it is good.</span>
            </p>
          )}
          {phase.kind === 'lead' && <Count seconds={phase.until - stage.now} words="Into position" />}
          {phase.kind === 'between' && (
            <Count seconds={phase.transition.seconds - (stage.now - phase.since)} words={phase.transition.says.join(' ')} />
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
          {between && last && <JustDone last={last} handle={lastSet} />}
          {(between || phase.kind === 'lead') && !fault && <FloorSetUp person={person} step={step} />}
        </div>
        <div className={`flex flex-col gap-3 ${fault ? 'max-lg:order-first' : ''}`}>
          {fault && <FaultCue person={person} fault={fault} stayed={stage.stayed} easier={easier} />}
          {!fault && (
            <ul className="text-xl leading-snug">
              {cuesOf(drill, schools).map((cue, i) => (
                // At work on a phone the drill's own cue is enough to read.
                <li key={cue} className={i > 0 && phase.kind === 'work' ? 'max-sm:hidden' : ''}>
                  {cue}
                </li>
              ))}
              {tempoInWords(drill.dose) && !byFeel && (
                <li className={`aside text-base ${phase.kind === 'work' ? 'max-sm:hidden' : ''}`}>{tempoInWords(drill.dose)}</li>
              )}
            </ul>
          )}
          {tools.said && (
            <p role="status" className="border-s-4 border-primary bg-primary/10 px-3 py-2 text-lg">
              {tools.said}
            </p>
          )}
          {phase.kind === 'work' && !fault && <FaultPanel person={person} step={step} see={see} about="Fault seen: one tap" />}
          {between && last && !fault && (
            <FaultPanel person={person} step={last.step} see={see} about={`Seen in the set before (${last.step.drill.name})`} />
          )}
          {between && !fault && <Meanwhile others={others} />}
        </div>
      </div>

      <footer className="sticky bottom-0 mt-3 flex flex-col gap-2 bg-base-100 pt-1">
        <p className={`text-lg ${phase.kind === 'work' ? 'max-sm:hidden' : ''}`}>
          <span className="aside">Then: </span>
          {nextWords}
        </p>
        <button
          type="button"
          className="btn btn-primary min-h-20 w-full text-2xl"
          disabled={stage.busy || phase.kind === 'feel'}
          onClick={(e) => {
            letGo(e);
            stage.go();
          }}
        >
          {GO_WORDS[fault ? 'fault' : phase.kind](byFeel)}
        </button>
        <div className="grid grid-cols-[1.35fr_repeat(5,1fr)] gap-1.5">
          <Tool label="Symptom" icon={<HeartPulse size={22} aria-hidden />} keys="Shift+S" use={() => setOpen('symptom')} strong />
          <Tool label="Lighter" icon={<ArrowDown size={22} aria-hidden />} keys="-" use={tools.lighter} />
          <Tool label="Harder" icon={<ArrowUp size={22} aria-hidden />} keys="+" use={tools.harder} />
          <Tool label="Change" icon={<Repeat2 size={22} aria-hidden />} keys="Shift+W" use={() => setOpen('swap')} />
          <Tool label="Skip" icon={<SkipForward size={22} aria-hidden />} keys="Shift+K" use={() => setOpen('skip')} />
          {phase.kind === 'work' || phase.kind === 'lead' || phase.kind === 'feel' ? (
            <Tool label="Leave" icon={<Undo2 size={22} aria-hidden />} keys="PageUp" use={() => void stage.leaveSet()} />
          ) : (
            <Tool label="List" icon={<List size={22} aria-hidden />} keys="Shift+L" use={() => setOpen('list')} />
          )}
        </div>
      </footer>

      {open === 'symptom' && (
        <SymptomSheet
          moment={person.run.items.some((i) => i.done.length > 0) ? 'during' : 'before'}
          close={shut}
          record={(felt) => {
            shut();
            stage.leaveSet();
            void tools.report(felt);
          }}
        />
      )}
      {open === 'swap' && (
        <SwapSheet
          neighbours={tools.neighbours()}
          close={shut}
          choose={(n) => {
            shut();
            stage.leaveSet();
            void tools.swap(n);
          }}
        />
      )}
      {open === 'skip' && (
        <SkipSheet
          name={drill.name}
          close={shut}
          choose={(reason) => {
            shut();
            void tools.skip(reason);
          }}
        />
      )}
      {open === 'list' && (
        <ListSheet
          person={person}
          here={step.itemId}
          close={shut}
          end={end}
          pick={(id) => {
            shut();
            pick(id);
          }}
          unskip={(eventId) => void person.happen({ kind: 'take back', eventId })}
        />
      )}
      {open === 'help' && <FloorHelp close={shut} />}
    </>
  );
}

const GO_WORDS: Readonly<Record<ReturnType<typeof useStage>['phase']['kind'] | 'fault', (byFeel: boolean) => string>> = {
  ready: () => 'Start the set',
  between: () => 'Go now',
  lead: () => 'Now',
  work: (byFeel) => (byFeel ? 'Enough' : 'End the set here'),
  feel: () => 'How was it?',
  unkept: () => 'Try to log it again',
  fault: () => 'Mended: go on',
};

const FEEL_WORDS: Readonly<Record<Feeling, string>> = {
  'too easy': 'Too easy',
  right: 'Right',
  'too much': 'Too much',
  'locked up': 'Locked up',
};

function FeelChoice({ choose }: { readonly choose: (feeling: Feeling) => void }) {
  return (
    <fieldset>
      <legend className="font-display text-3xl font-semibold">How was it?</legend>
      <div className="mt-2 grid grid-cols-2 gap-2">
        {FEELINGS.map((f, i) => (
          <button
            key={f}
            type="button"
            className="btn btn-outline min-h-20 border-base-300 text-2xl"
            onClick={() => choose(f)}
            aria-keyshortcuts={String(i + 1)}
          >
            {FEEL_WORDS[f]}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

/** Seconds that run out, with what comes then. */
function Count({ seconds, words }: { readonly seconds: number; readonly words: string }) {
  return (
    <div className="flex items-baseline gap-4" role="timer" aria-label="Until the next set">
      <span className="font-display text-7xl leading-none font-bold sm:text-8xl">{Math.max(0, Math.ceil(seconds))}</span>
      <span className="text-2xl leading-tight">
        <span className="sr-only">seconds. </span>
        <span aria-hidden>s · </span>
        {words}
      </span>
    </div>
  );
}

/** The side, as a half disc that points to it and as a word. */
function SideMark({ side }: { readonly side: 'left' | 'right' }) {
  return (
    <span className="ms-3 inline-flex items-baseline gap-2 text-accent">
      <svg viewBox="0 0 14 20" className="h-6 self-center" aria-hidden>
        <path d={side === 'left' ? 'M12 1v18a9 9 0 0 1 0 -18z' : 'M2 1v18a9 9 0 0 0 0 -18z'} fill="currentColor" />
      </svg>
      {side}
    </span>
  );
}

interface ToolProps {
  readonly label: string;
  readonly icon: ReactNode;
  readonly keys: string;
  readonly use: () => void;
  readonly strong?: boolean;
}

function Tool({ label, icon, keys, use, strong = false }: ToolProps) {
  return (
    <button
      type="button"
      className={`btn btn-outline h-auto min-h-14 flex-col gap-0.5 px-0 py-1.5 font-normal ${strong ? 'border-error text-error' : 'border-base-300'}`}
      aria-keyshortcuts={keys}
      onClick={(e) => {
        letGo(e);
        use();
      }}
    >
      {icon}
      <span className="text-sm">{label}</span>
    </button>
  );
}
