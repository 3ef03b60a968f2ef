import type { EmergencyReply } from '@myokinet/core/contracts';
import { MISTAKE_SECONDS } from '@myokinet/core/safety';
import { useEffect, useState } from 'react';
import { newId } from '../../client/newId.ts';
import { ReasonForm } from '../../client/ReasonForm.tsx';
import { useEmergencyMistakeMutation } from './endpoints.ts';
import { forgetPressed } from './onDevice.ts';

/** Within a minute a press by mistake is taken back, with a reason; after that a doctor's word lifts it. */
export function Mistake({ traineeId, emergency }: { readonly traineeId: string; readonly emergency: EmergencyReply }) {
  const [mistake, { isLoading, error }] = useEmergencyMistakeMutation();
  const [id] = useState(newId);
  const [left, setLeft] = useState(() => secondsLeft(emergency));
  useEffect(() => {
    const timer = window.setInterval(() => setLeft(secondsLeft(emergency)), 1000);
    return () => window.clearInterval(timer);
  }, [emergency]);
  if (left <= 0) return <p className="aside mt-4 text-base">Pressed more than a minute ago: only a doctor’s word lifts it now.</p>;
  return (
    <div className="mt-4">
      <ReasonForm
        open={`Pressed by mistake (${left} s left)…`}
        label="Why was it a mistake?"
        confirm="Take it back"
        busy={isLoading}
        error={error}
        submit={async (reason) => {
          const result = await mistake({ traineeId, body: { id, emergencyId: emergency.id, reason } });
          if (result.data) forgetPressed(emergency.id);
          return result;
        }}
      />
    </div>
  );
}

function secondsLeft({ recordedAt }: EmergencyReply): number {
  return Math.ceil(MISTAKE_SECONDS - (Date.now() - Date.parse(recordedAt)) / 1000);
}
