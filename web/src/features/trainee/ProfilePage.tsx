import type { TraineeDto, TraineeReply } from '@myokinet/core/contracts';
import { surelyAdult } from '@myokinet/core/safety';
import { useState } from 'react';
import { useDraft } from '../../client/useDraft.ts';
import { newId } from '../../client/newId.ts';
import { problemFrom } from '../../client/problem.ts';
import { ConflictNote } from '../../kit/ConflictNote.tsx';
import type { TraineeValues } from './blankTrainee.ts';
import { useEditTraineeMutation } from './endpoints.ts';
import { Leaving } from './Leaving.tsx';
import { LinkPanel } from './LinkPanel.tsx';
import { TraineeForm } from './TraineeForm.tsx';
import { useCurrentTrainee } from './useCurrentTrainee.ts';

export function ProfilePage() {
  const trainee = useCurrentTrainee();
  const draft = useDraft<TraineeValues>(`trainee:${trainee.id}`, () => nextRevision(trainee), trainee.revision);
  const [edit, { isLoading, error, reset }] = useEditTraineeMutation();
  const [generation, setGeneration] = useState(0);
  const save = async (dto: TraineeDto) => {
    const result = await edit(dto);
    if (result.data) {
      draft.discard();
      setGeneration((g) => g + 1);
    }
  };
  const conflict = problemFrom(error)?.code === 'edited-elsewhere';
  const startOver = () => {
    draft.throwAway();
    reset();
    setGeneration((g) => g + 1);
  };
  const keepMine = () => {
    draft.change({ ...draft.value, basedOn: trainee.revision, revision: newId() });
    reset();
    setGeneration((g) => g + 1);
  };
  return (
    <div className="px-4 py-5 sm:px-6">
      {conflict && <ConflictNote what="this profile" takeTheirs={startOver} keepMine={keepMine} />}
      <TraineeForm
        key={`${trainee.revision}-${generation}-${draft.returns}`}
        values={draft.value}
        onChange={draft.change}
        save={(dto) => void save(dto)}
        saveLabel="Save profile"
        saving={isLoading}
        error={conflict ? undefined : error}
      />
      {becomesAdult(trainee, draft.value) && (
        <p role="status" className="mt-3 max-w-3xl border-s-4 border-warning bg-warning/10 px-3 py-1.5 leading-snug">
          With this date {trainee.name} is an adult: what is closed to children opens, and no guardian’s consent is asked for. The profile
          before it stays on record.
        </p>
      )}
      {draft.exists && (
        <button type="button" className="btn btn-ghost btn-sm mt-3" onClick={startOver}>
          Throw my changes away
        </button>
      )}
      {trainee.archivedAt === undefined && <LinkPanel trainee={trainee} />}
      <Leaving trainee={trainee} />
    </div>
  );
}

function nextRevision({
  savedAt: _saved,
  screening: _screening,
  lastingPains: _pains,
  belief: _belief,
  ...profile
}: TraineeReply): TraineeValues {
  return { ...profile, basedOn: profile.revision, revision: newId() };
}

/** Whether the date that is typed makes an adult of somebody who was none. */
function becomesAdult(before: TraineeReply, typed: TraineeValues): boolean {
  const { birthYear, birthDate = null } = typed;
  const now = new Date();
  return birthYear !== null && !surelyAdult(before, now) && surelyAdult({ birthYear, birthDate }, now);
}
