import { measuresDemanded } from '@myokinet/core/ladders';
import { isMeasure, type Measure, MEASURES, measureOf, WORKING_POSITIONS } from '@myokinet/core/measuring';
import { instant } from '@myokinet/core/quantities';
import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useDraft } from '../app/useDraft.ts';
import { newId } from '../app/newId.ts';
import { useLibrary } from '../library/LibraryContext.ts';
import { moveOnEnter } from '../pieces/moveOnEnter.ts';
import { NoteField } from '../pieces/NoteField.tsx';
import { ProblemNote } from '../pieces/ProblemNote.tsx';
import { Waiting } from '../pieces/Waiting.tsx';
import { ReportSymptom } from '../record/ReportSymptom.tsx';
import { useReadinessQuery, useRecordCheckMutation } from '../trainee/endpoints.ts';
import { useCurrentTrainee } from '../trainee/useCurrentTrainee.ts';
import { blankCheck, type CheckDraft, checkFrom, readCell } from './checkDraft.ts';
import { MeasureRow } from './MeasureRow.tsx';
import { ProtocolCard } from './ProtocolCard.tsx';

const SCOPES = { gate: 'The next gate', ladder: 'The whole ladder', all: 'Every check' } as const;
type Scope = keyof typeof SCOPES;

export function TakeCheckPage() {
  const library = useLibrary();
  const trainee = useCurrentTrainee();
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const readiness = useReadinessQuery(trainee.id);
  const draft = useDraft<CheckDraft>(`check:${trainee.id}`, blankCheck);
  const [record, { isLoading: saving, error }] = useRecordCheckMutation();
  const [focused, setFocused] = useState<string | undefined>();
  const now = useMemo(() => instant(new Date()), []);

  const scope = (search.get('scope') ?? (search.get('measures') ? undefined : 'gate')) as Scope | undefined;
  const chosen = search.get('measures')?.split(',').filter(isMeasure);
  const measures = useMemo(
    () =>
      measuresFor(
        scope,
        chosen,
        measuresDemanded(library.ladder(trainee.ladderId).rungs),
        readiness.data?.headrooms.map((h) => h.demand.measureId) ?? [],
      ),
    [scope, chosen, library, trainee.ladderId, readiness.data],
  );
  if (readiness.isLoading) return <Waiting />;

  const filled = Object.entries(draft.value.cells).filter(([, c]) => c.text.trim() !== '');
  const wrong = filled.filter(([key, c]) => readCell(measureOf(key.split('/')[0] ?? ''), c.text).problem).length;

  const save = async () => {
    const takenAt = draft.value.takenAt ?? instant(new Date());
    draft.change({ ...draft.value, takenAt });
    const result = await record({ traineeId: trainee.id, body: checkFrom(draft.value, takenAt) });
    if (!result.data) return;
    draft.discard();
    await navigate(`/trainees/${trainee.id}`);
  };

  const shown = measures.find((m) => m.id === focused) ?? measures[0];
  return (
    <div className="grid flex-1 content-start gap-6 px-4 py-3 sm:px-6 lg:grid-cols-[minmax(0,1fr)_19rem]">
      <form
        noValidate
        onKeyDown={moveOnEnter}
        onSubmit={(event) => {
          event.preventDefault();
          if (filled.length > 0 && wrong === 0) void save();
        }}
      >
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <h2>Take a check</h2>
          <label className="flex items-center gap-2">
            <span className="aside">Checks for</span>
            <select
              className="select select-sm w-44"
              value={scope ?? 'chosen'}
              onChange={(e) => setSearch(e.target.value === 'chosen' ? search : { scope: e.target.value }, { replace: true })}
            >
              {chosen && <option value="chosen">The chosen {chosen.length}</option>}
              {Object.entries(SCOPES).map(([value, label]) => (
                <option key={value} value={value}>
                  {label}
                </option>
              ))}
            </select>
          </label>
          <p className="aside text-sm">
            <kbd className="kbd kbd-sm">Enter</kbd> next trial · <kbd className="kbd kbd-sm">↑</kbd> <kbd className="kbd kbd-sm">↓</kbd>{' '}
            nudge
          </p>
        </div>
        {WORKING_POSITIONS.map((position) => {
          const here = measures.filter((m) => m.position === position);
          return here.length === 0 ? null : (
            <section key={position} className="mt-3" aria-label={position}>
              <h3 className="border-b-2 border-base-content pb-0.5 first-letter:uppercase">{position}</h3>
              {here.map((measure) => (
                <MeasureRow
                  key={measure.id}
                  measure={measure}
                  draft={draft.value}
                  now={now}
                  focus={() => setFocused(measure.id)}
                  type={(key, text) =>
                    draft.change({
                      ...draft.value,
                      cells: { ...draft.value.cells, [key]: { trialId: draft.value.cells[key]?.trialId ?? newId(), text } },
                    })
                  }
                />
              ))}
            </section>
          );
        })}
        <NoteField value={draft.value.note} change={(note) => draft.change({ ...draft.value, note })} />
        <ProblemNote error={error} retry={() => void save()} />
        <div className="sticky bottom-0 mt-3 flex flex-wrap items-center gap-3 border-t border-base-300 bg-base-100 py-3">
          <button type="submit" className="btn btn-primary" disabled={filled.length === 0 || wrong > 0 || saving}>
            {saving ? 'Saving…' : 'Save the check'}
          </button>
          <span className="aside" role="status">
            {wrong > 0
              ? `${wrong} ${wrong === 1 ? 'figure needs' : 'figures need'} another look.`
              : `${filled.length} ${filled.length === 1 ? 'trial' : 'trials'} typed, kept on this device until saved.`}
          </span>
          {draft.exists && (
            <button type="button" className="btn btn-ghost btn-sm ms-auto" onClick={draft.throwAway}>
              Start over
            </button>
          )}
        </div>
      </form>
      <div className="top-4 self-start lg:sticky">
        {shown && <ProtocolCard measure={shown} trainee={trainee} />}
        <div className="mt-3">
          <p className="aside text-sm">Something felt before, during or after a check?</p>
          <ReportSymptom traineeId={trainee.id} />
        </div>
      </div>
    </div>
  );
}

function measuresFor(
  scope: Scope | undefined,
  chosen: readonly string[] | undefined,
  ladder: readonly string[],
  gate: readonly string[],
): readonly Measure[] {
  if (scope === undefined) return MEASURES.filter((m) => chosen?.includes(m.id));
  if (scope === 'all') return MEASURES;
  const wanted = scope === 'ladder' ? ladder : gate;
  return MEASURES.filter((m) => wanted.includes(m.id));
}
