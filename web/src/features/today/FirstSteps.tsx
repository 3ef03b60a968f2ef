import type { CaseloadRow } from '@myokinet/core/contracts';
import { Check } from 'lucide-react';
import { Link } from 'react-router';
import { useCaseloadQuery } from '../caseload/index.ts';

interface Step {
  readonly title: string;
  readonly why: string;
  readonly done: boolean;
  readonly to: string | undefined;
  readonly act: string;
}

/** Leads a new studio through its first trainee, first checks and first plan; gone when those are there, or more people are. */
export function FirstSteps() {
  const { data } = useCaseloadQuery();
  if (!data || data.length > 1) return null;
  const steps = stepsOf(data[0]);
  if (steps.every((s) => s.done)) return null;
  const next = steps.findIndex((s) => !s.done);
  return (
    <section className="sheet mt-5 p-4" aria-label="First steps">
      <h2>Three steps to the first plan</h2>
      <ol className="mt-2 space-y-3">
        {steps.map(({ title, why, done, to, act }, i) => (
          <li key={title} className="grid grid-cols-[2rem_1fr_auto] items-center gap-x-3">
            <span
              className={`flex size-8 items-center justify-center rounded-full font-semibold ${done ? 'bg-primary text-primary-content' : i === next ? 'border-2 border-primary' : 'border border-base-300'}`}
            >
              {done ? <Check size={18} aria-label="done" /> : i + 1}
            </span>
            <span className={done ? 'aside' : ''}>
              <span className="font-semibold">{title}</span>
              <span className="aside block text-sm">{why}</span>
            </span>
            {i === next && to !== undefined && (
              <Link className="btn btn-primary btn-sm" to={to}>
                {act}
              </Link>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}

function stepsOf(trainee: CaseloadRow | undefined): readonly Step[] {
  const at = trainee && `/trainees/${trainee.id}`;
  const { name = 'the trainee' } = trainee ?? {};
  return [
    {
      title: 'Add the first trainee',
      why: 'Name, body and target: what is asked of them follows from it.',
      done: trainee !== undefined,
      to: '/trainees/new',
      act: 'Add a trainee',
    },
    {
      title: 'Ask the screening and take the first checks',
      why: `What ${name} can show today. Without it only unloaded work is planned.`,
      done: trainee?.lastCheckAt !== undefined,
      to: trainee && `${at}/battery`,
      act: 'Take the checks',
    },
    {
      title: 'Plan the first weeks',
      why: 'Within what was shown, towards what is short.',
      done: trainee?.nextSessionOn !== undefined,
      to: at && `${at}/plan`,
      act: 'Make the plan',
    },
  ];
}
