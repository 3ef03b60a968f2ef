import { ArrowDown, ArrowUp, HeartPulse, List, Repeat2, SkipForward, Undo2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { letGo } from './FaultPanel.tsx';
import type { OpenSheet } from './StageSheets.tsx';
import type { useFloorTools } from './useFloorTools.ts';
import type { useStage } from './useStage.ts';

interface StageFootProps {
  readonly stage: ReturnType<typeof useStage>;
  readonly tools: ReturnType<typeof useFloorTools>;
  readonly byFeel: boolean;
  readonly open: (sheet: OpenSheet | 'symptom') => void;
  /** What comes after this set. */
  readonly then: string;
  /** The set before ran out by the clock, with this amount, and nobody has said that it was done. */
  readonly unconfirmed: string | undefined;
}

/** What comes next, the one thing to do now, and the tools, always in reach. */
export function StageFoot({ stage, tools, byFeel, open, then, unconfirmed }: StageFootProps) {
  const { phase, fault } = stage;
  return (
    <footer className="sticky bottom-0 mt-3 flex flex-col gap-2 bg-base-100 pt-1">
      <div className="flex items-center gap-3">
        <p className={`flex-1 text-lg ${phase.kind === 'work' ? 'max-sm:invisible' : ''}`}>
          <span className="aside">Then: </span>
          {then}
        </p>
        {(phase.kind === 'work' || phase.kind === 'lead' || phase.kind === 'feel') && (
          <button
            type="button"
            className="btn btn-ghost min-h-11 font-normal"
            aria-keyshortcuts="PageUp"
            onClick={(e) => {
              letGo(e);
              stage.leaveSet();
            }}
          >
            <Undo2 size={20} aria-hidden /> Leave this set
          </button>
        )}
      </div>
      <button
        type="button"
        className="btn btn-primary min-h-20 w-full text-2xl"
        disabled={stage.busy}
        onClick={(e) => {
          letGo(e);
          stage.go();
        }}
      >
        {unconfirmed && !fault ? `Yes, done: ${unconfirmed}` : GO_WORDS[fault ? 'fault' : phase.kind](byFeel)}
      </button>
      <div className="grid grid-cols-[1.35fr_repeat(5,1fr)] gap-1.5">
        <Tool label="It hurts" icon={<HeartPulse size={22} aria-hidden />} keys="Shift+S" use={() => open('symptom')} strong />
        <Tool label="Lighter" icon={<ArrowDown size={22} aria-hidden />} keys="-" use={tools.lighter} />
        <Tool label="Harder" icon={<ArrowUp size={22} aria-hidden />} keys="+" use={tools.harder} />
        <Tool label="Change" icon={<Repeat2 size={22} aria-hidden />} keys="Shift+W" use={() => open('swap')} />
        <Tool label="Skip" icon={<SkipForward size={22} aria-hidden />} keys="Shift+K" use={() => open('skip')} />
        <Tool label="List" icon={<List size={22} aria-hidden />} keys="Shift+L" use={() => open('list')} />
      </div>
    </footer>
  );
}

const GO_WORDS: Readonly<Record<ReturnType<typeof useStage>['phase']['kind'] | 'fault', (byFeel: boolean) => string>> = {
  ready: () => 'Start the set',
  between: () => 'Go now',
  lead: () => 'Now',
  work: (byFeel) => (byFeel ? 'Enough' : 'End the set here'),
  feel: () => 'It was right',
  leaving: (byFeel) => (byFeel ? 'Say how it was' : 'Log what was done'),
  keeping: () => 'Logging…',
  unkept: () => 'Try to log it again',
  fault: () => 'Mended: go on',
};

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
