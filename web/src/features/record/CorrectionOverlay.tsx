import { Overlay } from '../../kit/Overlay.tsx';
import type { Correction } from './correction.ts';
import { CorrectSession } from './CorrectSession.tsx';
import { CorrectSymptom } from './CorrectSymptom.tsx';

/** One session or symptom put right, over the record. */
export function CorrectionOverlay({
  correction,
  traineeId,
  done,
}: {
  readonly correction: Correction;
  readonly traineeId: string;
  readonly done: () => void;
}) {
  const label = `Correct: ${correction.name}`;
  return (
    <Overlay label={label} close={done} holds>
      <h2 className="px-3 pt-3">{label}</h2>
      {correction.kind === 'session' ? (
        <CorrectSession session={correction.session} traineeId={traineeId} done={done} />
      ) : (
        <CorrectSymptom symptom={correction.symptom} traineeId={traineeId} done={done} />
      )}
    </Overlay>
  );
}
