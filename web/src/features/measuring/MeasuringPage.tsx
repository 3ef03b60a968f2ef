import type { RepeatabilityReply } from '@myokinet/core/contracts';
import { type Measure, type OwnError, OWN_ERROR_RULES, realFrom } from '@myokinet/core/measuring';
import { dayInWords, formatError } from '@myokinet/core/quantities';
import { useState } from 'react';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useLibrary } from '../../client/LibraryContext.ts';
import { useMeasuringQuery } from './endpoints.ts';
import { RepeatabilityForm } from './RepeatabilityForm.tsx';
import { isTestable } from './testDraft.ts';
import { TestResult } from './TestResult.tsx';

/** What the coach's own figures are worth: the measuring error in each check, and the tests it comes from. */
export function MeasuringPage() {
  const { data, error, isLoading, refetch } = useMeasuringQuery();
  if (isLoading) return <Waiting />;
  const now = new Date();
  return (
    <div className="mx-auto grid w-full max-w-6xl gap-x-10 gap-y-6 px-4 py-5 sm:px-6 xl:grid-cols-[minmax(0,1fr)_32rem]">
      <title>Measuring · Myokinet</title>
      <section>
        <h1>What a figure is worth</h1>
        <p className="aside mt-1">
          Every check starts with a default measuring error. Yours takes its place once {OWN_ERROR_RULES.targets} bodies or sides were
          measured twice in a test, or once {OWN_ERROR_RULES.trainees} trainees gave enough repeated trials. The better you measure, the
          narrower the error bands and the sooner a gate opens for the right reason.
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
            <th scope="col">Default error</th>
            <th scope="col">Yours</th>
            <th scope="col">Real from</th>
          </tr>
        </thead>
        <tbody>
          {library.measures.filter(isTestable).map((measure) => {
            const own = ownErrors[measure.id];
            return (
              <tr key={measure.id}>
                <th scope="row" className="!border-b !border-base-300 align-top !whitespace-normal">
                  {measure.name}
                </th>
                <td>{formatError(defaultOf(measure), measure.unit)}</td>
                <td>
                  {own ? (
                    <>
                      <span className="font-semibold">{formatError(own.sem, measure.unit)}</span>
                      <span className="aside block text-sm">{own.words}</span>
                    </>
                  ) : (
                    <span className="aside text-sm">not known yet</span>
                  )}
                </td>
                <td>{formatError(realFrom(measure, own?.sem ?? defaultOf(measure)), measure.unit)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="aside mt-2 text-sm">
        The error is the standard error of measurement of a single trial. “Real from” is the smallest difference between two occasions, each
        with the trials its protocol asks for, that is a real change with 95% confidence (MDC95 = 1.96·√2·SEM/√trials; best-of checks
        without the last root).
      </p>
    </div>
  );
}

function defaultOf({ error }: Measure): number {
  return error.kind === 'scatter' ? error.sem : 0;
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
