import type { SymptomDto } from '@myokinet/core/contracts';
import { SYMPTOM_MOMENTS } from '@myokinet/core/safety';
import { Pencil } from 'lucide-react';
import { useState } from 'react';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { TextField } from '../../kit/EntryFields.tsx';
import { useCorrectSymptomMutation } from './endpoints.ts';
import { SymptomFields, type SymptomValues } from './SymptomFields.tsx';
import { TakeBack } from './TakeBack.tsx';

const LEAST_REASON = 3;

/** A symptom as it truly was, or that there was none to speak of; the version before stays on record. */
export function CorrectSymptom({
  symptom,
  traineeId,
  name,
}: {
  readonly symptom: SymptomDto;
  readonly traineeId: string;
  readonly name: string;
}) {
  const [values, setValues] = useState<SymptomValues | undefined>();
  const [id] = useState(newId);
  const [reason, setReason] = useState('');
  const [correct, { isLoading, error }] = useCorrectSymptomMutation();
  if (!values)
    return (
      <button
        type="button"
        className="btn btn-ghost btn-xs btn-square ms-1"
        aria-label={`Correct: ${name}`}
        onClick={() => setValues({ ...symptom })}
      >
        <Pencil size={12} aria-hidden />
      </button>
    );
  const { intensity, place, side, kind, moment } = values;
  const body = {
    replaces: symptom.id,
    reason: reason.trim(),
    symptom: { ...{ intensity, place, side, kind, moment }, id, at: symptom.at, sessionId: symptom.sessionId, note: symptom.note },
  };
  return (
    <form
      className="sheet mt-1 p-3"
      aria-label={`Correct: ${name}`}
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim().length >= LEAST_REASON) void correct({ traineeId, body });
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
        <button type="button" className="btn btn-sm btn-ghost" onClick={() => setValues(undefined)}>
          Leave it
        </button>
      </div>
      <TakeBack traineeId={traineeId} kind="symptom" factId={symptom.id} what="this report" />
      <ProblemNote error={error} />
    </form>
  );
}
