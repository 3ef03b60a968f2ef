import type { RepeatabilityReply } from '@myokinet/core/contracts';
import { type Measure, type OwnError, OWN_ERROR_RULES, realFrom } from '@myokinet/core/measuring';
import { dayInWords, formatError } from '@myokinet/core/quantities';
import { ownErrorInWords } from '@myokinet/core/words';
import { useState } from 'react';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useLibrary } from '../../client/LibraryContext.ts';
import { useMeasuringQuery } from './endpoints.ts';
import { RepeatabilityForm } from './RepeatabilityForm.tsx';
import { TestResult } from './TestResult.tsx';

/** What the coach's own figures are worth: the measuring error in each check, and the tests it comes from. */
export function MeasuringPage() {
  const { data, error, isLoading, refetch } = useMeasuringQuery();
  if (isLoading) return <Waiting />;
  const now = new Date();
  return (
    <div className="mx-auto grid w-full max-w-6xl grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-6 px-4 py-5 sm:px-6 xl:grid-cols-[minmax(0,1fr)_32rem]">
      <title>Measuring · Myokinet</title>
      <section>
        <h1>What a figure is worth</h1>
        <p className="aside mt-1">
          Every check starts with default measuring errors. A test on {OWN_ERROR_RULES.targets} bodies or sides, measured twice, shows yours
          from visit to visit; repeated trials of {OWN_ERROR_RULES.trainees} trainees or more show yours from trial to trial. The better you
          measure, the narrower the error bands and the sooner a gate opens for the right reason.
        </p>
        <ProblemNote error={error} retry={() => void refetch()} />
        {data && <ErrorTable ownErrors={data.ownErrors} />}
      </section>
      <section className="xl:border-s xl:border-base-300 xl:ps-8">
        <RepeatabilityForm />
        {data && data.tests.length > 0 && (
          <>
            <h2 className="mt-6">Tests on record</h2>
            {data.tests.map((test) => (
              <Test key={test.id} test={test} now={now} />
            ))}
          </>
        )}
      </section>
    </div>
  );
}

function ErrorTable({ ownErrors }: { readonly ownErrors: Readonly<Record<string, OwnError>> }) {
  const library = useLibrary();
  return (
    <div className="relative mt-3 overflow-x-auto" tabIndex={0} role="region" aria-label="Measuring errors">
      <table className="plain-table">
        <thead>
          <tr>
            <th scope="col">Check</th>
            <th scope="col">Trial to trial</th>
            <th scope="col">Visit to visit</th>
            <th scope="col">Yours</th>
            <th scope="col">Real from</th>
          </tr>
        </thead>
        <tbody>
          {library.measures
            .filter((m) => m.error.kind !== 'none')
            .map((measure) => {
              const own = ownErrors[measure.id];
              return (
                <tr key={measure.id}>
                  <th scope="row" className="!border-b !border-base-300 align-top !whitespace-normal">
                    {measure.name}
                  </th>
                  <td>{inUnit(measure, withinOf(measure))}</td>
                  <td>{inUnit(measure, betweenOf(measure))}</td>
                  <td>
                    {own ? (
                      <>
                        <span className="font-semibold">{ownFigure(own, measure)}</span>
                        <span className="aside block text-sm">{ownErrorInWords(own)}</span>
                      </>
                    ) : (
                      <span className="aside text-sm">{measure.error.kind === 'share' ? 'not asked' : 'not known yet'}</span>
                    )}
                  </td>
                  <td>{inUnit(measure, realFrom(measure, own))}</td>
                </tr>
              );
            })}
        </tbody>
      </table>
      <p className="aside mt-2 text-sm">
        Errors are standard deviations: from trial to trial on one visit, and what placing the instrument anew and the day add from one
        visit to the next. More trials shrink only the first. “Real from” is the smallest difference between two visits, each with the
        trials its protocol asks for, that is a real change with 95% confidence: 1.96 × √2 × the error of a visit.
      </p>
    </div>
  );
}

function inUnit({ error, unit }: Measure, figure: number): string {
  return error.kind === 'share' ? `${Math.round(figure * 100)}%` : formatError(figure, unit);
}

function withinOf({ error }: Measure): number {
  return error.kind === 'none' ? 0 : error.within;
}

function betweenOf({ error }: Measure): number {
  return error.kind === 'none' ? 0 : error.between;
}

function ownFigure({ within, occasion }: OwnError, measure: Measure): string {
  if (occasion) return `${inUnit(measure, occasion.sem)} a visit`;
  return within ? `${inUnit(measure, within.sd)} trial to trial` : '';
}

function Test({ test, now }: { readonly test: RepeatabilityReply; readonly now: Date }) {
  const [open, setOpen] = useState(false);
  const measure = useLibrary().measure(test.measureId);
  return (
    <div className="border-b border-base-300 py-1.5">
      <button type="button" className="w-full cursor-pointer text-start" aria-expanded={open} onClick={() => setOpen(!open)}>
        <span className="font-semibold">{measure.name}</span> <span className="aside text-sm">{dayInWords(test.takenAt, now)}</span>
        <span className="aside block text-sm">
          {test.repeated.length} bodies or sides,{' '}
          {test.kind === 'one coach' ? `twice by ${test.coach}` : `by ${test.coach} and ${test.otherCoach || 'another coach'}`}
        </span>
      </button>
      {open && <TestResult measure={measure} kind={test.kind} result={test.result} />}
    </div>
  );
}
