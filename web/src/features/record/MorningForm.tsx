import { useState } from 'react';
import { nowInstant } from '../../client/clock.ts';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useReportSymptomMutation } from './endpoints.ts';
import { quietSymptom, SymptomFields, type SymptomValues } from './SymptomFields.tsx';
import { feltValues } from './feltValues.ts';
import { useSymptomContext } from './useSymptomContext.ts';
import { stopSignInWords } from '@myokinet/core/words';

/** The morning after a session: one tap when all is quiet, a few fields when not. */
export function MorningForm({
  traineeId,
  sessionId,
  name,
}: {
  readonly traineeId: string;
  readonly sessionId: string;
  readonly name: string;
}) {
  const [report, { isLoading, error }] = useReportSymptomMutation();
  const [felt, setFelt] = useState<SymptomValues | undefined>();
  const [id] = useState(newId);
  const [at] = useState(() => nowInstant());
  const send = (values: SymptomValues) => void report({ traineeId, body: { ...feltValues(values), id, sessionId, at, note: '' } });
  const context = useSymptomContext(traineeId, felt !== undefined);
  const sign = felt && stopSignInWords({ ...feltValues(felt), at }, context);
  return (
    <div className={felt ? 'col-span-full' : ''}>
      {felt ? (
        <form
          className="flex flex-wrap items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            send(felt);
          }}
        >
          <SymptomFields values={felt} change={setFelt} moments={['next morning']} />
          <button type="submit" className="btn btn-sm btn-primary" disabled={isLoading}>
            Record
          </button>
          <button type="button" className="btn btn-sm btn-ghost" onClick={() => setFelt(undefined)}>
            Back
          </button>
          {sign && <p className="w-full text-sm font-semibold text-error">{sign} This withdraws the clearance in hand.</p>}
        </form>
      ) : (
        <div className="flex gap-2">
          <button
            type="button"
            className="btn btn-sm btn-outline"
            disabled={isLoading}
            aria-label={`Nothing felt: ${name}`}
            onClick={() => send({ ...quietSymptom('next morning') })}
          >
            Nothing felt
          </button>
          <button
            type="button"
            className="btn btn-sm btn-ghost"
            aria-label={`Something felt: ${name}`}
            onClick={() => setFelt({ ...quietSymptom('next morning'), intensity: 1, kind: 'ache' })}
          >
            Something…
          </button>
        </div>
      )}
      <ProblemNote error={error} />
    </div>
  );
}
