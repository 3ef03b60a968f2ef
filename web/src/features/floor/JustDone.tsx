import { FEELING_WORDS } from '@myokinet/core/words';
import { UNIT_WORDS } from '@myokinet/core/drills';
import { formWentAt } from '@myokinet/core/floor';
import { Minus, Plus, Undo2 } from 'lucide-react';
import { letGo } from './FaultPanel.tsx';
import type { LastSetHandle } from './useLastSet.ts';
import type { LastSet } from './useStage.ts';

const ONE = { reps: 'rep', s: 's', breaths: 'breath' } as const;

/** The set just logged: right as it stands, or put right by a tap or by its digits. */
export function JustDone({
  last,
  handle,
  named,
  confirms = false,
}: {
  readonly last: LastSet;
  readonly handle: LastSetHandle;
  /** The set was of another drill than the one on the screen. */
  readonly named: boolean;
  /** What ran out is confirmed here; on the stage the one key does it. */
  readonly confirms?: boolean;
}) {
  const { drill, round, side } = last.step;
  const amount = handle.typed || String(last.amount);
  const unit = amount === '1' ? ONE[drill.dose.unit] : UNIT_WORDS[drill.dose.unit];
  return (
    <div
      className={`flex flex-wrap items-center gap-x-2 border-s-4 px-2 py-1.5 text-base sm:px-3 sm:text-lg ${last.unconfirmed ? 'border-warning bg-warning/15' : 'border-success bg-success/10'}`}
      role="status"
    >
      <span>
        {last.unconfirmed ? 'Ran out, not confirmed: ' : 'Logged: '}
        {named && `${drill.name}, `}
        {side === 'whole' ? '' : `${side}, `}set {round}:{' '}
        <strong className="text-2xl">{last.feeling ? FEELING_WORDS[last.feeling] : `${amount} ${unit}`}</strong>
        {handle.typed && <span className="aside text-base"> Enter takes it over</span>}
        {handle.problem && <span className="block text-base text-error">{handle.problem}</span>}
      </span>
      <span className="ms-auto flex gap-1.5">
        {last.unconfirmed && confirms && (
          <button
            type="button"
            className="btn min-h-11 px-3 sm:min-h-12"
            onClick={(e) => {
              letGo(e);
              handle.confirm();
            }}
          >
            Done
          </button>
        )}
        {!last.feeling && (
          <>
            <button
              type="button"
              className="btn btn-square min-h-11 min-w-11 sm:min-h-12 sm:min-w-12"
              aria-label="One less"
              onClick={(e) => {
                letGo(e);
                handle.nudge(-1);
              }}
            >
              <Minus size={22} aria-hidden />
            </button>
            <button
              type="button"
              className="btn btn-square min-h-11 min-w-11 sm:min-h-12 sm:min-w-12"
              aria-label="One more"
              onClick={(e) => {
                letGo(e);
                handle.nudge(1);
              }}
            >
              <Plus size={22} aria-hidden />
            </button>
          </>
        )}
        <button
          type="button"
          className="btn min-h-11 px-3 sm:min-h-12"
          aria-label="Take the set back"
          aria-expanded={handle.asksBack}
          onClick={handle.askBack}
        >
          <Undo2 size={22} aria-hidden />
        </button>
      </span>
      {handle.asksBack && (
        <span className="flex w-full flex-wrap items-center gap-1.5 pt-1" role="alert">
          <span className="flex-1">Take this set back? Then it is to be done again.</span>
          <button type="button" className="btn min-h-11" onClick={handle.keepIt}>
            Keep it
          </button>
          <button type="button" className="btn btn-outline min-h-11 border-error text-error" onClick={handle.takeBack}>
            Take it back
          </button>
        </span>
      )}
      {last.unconfirmed && drill.dose.unit === 's' && (
        <span className="flex w-full flex-wrap items-center gap-1.5 pt-1" role="group" aria-label="Where the form went">
          <span>Good to the end? If not, the form went at</span>
          {formWentAt(last.amount).map((seconds) => (
            <button
              key={seconds}
              type="button"
              className="btn min-h-11 px-3"
              onClick={(e) => {
                letGo(e);
                handle.say(seconds);
              }}
            >
              {seconds} s
            </button>
          ))}
        </span>
      )}
    </div>
  );
}
