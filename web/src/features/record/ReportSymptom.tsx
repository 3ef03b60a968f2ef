import { useState } from 'react';
import { nowInstant } from '../../client/clock.ts';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useReportSymptomMutation } from './endpoints.ts';
import { quietSymptom, SymptomFields, type SymptomValues } from './SymptomFields.tsx';
import { feltValues } from './feltValues.ts';
import { useSymptomContext } from './useSymptomContext.ts';
import { stopSignInWords } from '@myokinet/core/words';

interface Report {
  readonly id: string;
  readonly at: ReturnType<typeof nowInstant>;
  readonly values: SymptomValues;
}

/** A symptom away from any session: on the stairs, at work, in the night. */
export function ReportSymptom({ traineeId }: { readonly traineeId: string }) {
  const [send, { isLoading, error }] = useReportSymptomMutation();
  const [report, setReport] = useState<Report | undefined>();
  const context = useSymptomContext(traineeId, report !== undefined);
  if (!report)
    return (
      <button
        type="button"
        className="btn btn-sm mt-1"
        onClick={() => setReport({ id: newId(), at: nowInstant(), values: { ...quietSymptom('during'), intensity: 1, kind: 'ache' } })}
      >
        Report a symptom
      </button>
    );
  const { id, at, values } = report;
  const stop = stopSignInWords({ ...feltValues(values), at }, context);
  return (
    <form
      className="sheet mt-1 p-3"
      onSubmit={(event) => {
        event.preventDefault();
        void send({ traineeId, body: { ...feltValues(values), id, at, sessionId: null, note: '' } }).then(
          (r) => r.data && setReport(undefined),
        );
      }}
    >
      <div className="flex flex-wrap items-end gap-2">
        <SymptomFields values={values} change={(next) => setReport({ ...report, values: next })} moments={['before', 'during', 'after']} />
      </div>
      {stop && <p className="mt-2 text-sm font-semibold text-error">{stop} This withdraws the clearance in hand.</p>}
      <div className="mt-2 flex gap-2">
        <button type="submit" className="btn btn-sm btn-primary" disabled={isLoading}>
          Record the symptom
        </button>
        <button type="button" className="btn btn-sm btn-ghost" onClick={() => setReport(undefined)}>
          Leave it
        </button>
      </div>
      <ProblemNote error={error} />
    </form>
  );
}
