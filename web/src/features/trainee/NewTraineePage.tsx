import type { TraineeDto } from '@myokinet/core/contracts';
import { useNavigate } from 'react-router';
import { useDraft } from '../../client/useDraft.ts';
import { useLibrary } from '../../client/LibraryContext.ts';
import { blankTrainee } from './blankTrainee.ts';
import { useAddTraineeMutation } from './endpoints.ts';
import { TraineeForm } from './TraineeForm.tsx';

export function NewTraineePage() {
  const navigate = useNavigate();
  const { ladders } = useLibrary();
  const draft = useDraft('trainee:new', () => blankTrainee(ladders[0]?.id ?? ''));
  const [add, { isLoading, error }] = useAddTraineeMutation();
  const save = async (dto: TraineeDto) => {
    const result = await add(dto);
    if (!result.data) return;
    draft.discard();
    await navigate(`/trainees/${result.data.id}/screening`);
  };
  return (
    <div className="px-4 py-5 sm:px-6">
      <title>Add a trainee · Myokinet</title>
      <h1 className="mb-5">Add a trainee</h1>
      <TraineeForm
        key={`${draft.value.id}-${draft.returns}`}
        values={draft.value}
        onChange={draft.change}
        save={(dto) => void save(dto)}
        saveLabel="Save and ask the screening"
        saving={isLoading}
        error={error}
      />
      {draft.exists && (
        <button type="button" className="btn btn-ghost btn-sm mt-3" onClick={draft.throwAway}>
          Throw this away
        </button>
      )}
    </div>
  );
}
