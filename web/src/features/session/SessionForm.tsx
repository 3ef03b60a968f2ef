import { inspect, type PlanDto, SessionDto } from '@myokinet/core/contracts';
import { weekStartOf } from '@myokinet/core/planning';
import type { Drill } from '@myokinet/core/drills';
import type { Schools } from '@myokinet/core/schools';
import { cleannessInWords } from '@myokinet/core/words';
import { parseISO } from 'date-fns';
import { OctagonX, Plus } from 'lucide-react';
import { useId, useState } from 'react';
import { useNavigate } from 'react-router';
import { useDraft } from '../../client/useDraft.ts';
import { useLibrary, useSchools } from '../../client/LibraryContext.ts';
import { moveOnEnter } from '../../kit/moveOnEnter.ts';
import { NoteField } from '../../kit/NoteField.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { DrillPicker, planRules, PlanRulesContext, type TraineeRules, useBriefQuery } from '../plan/index.ts';
import { useSymptomContext } from '../record/index.ts';
import { useReadinessQuery } from '../readiness/index.ts';
import { useLogSessionMutation } from './endpoints.ts';
import { useCurrentTrainee, useFittedLibrary } from '../trainee/index.ts';
import { LoggedDrill } from './LoggedDrill.tsx';
import { beyondInLog } from './beyondInLog.ts';
import { SessionSymptoms } from './SessionSymptoms.tsx';
import { doneAtLeast, itemFor, type ItemLog, judgeLog, logFor, readSet, type SessionLog, sessionFrom } from './sessionLog.ts';

export interface SessionFormProps {
  readonly planned: PlanDto['sessions'][number] | undefined;
  /** The schools of the plan it belongs to. */
  readonly schools: Schools;
}

/** A session as it was done, set by set, with what was seen and felt. */
export function SessionForm({ planned, schools }: SessionFormProps) {
  const library = useLibrary();
  const byFeel = schools.progress === 'feel';
  const trainee = useCurrentTrainee();
  const rules = useRulesNow();
  const navigate = useNavigate();
  const which = planned ? `${planned.id}:${weekStartOf(parseISO(planned.day))}` : 'free';
  const draft = useDraft<SessionLog>(`session:${trainee.id}:${which}`, () => logFor(planned, new Date(), library));
  const [send, { isLoading: saving, error }] = useLogSessionMutation();
  const [tried, setTried] = useState(false);
  const log = draft.value;
  const session = sessionFrom(log);
  const { problems } = inspect(SessionDto, session, { now: new Date(), library });
  const problemOf = (field: string) => (tried ? problems.find((p) => p.field === field)?.message : undefined);
  const wrongSets = log.items.flatMap((i) => i.sets.filter((s) => readSet(s.text, i).problem)).length;
  const { clean, stops } = judgeLog(session, library, useSymptomContext(trainee.id));
  const change = (part: Partial<SessionLog>) => draft.change({ ...log, ...part });
  const changeItem = (next: ItemLog) => change({ items: log.items.map((i) => (i.id === next.id ? next : i)) });

  const save = async () => {
    setTried(true);
    if (problems.length > 0 || wrongSets > 0) return;
    const result = await send({ traineeId: trainee.id, body: session });
    if (!result.data) return;
    draft.discard();
    await navigate(`/trainees/${trainee.id}/record`);
  };

  return (
    <form
      noValidate
      onKeyDown={moveOnEnter}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
      className="grid flex-1 content-start gap-x-8 gap-y-4 px-4 py-3 sm:px-6 lg:grid-cols-[minmax(0,1fr)_21rem]"
    >
      <div>
        <div className="flex flex-wrap items-center gap-3">
          <h2>{planned ? 'Log the session' : 'Log a session without a plan'}</h2>
          {log.items.length > 0 && (
            <button type="button" className="btn btn-sm" onClick={() => change({ items: log.items.map((i) => doneAtLeast(i, byFeel)) })}>
              {byFeel ? 'All felt right' : 'All done, the least of each dose'}
            </button>
          )}
        </div>
        <ol className="mt-2">
          {log.items.map((item) => (
            <LoggedDrill
              key={item.id}
              item={item}
              schools={schools}
              beyond={rules && beyondInLog(item, rules)}
              change={changeItem}
              remove={() => change({ items: log.items.filter((i) => i.id !== item.id) })}
            />
          ))}
        </ol>
        <AddDrill
          taken={log.items.map((i) => i.drillId)}
          rules={rules}
          add={({ id, dose }) => change({ items: [...log.items, itemFor(id, dose, library)] })}
        />
      </div>
      <div className="flex flex-col gap-3">
        <div className="grid grid-cols-2 gap-3">
          <TypedField
            label="When"
            type="datetime-local"
            value={log.performedAt}
            problem={problemOf('/performedAt')}
            set={(performedAt) => change({ performedAt })}
            wide
          />
          <TypedField label="Effort, 0–10" value={log.effort} problem={problemOf('/effort')} set={(effort) => change({ effort })} />
          <TypedField label="Minutes" value={log.minutes} problem={problemOf('/minutes')} set={(minutes) => change({ minutes })} />
        </div>
        <SessionSymptoms symptoms={log.symptoms} change={(symptoms) => change({ symptoms })} />
        {stops.map((stop) => (
          <p
            key={stop}
            role="alert"
            className="flex items-start gap-2 border-s-4 border-error bg-error/10 p-2.5 leading-snug font-semibold"
          >
            <OctagonX size={18} className="mt-0.5 flex-none text-error" aria-hidden />
            {stop} Saving withdraws the clearance in hand and closes every gate.
          </p>
        ))}
        <NoteField value={log.note} change={(note) => change({ note })} />
        <p
          role="status"
          className={`border-s-4 p-2.5 leading-snug ${clean.clean ? 'border-success bg-success/10' : 'border-base-300 bg-base-200'}`}
        >
          <span className="font-semibold">{clean.clean ? 'Clean so far.' : 'Not a clean session so far.'}</span>{' '}
          {cleannessInWords(clean.finding, library)}
        </p>
        {tried && (problems.length > 0 || wrongSets > 0) && (
          <p role="alert" className="text-sm text-error">
            {wrongSets > 0 ? 'A set needs another look.' : problems[0]?.message}
          </p>
        )}
        <ProblemNote error={error} retry={() => void save()} />
        <div className="flex flex-wrap gap-2">
          <button type="submit" className="btn btn-primary flex-1" disabled={saving}>
            {saving ? 'Saving…' : 'Save the session'}
          </button>
          {draft.exists && (
            <button type="button" className="btn btn-ghost" onClick={draft.throwAway}>
              Start over
            </button>
          )}
        </div>
        <p className="aside text-sm">
          Sets left empty count as not done. Kept on this device until saved. Coaching aid, not medical advice.
        </p>
      </div>
    </form>
  );
}

interface TypedFieldProps {
  readonly label: string;
  readonly value: string;
  readonly problem: string | undefined;
  readonly set: (value: string) => void;
  readonly type?: 'datetime-local';
  readonly wide?: boolean;
}

function TypedField({ label, value, problem, set, type, wide }: TypedFieldProps) {
  const id = useId();
  return (
    <div className={wide ? 'col-span-2' : ''}>
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      <input
        id={id}
        className={`input mt-1 w-full ${problem ? 'input-error' : ''}`}
        {...(type ? { type } : { inputMode: 'numeric' as const, 'data-figure': label })}
        autoComplete="off"
        value={value}
        onChange={(e) => set(e.target.value)}
        {...(problem ? { 'aria-invalid': true, 'aria-describedby': `${id}-problem` } : {})}
      />
      {problem && (
        <p id={`${id}-problem`} className="mt-1 text-sm text-error">
          {problem}
        </p>
      )}
    </div>
  );
}

/** What the trainee may do today; nothing until that is known. */
function useRulesNow(): TraineeRules | undefined {
  const trainee = useCurrentTrainee();
  const library = useFittedLibrary();
  const schools = useSchools();
  const { data: readiness } = useReadinessQuery(trainee.id);
  const { data: brief } = useBriefQuery(trainee.id);
  if (!readiness || !brief) return undefined;
  return planRules(trainee, readiness, { weekStart: weekStartOf(new Date()), now: new Date(), library, schools, brief });
}

interface AddDrillProps {
  readonly taken: readonly string[];
  readonly rules: TraineeRules | undefined;
  readonly add: (drill: Drill) => void;
}

function AddDrill({ taken, rules, add }: AddDrillProps) {
  const [picking, setPicking] = useState(false);
  if (!rules) return null;
  return (
    <>
      <button type="button" className="btn btn-sm mt-2" onClick={() => setPicking(true)}>
        <Plus size={16} aria-hidden /> Add a drill
      </button>
      {picking && (
        <PlanRulesContext value={rules}>
          <DrillPicker
            taken={taken}
            wasDone
            pick={(drill) => {
              add(drill);
              setPicking(false);
            }}
            close={() => setPicking(false)}
          />
        </PlanRulesContext>
      )}
    </>
  );
}
