import type { SymptomDto } from '@myokinet/core/contracts';
import type { Instant } from '@myokinet/core/quantities';
import { symptomInWords } from '@myokinet/core/safety';
import { Pencil } from 'lucide-react';
import type { Correction } from './correction.ts';

/** Opens the correction of one report. */
export function CorrectSymptomButton({
  symptom,
  correct,
}: {
  readonly symptom: SymptomDto;
  readonly correct: (correction: Correction) => void;
}) {
  const name = symptomInWords({ ...symptom, at: symptom.at as Instant });
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
