import { WORKING_POSITIONS } from '@myokinet/core/measuring';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { nowInstant } from '../../client/clock.ts';
import { useLibrary } from '../../client/LibraryContext.ts';
import { useMeasuringQuery } from '../measuring/index.ts';
import { moveOnEnter } from '../../kit/moveOnEnter.ts';
import { NoteField } from '../../kit/NoteField.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { UndoRedo } from '../../kit/UndoRedo.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { ReportSymptom } from '../record/index.ts';
import { useCurrentTrainee } from '../trainee/index.ts';
import { readCell } from '@myokinet/core/checking';
import { ClosedChecks } from './ClosedChecks.tsx';
import { MeasureRow } from './MeasureRow.tsx';
import { ProtocolCard } from './ProtocolCard.tsx';
import { ScopeField } from './ScopeField.tsx';
import { scopeFrom, useScope } from './scopes.ts';
import { TakenOn } from './TakenOn.tsx';
import { useCheckDesk } from './useCheckDesk.ts';

export function TakeCheckPage() {
  const trainee = useCurrentTrainee();
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const measuring = useMeasuringQuery();
  const [focused, setFocused] = useState<string | undefined>();
  const now = useMemo(() => nowInstant(), []);
  const library = useLibrary();
  const scope = scopeFrom(search.get('scope'), library);
  const desk = useCheckDesk(trainee.id, scope);
  const { measures, closed, isLoading } = useScope(trainee, scope);
  if (isLoading) return <Waiting />;

  const filled = Object.entries(desk.value.cells).filter(([, c]) => c.text.trim() !== '');
  const wrong = filled.filter(([key, c]) => readCell(library.measure(key.split('/')[0] ?? ''), c.text).problem).length;

  const save = async () => {
    if (await desk.save()) await navigate(`/trainees/${trainee.id}`);
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
          <ScopeField scope={scope} change={(next) => setSearch({ scope: next }, { replace: true })} />
          <Link className="btn btn-sm" to={`/trainees/${trainee.id}/battery?scope=${scope}`}>
            One check at a time
          </Link>
          <p className="aside text-sm">
            <kbd className="kbd kbd-sm">Enter</kbd> next trial · <kbd className="kbd kbd-sm">↑</kbd> <kbd className="kbd kbd-sm">↓</kbd>{' '}
            nudge
          </p>
        </div>
        <ClosedChecks closed={closed} />
        {WORKING_POSITIONS.map((position) => {
          const here = measures.filter((m) => m.position === position);
          return here.length === 0 ? null : (
            <section key={position} className="mt-3" aria-label={position}>
              <h3 className="border-b-2 border-base-content pb-0.5 first-letter:uppercase">{position}</h3>
              {here.map((measure) => (
                <MeasureRow
                  key={measure.id}
                  measure={measure}
                  draft={desk.value}
                  ownError={measuring.data?.ownErrors[measure.id]}
                  now={now}
                  focus={() => setFocused(measure.id)}
                  type={(key, text) => desk.setCell(key, { text })}
                />
              ))}
            </section>
          );
        })}
        <TakenOn desk={desk} />
        <NoteField value={desk.value.note} change={desk.setNote} />
        {desk.notice && <p role="status">{desk.notice}</p>}
        <ProblemNote error={desk.error} retry={() => void save()} />
        <div className="sticky bottom-0 mt-3 flex flex-wrap items-center gap-3 border-t border-base-300 bg-base-100 py-3">
          <button type="submit" className="btn btn-primary" disabled={filled.length === 0 || wrong > 0 || desk.saving}>
            {desk.saving ? 'Saving…' : 'Save the check'}
          </button>
          <span className="aside" role="status">
            {wrong > 0
              ? `${wrong} ${wrong === 1 ? 'figure needs' : 'figures need'} another look.`
              : `${filled.length} ${filled.length === 1 ? 'trial' : 'trials'} typed, kept until saved.`}
          </span>
          <span className="ms-auto">
            <UndoRedo desk={desk} />
            {desk.exists && (
              <button type="button" className="btn btn-ghost btn-sm" onClick={desk.giveUp}>
                Start over
              </button>
            )}
          </span>
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
