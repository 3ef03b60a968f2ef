import type { PlanDto } from '@myokinet/core/contracts';
import { choiceOf, SCHOOL_QUESTIONS, SCHOOLS, type SchoolQuestionId, type Schools, schoolsOf } from '@myokinet/core/schools';
import { useId } from 'react';
import { Link } from 'react-router';

export interface PlanSchoolsProps {
  readonly plan: PlanDto;
  readonly studio: Schools;
  readonly change: (own: Partial<Schools>) => void;
}

/** The schools this plan follows; what it does otherwise than the studio is said in the summary. */
export function PlanSchools({ plan, studio, change }: PlanSchoolsProps) {
  const own: Partial<Schools> = plan.schools ?? {};
  const schools = schoolsOf(studio, own);
  const otherwise = SCHOOL_QUESTIONS.filter((q) => own[q] !== undefined && own[q] !== studio[q]);
  return (
    <details className="no-print mt-2 max-w-5xl text-sm">
      <summary className="cursor-pointer">
        <span className="font-semibold">Schools:</span> {SCHOOL_QUESTIONS.map((q) => choiceOf(q, schools).name.toLowerCase()).join(' · ')}
        {otherwise.length > 0 && <span className="font-semibold"> ({otherwise.length} otherwise than the studio)</span>}
      </summary>
      <div className="mt-2 grid gap-x-8 gap-y-3 md:grid-cols-2">
        {SCHOOL_QUESTIONS.map((question) => (
          <SchoolField key={question} question={question} own={own} studio={studio} change={change} />
        ))}
      </div>
      <p className="aside mt-2">
        Propose again to build the week anew by these. The studio’s own choice is made under{' '}
        <Link className="link" to="/library/schools">
          Library, Schools
        </Link>
        .
      </p>
    </details>
  );
}

function SchoolField({
  question,
  own,
  studio,
  change,
}: Omit<PlanSchoolsProps, 'plan'> & { readonly question: SchoolQuestionId; readonly own: Partial<Schools> }) {
  const id = useId();
  const choices: Readonly<Record<string, { readonly name: string }>> = SCHOOLS[question].choices;
  const { holds, others } = choiceOf(question, schoolsOf(studio, own));
  const choose = (choice: string) => {
    const { [question]: _, ...rest } = own;
    change(choice === '' ? rest : { ...rest, [question]: choice });
  };
  return (
    <div>
      <label htmlFor={id} className="font-semibold">
        {SCHOOLS[question].question}
      </label>
      <select id={id} className="select select-sm mt-1 w-full" value={own[question] ?? ''} onChange={(e) => choose(e.target.value)}>
        <option value="">As the studio: {choiceOf(question, studio).name.toLowerCase()}</option>
        {Object.entries(choices).map(([value, { name }]) => (
          <option key={value} value={value}>
            {name}
          </option>
        ))}
      </select>
      <p className="aside mt-1 leading-snug">
        {holds} {others}
      </p>
    </div>
  );
}
