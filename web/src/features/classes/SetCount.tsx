import { type MemberState, workAt } from '@myokinet/core/classes';
import type { BodySide } from '@myokinet/core/anatomy';
import { UNIT_WORDS } from '@myokinet/core/drills';
import { Minus, Plus } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { workBefore } from './marks.ts';
import type { OpenClass } from './useClass.ts';

const MOST = 3600;

export interface ToCount {
  readonly moment: number;
  readonly side: BodySide;
  readonly asked: number;
  readonly unit: string;
}

/** The newest set of somebody that is over and that nobody has counted yet. */
export function newestCount({ state, library }: OpenClass, member: MemberState, moment: number): ToCount | undefined {
  const at = workBefore(state, state.head.moments[moment]?.kind === 'work' ? moment - 1 : moment);
  if (at === undefined || !state.passed.has(at)) return undefined;
  const work = workAt(state, member, at, library);
  const side = work?.asked.sides.find((s) => !member.counts.has(`${at} ${s}`));
  return work && side && { moment: at, side, asked: work.asked.amount, unit: UNIT_WORDS[library.asPlanned(work.item).dose.unit] };
}

interface SetCountProps {
  readonly open: OpenClass;
  readonly who: string;
  readonly count: ToCount;
  /** What stays in reach. */
  readonly children: ReactNode;
}

/** What the coach counted of one set. */
export function SetCount({ open, who, count, children }: SetCountProps) {
  const { moment, side, asked, unit } = count;
  const [amount, setAmount] = useState(asked);
  const to = (by: number) => setAmount(Math.min(MOST, Math.max(0, amount + by)));
  return (
    <div className="mt-auto flex flex-wrap items-center gap-1" role="group" aria-label="What was counted">
      <button type="button" className="btn size-11 p-0" aria-label="One fewer" onClick={() => to(-1)}>
        <Minus size={16} aria-hidden />
      </button>
      <span className="min-w-16 flex-1 text-center font-semibold tabular-nums">
        {amount} {unit}
        {side === 'whole' ? '' : `, ${side}`}
      </span>
      <button type="button" className="btn size-11 p-0" aria-label="One more" onClick={() => to(1)}>
        <Plus size={16} aria-hidden />
      </button>
      <button
        type="button"
        className="btn btn-primary min-h-11 flex-1 basis-[60%]"
        onClick={() => open.happen({ kind: 'count', who, moment, side, amount })}
      >
        Counted
      </button>
      {children}
    </div>
  );
}
