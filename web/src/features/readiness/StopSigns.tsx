import type { StopSignReply } from '@myokinet/core/contracts';
import { shortDay } from '@myokinet/core/quantities';
import { OctagonX } from 'lucide-react';
import { ReasonForm } from '../../client/ReasonForm.tsx';
import { newId } from '../../client/newId.ts';
import { useCloseStopSignMutation } from './endpoints.ts';

/** Open stop signs, each with the way to close it: on a stated ground, by the coach. */
export function StopSigns({
  traineeId,
  signs,
  now,
}: {
  readonly traineeId: string;
  readonly signs: readonly StopSignReply[];
  readonly now: Date;
}) {
  const [close, { isLoading, error }] = useCloseStopSignMutation();
  const open = signs.filter((s) => !s.closure);
  if (open.length === 0) return null;
  return (
    <section aria-label="Open stop signs" className="border-s-4 border-error bg-error/10 p-3">
      {open.map((sign) => (
        <div key={sign.symptomId}>
          <p className="flex items-start gap-2 leading-snug font-semibold">
            <OctagonX size={18} className="mt-0.5 flex-none text-error" aria-hidden />
            {sign.reason}
          </p>
          <p className="aside mt-0.5 text-sm">
            {shortDay(sign.at, now)}. Every gate stays closed while it is open. If in doubt, a licensed professional decides.
          </p>
          <ReasonForm
            open="Close this stop sign…"
            label="On what ground?"
            confirm="Close the stop sign"
            busy={isLoading}
            error={error}
            submit={(ground) => close({ traineeId, body: { id: newId(), symptomId: sign.symptomId, ground } })}
          />
        </div>
      ))}
    </section>
  );
}
