import type { StudioSchoolsDto } from '@myokinet/core/contracts';
import { SCHOOL_QUESTIONS, SCHOOLS, type SchoolChoice, type SchoolQuestionId, type Schools, TINGLING_NOTE } from '@myokinet/core/schools';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useSaveSchoolsMutation } from './endpoints.ts';
import { useStudioLibrary } from '../../client/LibraryContext.ts';

/** The studio's side in each question on which practitioners disagree; saved as soon as it is chosen. */
export function SchoolsPage() {
  const {
    schools: { revision, schools },
  } = useStudioLibrary();
  const [save, { isLoading, error }] = useSaveSchoolsMutation();
  const choose = (question: SchoolQuestionId, choice: string) =>
    void save({ ...schools, [question]: choice, revision: newId(), basedOn: revision } as StudioSchoolsDto);
  return (
    <section aria-label="Schools">
      <p className="max-w-3xl">
        Practitioners disagree here, each with reasons. Choose the studio’s side; a plan may choose otherwise for one trainee. Cues, fault
        lists, doses and proposals follow.
      </p>
      <ProblemNote error={error} />
      <div className="mt-3 grid gap-x-10 gap-y-6 lg:grid-cols-2">
        {SCHOOL_QUESTIONS.map((question) => (
          <SchoolChoices key={question} question={question} schools={schools} busy={isLoading} choose={choose} />
        ))}
      </div>
      <p className="mt-5 max-w-3xl border-s-4 border-error ps-3">{TINGLING_NOTE}</p>
    </section>
  );
}

function SchoolChoices({
  question,
  schools,
  busy,
  choose,
}: {
  readonly question: SchoolQuestionId;
  readonly schools: Schools;
  readonly busy: boolean;
  readonly choose: (question: SchoolQuestionId, choice: string) => void;
}) {
  const choices: Readonly<Record<string, SchoolChoice>> = SCHOOLS[question].choices;
  return (
    <fieldset>
      <legend className="font-display text-lg font-semibold">{SCHOOLS[question].question}</legend>
      <p className="aside text-sm">Governs: {SCHOOLS[question].governs.charAt(0).toLowerCase() + SCHOOLS[question].governs.slice(1)}</p>
      {Object.entries(choices).map(([value, { name, holds, others }]) => (
        <label key={value} className="mt-2 flex cursor-pointer items-start gap-3">
          <input
            type="radio"
            className="radio radio-sm mt-0.5"
            name={question}
            value={value}
            checked={schools[question] === value}
            disabled={busy}
            onChange={() => choose(question, value)}
          />
          <span className="leading-snug">
            <span className="font-semibold">{name}.</span> {holds} <span className="aside">{others}</span>
          </span>
        </label>
      ))}
    </fieldset>
  );
}
