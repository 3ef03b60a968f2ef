import { shortDay } from '@myokinet/core/quantities';
import { ProblemNote } from '../pieces/ProblemNote.tsx';
import { Waiting } from '../pieces/Waiting.tsx';
import { useScreenQuery } from '../trainee/endpoints.ts';
import { useCurrentTrainee } from '../trainee/useCurrentTrainee.ts';
import { Consequences } from './Consequences.tsx';
import { ScreenForm } from './ScreenForm.tsx';

/** The screen before training: the questions, and what the answers mean while they are being given. */
export function ScreenPage() {
  const trainee = useCurrentTrainee();
  const { data, error, isLoading, refetch } = useScreenQuery(trainee.id);
  if (isLoading) return <Waiting />;
  if (!data) return <ProblemNote error={error} retry={() => void refetch()} />;
  return (
    <ScreenForm key={data.current?.id ?? 'first'} screen={data}>
      {(outcome, unsaved) => (
        <>
          <Consequences outcome={outcome} screen={data} unsaved={unsaved} />
          {data.earlier.length > 0 && (
            <details className="mt-4 text-sm">
              <summary className="cursor-pointer">Earlier screens ({data.earlier.length})</summary>
              <ul>
                {data.earlier.map((s) => (
                  <li key={s.id}>
                    {shortDay(s.takenAt, new Date())}, {s.coach}: {s.answers.filter((a) => a.answer !== 'no').length} answers other than no
                    {s.note && `. ${s.note}`}
                  </li>
                ))}
              </ul>
            </details>
          )}
        </>
      )}
    </ScreenForm>
  );
}
