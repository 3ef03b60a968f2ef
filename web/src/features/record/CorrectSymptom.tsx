import type { SymptomDto } from '@myokinet/core/contracts';
import { SYMPTOM_MOMENTS } from '@myokinet/core/safety';
import { useState } from 'react';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { TextField } from '../../kit/EntryFields.tsx';
import { useCorrectSymptomMutation } from './endpoints.ts';
import { SymptomFields, type SymptomValues } from './SymptomFields.tsx';
import { feltValues } from './feltValues.ts';
import { TakeBack } from './TakeBack.tsx';

const LEAST_REASON = 3;

/** A symptom as it truly was, or that there was none to speak of; the version before stays on record. */
export function CorrectSymptom({
  symptom,
  traineeId,
  done,
}: {
  readonly symptom: SymptomDto;
  readonly traineeId: string;
  readonly done: () => void;
}) {
  const [values, setValues] = useState<SymptomValues>(() => {
    const { intensity, place, side, kind, moment, retest = null } = symptom;
    return { intensity, place, side, kind, moment, retest };
  });
  const [id] = useState(newId);
  const [reason, setReason] = useState('');
  const [correct, { isLoading, error }] = useCorrectSymptomMutation();
  const body = {
    replaces: symptom.id,
    reason: reason.trim(),
    symptom: { ...feltValues(values), id, at: symptom.at, sessionId: symptom.sessionId, note: symptom.note },
  };
  return (
    <div className="p-3">
      <form
        aria-label="Correct this report"
        onSubmit={(event) => {
          event.preventDefault();
          if (reason.trim().length >= LEAST_REASON) void correct({ traineeId, body }).then((r) => r.data && done());
        }}
      >
        <div className="flex flex-wrap items-end gap-2">
          <SymptomFields values={values} change={setValues} moments={SYMPTOM_MOMENTS} />
        </div>
        <TextField label="Why" className="mt-2 max-w-md" value={reason} change={setReason} />
        <div className="mt-2 flex gap-2">
          <button type="submit" className="btn btn-sm btn-primary" disabled={reason.trim().length < LEAST_REASON || isLoading}>
            Put it right
          </button>
          <button type="button" className="btn btn-sm btn-ghost" onClick={done}>
            Leave it
          </button>
        </div>
        <ProblemNote error={error} />
      </form>
      <TakeBack traineeId={traineeId} kind="symptom" factId={symptom.id} what="this report" />
    </div>
  );
}
