import type { RoutineReply } from '@myokinet/core/contracts';
import { ROUTINE_LIMITS, ROUTINE_PURPOSES, routineFindings, routineSeconds } from '@myokinet/core/routines';
import { Copy, Play, Plus } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { drillNameIn } from '../../client/drillName.ts';
import { useLibrary } from '../../client/LibraryContext.ts';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useMe } from '../../client/session.ts';
import { useDesk } from '../../client/useDesk.ts';
import { ConflictNote } from '../../kit/ConflictNote.tsx';
import { UndoRedo } from '../../kit/UndoRedo.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { BlockCard } from './BlockCard.tsx';
import { useRetireRoutineMutation, useRoutinesQuery, useSaveRoutineMutation } from '../library/index.ts';
import { asDto, copyOf, draftOf, emptyBlock, newRoutine, type RoutineDraft, shifted, withBlock } from './routineDraft.ts';
import { TraineeChoice } from './TraineeChoice.tsx';
import { useDrillOf } from './useDrillOf.ts';
import { useForTrainee } from './useForTrainee.ts';
import { findingInWords, lastsInWords, PURPOSE_WORDS } from './words.ts';

/** One routine under the coach’s hands, a saved one or a new one. */
export function RoutineDeskPage() {
  const { routineId = '' } = useParams();
  const { data: routines, error, refetch } = useRoutinesQuery();
  if (!routines) return error ? <ProblemNote error={error} retry={() => void refetch()} /> : <Waiting />;
  return <Desk key={routineId} id={routineId} saved={routines.find((r) => r.id === routineId)} />;
}

function Desk({ id, saved }: { readonly id: string; readonly saved: RoutineReply | undefined }) {
  const library = useLibrary();
  const drillOf = useDrillOf(library);
  const { may } = useMe();
  const navigate = useNavigate();
  const [send, sending] = useSaveRoutineMutation();
  const [retire, retiring] = useRetireRoutineMutation();
  const [traineeId, setTraineeId] = useState('');
  const desk = useDesk<RoutineDraft>({
    key: `routine:${id}`,
    initial: () => (saved ? draftOf(saved) : newRoutine()),
    version: saved?.revision,
    send: (value) => send({ id, body: asDto(value) }),
    sending,
    rebase: (value) => ({ ...value, basedOn: saved?.revision ?? null }),
  });
  const { value: draft, edit } = desk;
  const { against, chosen, pending, library: fitted, error: unknown } = useForTrainee(traineeId, draft);
  const chosenIn = (stepId: string) => {
    const drillId = chosen.get(stepId);
    if (traineeId === '' || pending) return undefined;
    return drillId === undefined ? 'Nothing of the kind may be done: left out.' : `Here: ${drillNameIn(fitted, drillId)}.`;
  };
  const findings = routineFindings(draft, drillOf);
  const mayWrite = may.includes('plan');
  return (
    <>
      <title>{`${draft.name || 'New routine'} · Myokinet`}</title>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <input
          className="input w-72 text-lg font-semibold"
          aria-label="Name of the routine"
          placeholder="Name, such as: before a climb"
          maxLength={80}
          value={draft.name}
          onChange={(e) => edit({ ...draft, name: e.target.value })}
        />
        <select
          className="select w-auto"
          aria-label="What it is for"
          title={PURPOSE_WORDS[draft.purpose].says}
          value={draft.purpose}
          onChange={(e) => edit({ ...draft, purpose: ROUTINE_PURPOSES.find((p) => p === e.target.value) ?? draft.purpose })}
        >
          {ROUTINE_PURPOSES.map((purpose) => (
            <option key={purpose} value={purpose}>
              {PURPOSE_WORDS[purpose].name}
            </option>
          ))}
        </select>
        <strong>{lastsInWords(routineSeconds(draft, drillOf))}</strong>
        <div className="ms-auto flex flex-wrap gap-2">
          <UndoRedo desk={desk} />
          {saved && !desk.unsaved && (
            <Link className="btn btn-sm btn-outline" to={`/routine/${id}`}>
              <Play size={16} aria-hidden /> Run it
            </Link>
          )}
          {desk.unsaved && (
            <button type="button" className="btn btn-sm btn-ghost" onClick={desk.startOver}>
              Throw changes away
            </button>
          )}
          {mayWrite && (
            <button
              type="button"
              className="btn btn-sm btn-primary"
              disabled={!desk.unsaved || desk.saving || draft.name.trim() === ''}
              onClick={() => void desk.save()}
            >
              {desk.saving ? 'Saving…' : 'Save the routine'}
            </button>
          )}
        </div>
      </div>
      <p className="aside mt-1 text-sm">{PURPOSE_WORDS[draft.purpose].says}</p>
      {desk.conflict ? (
        <ConflictNote what="this routine" takeTheirs={desk.startOver} keepMine={desk.keepMine} />
      ) : (
        <ProblemNote error={desk.error} retry={() => void desk.save()} />
      )}
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1">
        <TraineeChoice label="Look at it for" value={traineeId} set={setTraineeId} />
        {traineeId !== '' && against.size === 0 && !unknown && <span className="state-spare text-sm">All of it may be done.</span>}
        <ProblemNote error={unknown} />
      </div>
      {findings.length > 0 && (
        <ul className="state-mark mt-2 list-disc ps-5 text-sm" aria-label="What to look at">
          {findings.map((f) => (
            <li key={JSON.stringify(f)}>{findingInWords(f, library)}</li>
          ))}
        </ul>
      )}
      <div className="mt-3 grid gap-4 xl:grid-cols-2">
        {draft.blocks.map((block, i) => (
          <BlockCard
            key={block.id}
            block={block}
            place={i + 1}
            of={draft.blocks.length}
            verdictOf={(drillId) => against.get(drillId)?.says}
            chosenIn={chosenIn}
            change={(change) => edit(withBlock(draft, block.id, change))}
            shift={(by) => edit(shifted(draft, block.id, by))}
            remove={() => edit({ ...draft, blocks: draft.blocks.filter((b) => b.id !== block.id) })}
          />
        ))}
      </div>
      <div className="mt-4 flex flex-wrap gap-2">
        <button
          type="button"
          className="btn btn-sm"
          disabled={draft.blocks.length >= ROUTINE_LIMITS.blocks}
          onClick={() => edit({ ...draft, blocks: [...draft.blocks, emptyBlock()] })}
        >
          <Plus size={16} aria-hidden /> Add a block
        </button>
        {saved && mayWrite && (
          <>
            <CopyButton draft={draft} />
            <button
              type="button"
              className="btn btn-sm btn-ghost text-error"
              disabled={retiring.isLoading}
              onClick={() => {
                desk.startOver();
                void retire(id).then(({ error }) => (error ? undefined : navigate('/library/routines')));
              }}
            >
              Take it off the list
            </button>
          </>
        )}
      </div>
      <ProblemNote error={retiring.error} />
    </>
  );
}

/** A copy is saved at once, under a name of its own, and opened. */
function CopyButton({ draft }: { readonly draft: RoutineDraft }) {
  const [send, { isLoading, error }] = useSaveRoutineMutation();
  const navigate = useNavigate();
  const copy = async () => {
    const id = newId();
    const { data } = await send({ id, body: asDto(copyOf(draft)) });
    if (data) void navigate(`/library/routines/${id}`);
  };
  return (
    <>
      <button type="button" className="btn btn-sm btn-ghost" disabled={isLoading} onClick={() => void copy()}>
        <Copy size={16} aria-hidden /> Make a copy
      </button>
      <ProblemNote error={error} />
    </>
  );
}
