import type { BodySide } from '@myokinet/core/anatomy';
import { measureSides, unreadableMeasure } from '@myokinet/core/measuring';
import { Plus, X } from 'lucide-react';
import { useMemo } from 'react';
import { nowInstant } from '../../client/clock.ts';
import { useDraft } from '../../client/useDraft.ts';
import { useLibrary } from '../../client/LibraryContext.ts';
import { useCaseloadQuery } from '../caseload/index.ts';
import { useRecordRepeatabilityMutation } from './endpoints.ts';
import { moveOnEnter } from '../../kit/moveOnEnter.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { blankRow, blankTest, forMeasure, isTestable, readTest, type TestDraft, type TestRow } from './testDraft.ts';
import { TestResult } from './TestResult.tsx';

/** The same bodies measured twice: by the coach, or by two. */
export function RepeatabilityForm() {
  const library = useLibrary();
  const testable = library.measures.filter(isTestable);
  const draft = useDraft<TestDraft>('repeatability', () => blankTest(testable[0] ?? unreadableMeasure('')));
  const { data: caseload = [] } = useCaseloadQuery();
  const [record, { isLoading, error }] = useRecordRepeatabilityMutation();
  const { value } = draft;
  const now = useMemo(() => nowInstant(), []);
  const measure = library.measure(value.measureId);
  const { problems, result, dto } = readTest(value, measure, value.takenAt ?? now);
  const setRow = (id: string, change: Partial<TestRow>) =>
    draft.change({ ...value, rows: value.rows.map((r) => (r.id === id ? { ...r, ...change } : r)) });
  const save = async () => {
    if (!dto) return;
    const takenAt = value.takenAt ?? nowInstant();
    draft.change({ ...value, takenAt });
    const reply = await record({ ...dto, takenAt });
    if (reply.data) draft.discard();
  };
  return (
    <form
      noValidate
      aria-label="Repeatability test"
      onKeyDown={moveOnEnter}
      onSubmit={(event) => {
        event.preventDefault();
        if (Object.keys(problems).length === 0) void save();
      }}
    >
      <h2>Repeatability test</h2>
      <p className="aside text-sm">
        Measure at least three bodies or sides, all of them, then all again without looking at the first figures.
      </p>
      <div className="mt-2 flex flex-wrap gap-x-4 gap-y-2">
        <label className="flex items-center gap-2 text-sm">
          Check
          <select
            className="select select-sm w-52"
            value={value.measureId}
            onChange={(e) => draft.change(forMeasure(value, library.measure(e.target.value)))}
          >
            {testable.map((m) => (
              <option key={m.id} value={m.id}>
                {m.name}
              </option>
            ))}
          </select>
        </label>
        <label className="flex items-center gap-2 text-sm">
          Measured by
          <select
            className="select select-sm w-36"
            value={value.kind}
            onChange={(e) => draft.change({ ...value, kind: e.target.value as TestDraft['kind'] })}
          >
            <option value="one coach">me, twice</option>
            <option value="two coaches">two coaches</option>
          </select>
        </label>
        {value.kind === 'two coaches' && (
          <label className="flex items-center gap-2 text-sm">
            The other coach
            <input
              className="input input-sm w-40"
              value={value.otherCoach}
              maxLength={80}
              onChange={(e) => draft.change({ ...value, otherCoach: e.target.value })}
            />
          </label>
        )}
      </div>
      <div className="mt-2">
        {value.rows.map((row, i) => (
          <fieldset key={row.id} className="border-b border-base-300 py-1.5">
            <legend className="sr-only">Line {i + 1}</legend>
            <div className="flex flex-wrap items-center gap-1.5">
              <select
                className="select select-sm w-34"
                aria-label="Trainee"
                value={row.traineeId}
                onChange={(e) => setRow(row.id, { traineeId: e.target.value })}
              >
                <option value="">Trainee…</option>
                {caseload.map((t) => (
                  <option key={t.id} value={t.id}>
                    {t.name}
                  </option>
                ))}
              </select>
              {measure.sided && (
                <select
                  className="select select-sm w-20"
                  aria-label="Side"
                  value={row.side}
                  onChange={(e) => setRow(row.id, { side: e.target.value as BodySide })}
                >
                  {measureSides(measure).map((s) => (
                    <option key={s}>{s}</option>
                  ))}
                </select>
              )}
              {(['first', 'second'] as const).map((time) => (
                <input
                  key={time}
                  data-figure={`${row.id}/${time}`}
                  className="input input-sm w-25"
                  aria-label={`${time === 'first' ? 'First' : 'Second'} time, figures parted by spaces`}
                  placeholder={`${time} time`}
                  autoComplete="off"
                  value={row[time]}
                  onChange={(e) => setRow(row.id, { [time]: e.target.value })}
                  aria-invalid={problems[row.id] !== undefined}
                />
              ))}
              <button
                type="button"
                className="btn btn-ghost btn-sm btn-square"
                aria-label={`Remove line ${i + 1}`}
                disabled={value.rows.length <= 3}
                onClick={() => draft.change({ ...value, rows: value.rows.filter((r) => r.id !== row.id) })}
              >
                <X size={16} aria-hidden />
              </button>
            </div>
            {problems[row.id] && (
              <p role="alert" className="text-sm text-error">
                {problems[row.id]}
              </p>
            )}
          </fieldset>
        ))}
      </div>
      <p className="aside mt-1 text-sm">As many trials as the check asks for ({measure.trials}), parted by spaces: “158 160 162”.</p>
      {result && <TestResult measure={measure} kind={value.kind} result={result} />}
      <ProblemNote error={error} retry={() => void save()} />
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm" onClick={() => draft.change({ ...value, rows: [...value.rows, blankRow(measure)] })}>
          <Plus size={16} aria-hidden /> Another line
        </button>
        <button type="submit" className="btn btn-primary btn-sm" disabled={!dto || Object.keys(problems).length > 0 || isLoading}>
          {isLoading ? 'Saving…' : 'Save the test'}
        </button>
        {draft.exists && (
          <button type="button" className="btn btn-ghost btn-sm" onClick={draft.throwAway}>
            Start over
          </button>
        )}
      </div>
    </form>
  );
}
