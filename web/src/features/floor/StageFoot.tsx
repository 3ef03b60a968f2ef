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
  const under = phase.kind === 'work' || phase.kind === 'lead' || phase.kind === 'feel';
  return (
    <footer className="sticky bottom-0 mt-[8px] flex flex-col gap-[8px] bg-base-100 pt-[4px] low:mt-[4px] low:grid low:grid-cols-[1fr_1.4fr] low:gap-1.5">
      <div
        className={`flex items-center justify-end gap-3 low:col-span-2 ${under ? 'low:absolute low:end-0 low:bottom-full' : 'low:hidden'}`}
      >
        <p className={`flex-1 text-[max(18px,1rem)] ${phase.kind === 'work' ? 'max-sm:hidden low:hidden' : 'low:hidden'}`}>
          <span className="aside">Then: </span>
          {then}
        </p>
        {under && (
          <button
            type="button"
            className="btn btn-ghost h-auto min-h-[44px] px-2 text-[max(16px,0.875rem)] font-normal"
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
        className="btn btn-primary h-auto min-h-[76px] w-full text-[max(24px,1rem)] leading-tight low:min-h-[60px] low:py-0 low:text-[24px]"
        disabled={stage.busy}
        onClick={(e) => {
          letGo(e);
          stage.go();
        }}
      >
        {unconfirmed && !fault ? `Yes, done: ${unconfirmed}` : GO_WORDS[fault ? 'fault' : phase.kind](byFeel)}
      </button>
      <div className="grid grid-cols-[repeat(auto-fit,minmax(max(56px,3.5em),1fr))] gap-[6px] text-sm low:text-[13px]">
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
      className={`btn btn-outline h-auto min-h-[56px] flex-col gap-[2px] px-0 py-[6px] text-[length:inherit] leading-tight font-normal ${strong ? 'border-error text-error' : 'border-base-300'}`}
      aria-keyshortcuts={keys}
      onClick={(e) => {
        letGo(e);
        use();
      }}
    >
      {icon}
      <span>{label}</span>
    </button>
  );
}
