import { type Measure, OWN_ERROR_RULES, reliabilityInWords, type Repeatability } from '@myokinet/core/measuring';
import { formatError } from '@myokinet/core/quantities';

export interface TestResultProps {
  readonly measure: Measure;
  readonly kind: 'one coach' | 'two coaches';
  readonly result: Repeatability;
}

/** Coefficients, error and detectable change of one test, and what they mean. */
export function TestResult({ measure, kind, result }: TestResultProps) {
  const { icc21, icc31, sem, mdc95, means, agreement, degreesOfFreedom } = result;
  const told = kind === 'one coach' ? icc31 : icc21;
  const shift = (means[1] ?? 0) - (means[0] ?? 0);
  return (
    <div className="py-2 text-sm">
      <dl className="grid grid-cols-[15rem_1fr] gap-y-0.5 max-sm:grid-cols-1">
        <dt className="aside">Off by, one visit (SEM)</dt>
        <dd>
          <span className="font-semibold">{formatError(sem, measure.unit)}</span>{' '}
          <span className="aside">({degreesOfFreedom} degrees of freedom)</span>
        </dd>
        <dt className="aside">A real change is from (MDC95)</dt>
        <dd className="font-semibold">{formatError(mdc95, measure.unit)}</dd>
        <dt className="aside">Same figures again (ICC 2,1)</dt>
        <dd>{coefficient(icc21)}</dd>
        <dt className="aside">Same order of people (ICC 3,1)</dt>
        <dd>{coefficient(icc31)}</dd>
        <dt className="aside">Second time</dt>
        <dd>
          {formatError(Math.abs(shift), measure.unit)} {shift >= 0 ? 'higher' : 'lower'} on average
        </dd>
        {agreement && (
          <>
            <dt className="aside">Limits of agreement</dt>
            <dd>
              95 of 100 second readings lie {signed(agreement.low, measure)} to {signed(agreement.high, measure)} from the first
            </dd>
          </>
        )}
      </dl>
      {told.value < 0 && (
        <p className="mt-1">Below 0: these bodies differ less among themselves than their own readings do. Take it as no repeatability.</p>
      )}
      <p className="mt-1">
        {reliabilityInWords(told.value).replace(/^./, (c) => c.toUpperCase())} repeatability: a trainee must change by{' '}
        {formatError(mdc95, measure.unit)} before it is more than measuring.{' '}
        {result.targets < OWN_ERROR_RULES.targets &&
          `From ${OWN_ERROR_RULES.targets} bodies or sides on it takes the place of the default error.`}
      </p>
    </div>
  );
}

function coefficient({ value, interval }: Repeatability['icc21']): string {
  if (!interval) return `${value.toFixed(2)} (no interval: nothing scattered, so nothing tells how far it may be off)`;
  return `${value.toFixed(2)} (95% interval ${interval.low.toFixed(2)} to ${interval.high.toFixed(2)})`;
}

function signed(value: number, { unit }: Measure): string {
  return `${value < 0 ? '−' : '+'}${formatError(Math.abs(value), unit)}`;
}
