import type { GateSettingsReply, SavedGateSettings } from '@myokinet/core/contracts';
import { GATE_LIMITS, type GateSetting, type GateSettings } from '@myokinet/core/readiness';
import { shortDay } from '@myokinet/core/quantities';
import { SETTING_WORDS } from '@myokinet/core/words';
import { useState } from 'react';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { NumberField, SelectField, TextField } from '../../kit/EntryFields.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useCaseloadQuery } from '../caseload/index.ts';
import { useGateSettingsQuery, useSaveGateSettingsMutation } from './endpoints.ts';

const NAMES = Object.keys(GATE_LIMITS) as readonly GateSetting[];

/** What the studio has set about its gates, for everybody or for one trainee; each change stays on record. */
export function GateSettingsForm() {
  const { data, error, isLoading, refetch } = useGateSettingsQuery();
  const [traineeId, setTraineeId] = useState('');
  const { data: caseload = [] } = useCaseloadQuery();
  if (isLoading) return <Waiting />;
  if (!data) return <ProblemNote error={error} retry={() => void refetch()} />;
  const nameOf = (id: string | undefined) => (id === undefined ? 'everybody' : (caseload.find((r) => r.id === id)?.name ?? 'one trainee'));
  const now = new Date();
  return (
    <section aria-label="Settings of gates" className="xl:border-s xl:border-base-300 xl:ps-8">
      <h2>Stricter than the rules</h2>
      <p className="aside text-sm">A studio may ask for more, for everybody or for one trainee; never for less.</p>
      <SelectField
        label="For"
        className="mt-2"
        value={traineeId}
        options={[{ value: '', label: 'Everybody' }, ...caseload.map((r) => ({ value: r.id, label: r.name }))]}
        change={setTraineeId}
      />
      <Settings key={traineeId + (newestOf(data, traineeId)?.id ?? '')} reply={data} traineeId={traineeId} />
      {data.changes.length > 0 && (
        <>
          <h3 className="mt-5">On record</h3>
          <ul className="text-sm">
            {data.changes.map((change) => (
              <li key={change.id} className="border-b border-base-300 py-1">
                <span className="font-semibold">{shortDay(change.savedAt, now)}</span>, {change.coach}, for {nameOf(change.traineeId)}:{' '}
                {choicesInWords(change.choices)}
                {change.reason && <span className="aside"> ({change.reason})</span>}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

function newestOf({ changes }: GateSettingsReply, traineeId: string): SavedGateSettings | undefined {
  return changes.find((c) => (c.traineeId ?? '') === traineeId);
}

function choicesInWords(choices: Partial<GateSettings>): string {
  const said = NAMES.flatMap((n) => (choices[n] === undefined ? [] : [`${SETTING_WORDS[n].name.toLowerCase()} ${choices[n]}`]));
  return said.join(', ') || 'as the studio has it';
}

function Settings({ reply, traineeId }: { readonly reply: GateSettingsReply; readonly traineeId: string }) {
  const newest = newestOf(reply, traineeId);
  const start = { ...reply.settings, ...newest?.choices };
  const [values, setValues] = useState<GateSettings>(start);
  const [reason, setReason] = useState('');
  const [id] = useState(newId);
  const [save, { isLoading, error }] = useSaveGateSettingsMutation();
  const problemOf = (name: GateSetting) => {
    const { min, max } = GATE_LIMITS[name];
    const fits = Number.isInteger(values[name]) && values[name] >= min && values[name] <= max;
    return fits ? undefined : `From ${min} to ${max}.`;
  };
  const changed = NAMES.filter((n) => values[n] !== start[n]);
  const wrong = NAMES.some((n) => problemOf(n) !== undefined);
  const choices = { ...newest?.choices, ...Object.fromEntries(changed.map((n) => [n, values[n]])) };
  return (
    <form
      className="mt-2 grid grid-cols-2 gap-3"
      aria-label="Settings"
      onSubmit={(event) => {
        event.preventDefault();
        if (!wrong && changed.length > 0)
          void save({ id, basedOn: newest?.id ?? null, traineeId: traineeId || null, choices, reason: reason.trim() });
      }}
    >
      {NAMES.map((name) => (
        <NumberField
          key={name}
          label={SETTING_WORDS[name].name}
          unit={SETTING_WORDS[name].unit}
          value={values[name]}
          problem={problemOf(name)}
          change={(value) => setValues({ ...values, [name]: value })}
        />
      ))}
      <TextField label="Why" className="col-span-2" value={reason} change={setReason} />
      <div className="col-span-2">
        <button type="submit" className="btn btn-sm btn-primary" disabled={wrong || changed.length === 0 || isLoading}>
          Set it
        </button>
        <ProblemNote error={error} />
      </div>
    </form>
  );
}
