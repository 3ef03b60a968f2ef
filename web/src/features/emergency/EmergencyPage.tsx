import { callFor, EMERGENCY_SIGN_IDS, type EmergencySign } from '@myokinet/core/safety';
import { useState } from 'react';
import { Link, useLocation, useParams } from 'react-router';
import { newId } from '../../client/newId.ts';
import { useOutbox } from '../../client/useOutbox.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { CallCare } from './CallCare.tsx';
import { useEmergenciesQuery, useEmergencySeenMutation } from './endpoints.ts';
import { Mistake } from './Mistake.tsx';
import { sendWaitingEmergencies } from './onDevice.ts';
import { SIGN_WORDS } from '@myokinet/core/words';

/** Large and calm: whom to call, where we are, and nothing else to decide. */
export function EmergencyPage() {
  const { traineeId = '', emergencyId = '' } = useParams();
  useOutbox(sendWaitingEmergencies);
  const { state } = useLocation() as { state: { readonly name?: string } | null };
  const name = state?.name ?? 'the trainee';
  const { data: onRecord } = useEmergenciesQuery(traineeId, { pollingInterval: 5000 });
  const emergency = onRecord?.find((e) => e.id === emergencyId);
  // What is on record, until somebody says otherwise here.
  const [said, setSigns] = useState<readonly EmergencySign[] | undefined>();
  const kept = emergency?.signs ?? [];
  const signs = said ?? kept;
  const today = callFor({ signs }) === 'doctor today';
  return (
    <main className="mx-auto min-h-dvh max-w-3xl px-5 py-6 text-lg">
      <title>Emergency · Myokinet</title>
      <h1 className="text-4xl leading-tight sm:text-5xl">{today ? 'To a doctor today' : 'Call emergency care now'}</h1>
      {!today && <CallCare />}
      <p className="mt-4">
        All work has ended. Stay with {name}, help to rest as is comfortable, give nothing to eat or drink, and send somebody to the door.
        {today && ' No load on what hurts until a doctor has seen it, even after a clear first picture.'}
      </p>
      <p className="aside mt-2 text-base" role="status">
        {emergency?.mistake
          ? 'Taken back as a mistake. It stays on record.'
          : emergency
            ? `On record. Everything is locked for ${name} until a doctor’s word.`
            : 'Kept on this device; it goes on record when the server answers.'}
      </p>
      {!emergency?.mistake && (
        <>
          {emergency && <Mistake traineeId={traineeId} emergency={emergency} />}
          <Seen
            traineeId={traineeId}
            emergencyId={emergencyId}
            signs={signs}
            kept={kept}
            setSigns={setSigns}
            ready={emergency !== undefined}
          />
        </>
      )}
      <p className="mt-6">
        <Link className="btn btn-lg btn-outline" to={`/trainees/${traineeId}/screening`}>
          To the page of {name}
        </Link>
      </p>
      <p className="aside mt-6 text-sm">Common practice, no source. A coaching aid, not medical advice: emergency care decides.</p>
    </main>
  );
}

function Seen({
  traineeId,
  emergencyId,
  signs,
  kept,
  setSigns,
  ready,
}: {
  readonly traineeId: string;
  readonly emergencyId: string;
  readonly signs: readonly EmergencySign[];
  /** On record. */
  readonly kept: readonly EmergencySign[];
  readonly setSigns: (signs: readonly EmergencySign[]) => void;
  readonly ready: boolean;
}) {
  const [send, { isLoading, error }] = useEmergencySeenMutation();
  const unsaved = signs.length !== kept.length || signs.some((s) => !kept.includes(s));
  return (
    <section className="mt-6" aria-label="What was seen">
      <h2>When there is time: what was seen</h2>
      <div className="mt-2 grid gap-2 sm:grid-cols-2">
        {EMERGENCY_SIGN_IDS.map((sign) => (
          <button
            key={sign}
            type="button"
            aria-pressed={signs.includes(sign)}
            className={`btn h-auto min-h-12 justify-start py-2 text-start leading-snug font-normal ${signs.includes(sign) ? 'btn-neutral' : 'btn-outline border-base-300'}`}
            onClick={() => setSigns(signs.includes(sign) ? signs.filter((s) => s !== sign) : [...signs, sign])}
          >
            {SIGN_WORDS[sign]}
          </button>
        ))}
      </div>
      <ProblemNote error={error} />
      <button
        type="button"
        className="btn btn-lg mt-3"
        disabled={!unsaved || isLoading || !ready}
        onClick={() => void send({ traineeId, body: { id: newId(), emergencyId, signs: [...signs], note: '' } })}
      >
        {unsaved || signs.length === 0 ? 'Put on record what was seen' : 'On record'}
      </button>
    </section>
  );
}
