import type { RecordReply } from '@myokinet/core/contracts';
import { type Instant, shortDay } from '@myokinet/core/quantities';
import type { Correction } from './correction.ts';
import { CorrectSymptomButton } from './CorrectSymptomButton.tsx';
import { symptomInWords } from '@myokinet/core/words';

/** Stop signs with how they were closed, and what was reported outside a session. */
export function SymptomEntries({
  record,
  now,
  correct,
}: {
  readonly record: RecordReply;
  readonly now: Date;
  readonly correct: (correction: Correction) => void;
}) {
  const { stopSigns, symptoms } = record;
  const all = [...symptoms, ...record.sessions.flatMap((s) => s.symptoms)];
  const stopped = new Set(stopSigns.map((s) => s.symptomId));
  const others = symptoms.filter((s) => !stopped.has(s.id));
  if (stopSigns.length + others.length === 0) return <p className="aside mt-1">Nothing reported.</p>;
  return (
    <ul className="mt-1">
      {stopSigns.map((sign) => (
        <li key={sign.symptomId} className="border-b border-base-300 py-1.5">
          <div>
            <span className="font-semibold">{shortDay(sign.at, now)}</span> {sign.reason}
            {all
              .filter((s) => s.id === sign.symptomId)
              .map((s) => (
                <CorrectSymptomButton key={s.id} symptom={s} correct={correct} />
              ))}
          </div>
          <p className={`text-sm ${sign.closure ? 'aside' : 'state-short font-semibold'}`}>
            {sign.closure
              ? `Closed ${shortDay(sign.closure.closedAt, now)}${sign.closure.role ? ` on the word of a ${sign.closure.role}` : ''}: ${sign.closure.ground}`
              : 'Open: every gate stays closed. Close it on the Readiness tab.'}
          </p>
        </li>
      ))}
      {others.map((s) => (
        <li key={s.id} className="border-b border-base-300 py-1.5">
          <span className="font-semibold">{shortDay(s.at as Instant, now)}</span> {symptomInWords(s)}
          {s.note && ` “${s.note}”`}
          {s.reportedBy && <span className="aside text-sm"> (told on the own page)</span>}
          <CorrectSymptomButton symptom={s} correct={correct} />
        </li>
      ))}
    </ul>
  );
}
