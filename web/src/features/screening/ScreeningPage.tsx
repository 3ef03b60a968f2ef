import { shortDay } from '@myokinet/core/quantities';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useScreeningsQuery } from './endpoints.ts';
import { TakeBack } from '../record/index.ts';
import { useCurrentTrainee } from '../trainee/index.ts';
import { Health } from './Health.tsx';
import { LastingPains } from './LastingPains.tsx';
import { Consequences } from './Consequences.tsx';
import { ScreeningForm } from './ScreeningForm.tsx';

/** The screening before training: the questions, and what the answers mean while they are being given. */
export function ScreeningPage() {
  const trainee = useCurrentTrainee();
  const { data, error, isLoading, refetch } = useScreeningsQuery(trainee.id);
  if (isLoading) return <Waiting />;
  if (!data) return <ProblemNote error={error} retry={() => void refetch()} />;
  return (
    <ScreeningForm key={data.current?.id ?? 'first'} screening={data}>
      {(outcome, unsaved) => (
        <>
          <Consequences outcome={outcome} screening={data} unsaved={unsaved} />
          {data.current && !unsaved && <TakeBack traineeId={trainee.id} kind="screening" factId={data.current.id} what="this screening" />}
          <Health health={data.health} />
          <LastingPains />
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
    </ScreeningForm>
  );
}
