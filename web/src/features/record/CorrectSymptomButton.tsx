import type { SymptomDto } from '@myokinet/core/contracts';
import type {} from '@myokinet/core/quantities';
import { Pencil } from 'lucide-react';
import type { Correction } from './correction.ts';
import { symptomInWords } from '@myokinet/core/words';

/** Opens the correction of one report. */
export function CorrectSymptomButton({
  symptom,
  correct,
}: {
  readonly symptom: SymptomDto;
  readonly correct: (correction: Correction) => void;
}) {
  const name = symptomInWords(symptom);
  return (
    <button
      type="button"
      className="btn btn-ghost btn-xs btn-square ms-1"
      aria-label={`Correct: ${name}`}
      onClick={() => correct({ kind: 'symptom', symptom, name })}
    >
      <Pencil size={12} aria-hidden />
    </button>
  );
}
