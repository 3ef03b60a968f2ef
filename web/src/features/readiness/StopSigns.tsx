import type { StopSignReply } from '@myokinet/core/contracts';
import { calendarDay, shortDay } from '@myokinet/core/quantities';
import { closingProblemInWords } from '@myokinet/core/words';
import { OctagonX } from 'lucide-react';
import { useState } from 'react';
import { ReasonForm } from '../../client/ReasonForm.tsx';
import { newId } from '../../client/newId.ts';
import { nobodyHeard, ProfessionalFields } from '../../kit/ProfessionalFields.tsx';
import { useCloseStopSignMutation } from './endpoints.ts';

/** Open stop signs, each with the way to close it: by the coach where that is the coach's, else on a professional's word. */
export function StopSigns({
  traineeId,
  signs,
  now,
}: {
  readonly traineeId: string;
  readonly signs: readonly StopSignReply[];
  readonly now: Date;
}) {
  const open = signs.filter((s) => !s.closure);
  if (open.length === 0) return null;
  return (
    <section aria-label="Open stop signs" className="border-s-4 border-error bg-error/10 p-3">
      {open.map((sign) => (
        <div key={sign.symptomId} className="not-first:mt-3">
          <p className="flex items-start gap-2 leading-snug font-semibold">
            <OctagonX size={18} className="mt-0.5 flex-none text-error" aria-hidden />
            {sign.reason}
          </p>
          <p className="mt-0.5 text-sm">
            {shortDay(sign.at, now)}. Every gate stays closed while it is open.{' '}
            {sign.problem ? closingProblemInWords(sign.problem) : 'If in doubt, a licensed professional decides.'}
          </p>
          <CloseSign traineeId={traineeId} sign={sign} now={now} />
        </div>
      ))}
    </section>
  );
}

function CloseSign({ traineeId, sign, now }: { readonly traineeId: string; readonly sign: StopSignReply; readonly now: Date }) {
  const [close, { isLoading: busy, error }] = useCloseStopSignMutation();
  const [heard, setHeard] = useState(() => nobodyHeard(now));
  const { role, consultedOn } = heard;
  const body = (ground: string) => ({ id: newId(), symptomId: sign.symptomId, ground });
  return (
    <div className="flex flex-wrap items-start gap-x-2">
      {!sign.problem && (
        <ReasonForm
          open="Close this stop sign…"
          label="Two days without pain there. What was found?"
          confirm="Close the stop sign"
          {...{ busy, error }}
          submit={(ground) => close({ traineeId, body: body(ground) })}
        />
      )}
      <ReasonForm
        open="A licensed professional was heard…"
        label="What was seen and said"
        confirm="Close the stop sign"
        {...{ busy, error }}
        besides={{
          fields: <ProfessionalFields value={heard} change={setHeard} earliest={calendarDay(sign.at)} />,
          ready: role !== '' && consultedOn >= calendarDay(sign.at),
        }}
        submit={(ground) => role !== '' && close({ traineeId, body: { ...body(ground), role, consultedOn } })}
      />
    </div>
  );
}
