import type { ScreeningsReply } from '@myokinet/core/contracts';
import { instant, shortDay } from '@myokinet/core/quantities';
import {
  BEIGHTON_TEST_IDS,
  beightonScore,
  QUESTION_GROUPS,
  QUESTION_IDS,
  questionOf,
  SCREENING_FRESH_DAYS,
  screeningOutcome,
  type ScreeningOutcome,
  withoutSlips,
} from '@myokinet/core/safety';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useDraft } from '../../client/useDraft.ts';
import { NoteField } from '../../kit/NoteField.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useRecordScreeningMutation } from './endpoints.ts';
import { useCurrentTrainee } from '../trainee/index.ts';
import { QuestionRow } from './QuestionRow.tsx';
import { noToTheRest, openQuestions, type ScreeningDraft, screeningDraft, screeningFrom, withAnswer } from './screeningDraft.ts';
import { BEIGHTON_WORDS, GROUP_WORDS, laxityInWords, QUESTION_WORDS } from '@myokinet/core/words';

export interface ScreenFormProps {
  readonly screening: ScreeningsReply;
  /** What the answers mean as they stand. */
  readonly children: (outcome: ScreeningOutcome, unsaved: boolean) => ReactNode;
}

export function ScreeningForm({ screening, children }: ScreenFormProps) {
  const trainee = useCurrentTrainee();
  const { current, consultations } = screening;
  const draft = useDraft<ScreeningDraft>(`screening:${trainee.id}`, () => screeningDraft(current), current?.id);
  const [record, { isLoading, error }] = useRecordScreeningMutation();
  const { value, change } = draft;
  const open = openQuestions(value);
  const now = new Date();
  const unsaved = draft.exists || !current;
  const due = trainee.screening.state !== 'fresh';
  const answers = screeningFrom(value, now).answers;
  const outcome = unsaved
    ? screeningOutcome(
        [{ takenAt: instant(now), answers, beighton: value.beighton }, ...(current ? [current] : []), ...screening.earlier],
        {
          birthYear: trainee.birthYear,
          birthDate: trainee.birthDate ?? null,
          consultations,
          ...screening.health,
          before: withoutSlips(screening.health.before),
          now,
        },
      )
    : trainee.screening;

  const save = async () => {
    const result = await record({ traineeId: trainee.id, body: screeningFrom(value, new Date()) });
    if (result.data) draft.discard();
  };
  const firstOpen = open[0];
  return (
    <div className="grid flex-1 content-start gap-x-10 gap-y-5 px-4 py-3 sm:px-6 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          if (open.length === 0) void save();
        }}
      >
        {/* What is answered while it is being saved would be lost with the draft. */}
        <fieldset className="contents" disabled={isLoading}>
          <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
            <h2>Screening before training</h2>
            <p className="aside text-sm">
              {current ? `Last answered ${shortDay(current.takenAt, now)}, ${current.coach}.` : 'Not answered yet.'} Anything medical goes
              to a doctor or physiotherapist first; coach and app defer.
            </p>
            {!current && open.length === QUESTION_IDS.length && (
              <button type="button" className="btn btn-sm" onClick={() => change(QUESTION_GROUPS.reduce(noToTheRest, value))}>
                Asked all: no to every one
              </button>
            )}
          </div>
          {QUESTION_GROUPS.map((group) => (
            <section key={group} className="mt-3" aria-label={GROUP_WORDS[group]}>
              <div className="flex flex-wrap items-end justify-between gap-2 border-b-2 border-base-content pb-0.5">
                <h3>{GROUP_WORDS[group]}</h3>
                {open.some((id) => questionOf(id).group === group) && (
                  <button type="button" className="btn btn-xs" onClick={() => change(noToTheRest(value, group))}>
                    Asked: no to the rest of these
                  </button>
                )}
              </div>
              {QUESTION_IDS.filter((id) => questionOf(id).group === group).map((id) => (
                <QuestionRow
                  key={id}
                  id={id}
                  given={value.answers[id]}
                  answer={(answer, side) => change(withAnswer(value, id, answer, side))}
                />
              ))}
            </section>
          ))}
          <Laxity value={value} change={change} />
          <NoteField value={value.note} change={(note) => change({ ...value, note })} />
          <ProblemNote error={error} retry={() => void save()} />
          <div className="sticky bottom-0 mt-3 flex flex-wrap items-center gap-3 border-t border-base-300 bg-base-100 py-3">
            <button type="submit" className={`btn ${unsaved || due ? 'btn-primary' : ''}`} disabled={open.length > 0 || isLoading}>
              {isLoading ? 'Saving…' : unsaved ? 'Save the screening' : 'Asked again: nothing changed'}
            </button>
            <span className="aside" role="status">
              {firstOpen
                ? `${open.length} ${open.length === 1 ? 'question is' : 'questions are'} open; next: “${QUESTION_WORDS[firstOpen].text}”`
                : unsaved
                  ? 'Every question is answered.'
                  : due
                    ? `More than ${SCREENING_FRESH_DAYS} days old: ask again, and save.`
                    : 'Saved. Change an answer, or record that nothing changed.'}
            </span>
            {!unsaved && (
              <Link className="btn btn-sm ms-auto" to={`/trainees/${trainee.id}/checks/new`}>
                Take a check
              </Link>
            )}
            {draft.exists && (
              <button type="button" className="btn btn-ghost btn-sm ms-auto" onClick={draft.throwAway}>
                Start over
              </button>
            )}
          </div>
        </fieldset>
      </form>
      {/* Forms of their own: one inside another would take the page with it. */}
      <div className="lg:sticky lg:top-4 lg:self-start">{children(outcome, unsaved)}</div>
    </div>
  );
}

function Laxity({ value, change }: { readonly value: ScreeningDraft; readonly change: (draft: ScreeningDraft) => void }) {
  const { beighton } = value;
  return (
    <section className="mt-4" aria-label="Joint laxity">
      <h3 className="border-b-2 border-base-content pb-0.5">Joint laxity, nine-point Beighton score</h3>
      <label className="mt-1.5 flex cursor-pointer items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={beighton !== null}
          onChange={(e) => change({ ...value, beighton: e.target.checked ? [] : null })}
        />
        The nine tests were done
      </label>
      {beighton && (
        <>
          <div className="mt-1.5 grid gap-x-8 gap-y-1 sm:grid-cols-2">
            {BEIGHTON_TEST_IDS.map((test) => (
              <label key={test} className="flex cursor-pointer items-center gap-2 text-sm">
                <input
                  type="checkbox"
                  className="checkbox checkbox-sm"
                  checked={beighton.includes(test)}
                  onChange={(e) =>
                    change({ ...value, beighton: e.target.checked ? [...beighton, test] : beighton.filter((t) => t !== test) })
                  }
                />
                {BEIGHTON_WORDS[test]}
              </label>
            ))}
          </div>
          <p className="mt-1.5" role="status">
            {laxityInWords(beightonScore(beighton))}{' '}
            <span className="aside text-sm">Beighton 1973, from memory; the limit is kept for minors.</span>
          </p>
        </>
      )}
    </section>
  );
}
