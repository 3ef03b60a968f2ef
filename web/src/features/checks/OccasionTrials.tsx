import type { CheckReply, TrialReply } from '@myokinet/core/contracts';
import { formatReading, stopsMovement } from '@myokinet/core/measuring';
import { Pencil } from 'lucide-react';
import { useId, useState } from 'react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useCorrectTrialMutation } from './endpoints.ts';
import { readCell } from '@myokinet/core/checking';
import { TakeBack } from '../record/index.ts';
import { originWords } from './originWords.ts';
import { TraceSummaryLine } from './TraceSummaryLine.tsx';

/** The trials of one occasion; a mistyped one is corrected by a new one, and both stay visible. */
export function OccasionTrials({ check, traineeId }: { readonly check: CheckReply; readonly traineeId: string }) {
  const { measure: measureOf } = useLibrary();
  const [correcting, setCorrecting] = useState<string | undefined>();
  const groups = [...new Set(check.trials.map((t) => `${t.measureId}/${t.side}`))];
  return (
    <div className="py-1 ps-3 text-sm">
      {check.note && <p className="mb-1 italic">{check.note}</p>}
      {check.skips.map((skip) => (
        <p key={skip.measureId} className={stopsMovement(skip.reason) ? 'state-short' : 'aside'}>
          {measureOf(skip.measureId).name}:{' '}
          {stopsMovement(skip.reason)
            ? `stopped, ${skip.reason}${check.trials.some((t) => t.measureId === skip.measureId) ? '; the figures are what was reached and show nothing' : ''}`
            : `skipped, ${skip.reason}`}
        </p>
      ))}
      {groups.map((group) => {
        const trials = check.trials.filter((t) => `${t.measureId}/${t.side}` === group);
        const [first] = trials;
        if (!first) return null;
        const measure = measureOf(first.measureId);
        const { name } = measure;
        const open = trials.find((t) => t.id === correcting);
        return (
          <div key={group} className="py-0.5">
            <span>
              {name}
              {first.side === 'whole' ? '' : `, ${first.side}`}:{' '}
            </span>
            {trials.map((t) => (
              <TrialFigure
                key={t.id}
                trial={t}
                label={`${name}, ${t.side}, ${formatReading(measure, t.value)}`}
                text={formatReading(measure, t.value)}
                correct={() => setCorrecting(t.id)}
              />
            ))}
            {trials.map((t) => t.reading?.trace && !t.replacedBy && <TraceSummaryLine key={`${t.id}-trace`} trace={t.reading.trace} />)}
            {open && <CorrectionForm traineeId={traineeId} trial={open} close={() => setCorrecting(undefined)} />}
          </div>
        );
      })}
      {check.takenBack === undefined ? (
        <TakeBack traineeId={traineeId} kind="check" factId={check.id} what="this check" />
      ) : (
        <p className="state-short mt-1">Taken back, counts no more: {check.takenBack}</p>
      )}
    </div>
  );
}

function TrialFigure({
  trial,
  label,
  text,
  correct,
}: {
  readonly trial: TrialReply;
  readonly label: string;
  readonly text: string;
  readonly correct: () => void;
}) {
  const origin = originWords(trial.reading);
  if (trial.replacedBy) return <s className="aside me-3">{text}</s>;
  return (
    <span className="me-3 inline-flex items-center" title={trial.reason ? `corrected: ${trial.reason}` : undefined}>
      {text}
      {trial.reason && <span className="aside ms-1">(corrected)</span>}
      {origin && <span className={trial.reading?.simulated ? 'state-mark ms-1' : 'aside ms-1'}>({origin})</span>}
      <button type="button" className="btn btn-ghost btn-xs btn-square" aria-label={`Correct ${label}`} onClick={correct}>
        <Pencil size={12} aria-hidden />
      </button>
    </span>
  );
}

function CorrectionForm({
  traineeId,
  trial,
  close,
}: {
  readonly traineeId: string;
  readonly trial: TrialReply;
  readonly close: () => void;
}) {
  const id = useId();
  const measure = useLibrary().measure(trial.measureId);
  const [correctionId] = useState(newId);
  const [text, setText] = useState(String(trial.value));
  const [reason, setReason] = useState('');
  const [correct, { isLoading, error }] = useCorrectTrialMutation();
  const { value, problem } = readCell(measure, text);
  const ready = value !== undefined && reason.trim().length >= 3;
  return (
    <form
      className="sheet my-1 flex flex-wrap items-end gap-2 p-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (!ready) return;
        void correct({
          traineeId,
          body: { id: correctionId, replaces: trial.id, measureId: trial.measureId, value, reason: reason.trim() },
        }).then((r) => r.data && close());
      }}
    >
      <label htmlFor={`${id}-v`}>
        Right figure
        <input
          id={`${id}-v`}
          className="input input-sm block w-20"
          inputMode="decimal"
          autoFocus
          value={text}
          onChange={(e) => setText(e.target.value)}
          aria-invalid={problem !== undefined}
        />
      </label>
      <label htmlFor={`${id}-r`}>
        Why
        <input
          id={`${id}-r`}
          className="input input-sm block w-48"
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          placeholder="mistyped"
        />
      </label>
      <button type="submit" className="btn btn-sm btn-primary" disabled={!ready || isLoading}>
        Correct
      </button>
      <button type="button" className="btn btn-sm btn-ghost" onClick={close}>
        Leave it
      </button>
      {problem && (
        <p role="alert" className="w-full text-error">
          {problem}
        </p>
      )}
      <ProblemNote error={error} />
    </form>
  );
}
