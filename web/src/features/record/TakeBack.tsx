import type { FactKind } from '@myokinet/core/contracts';
import { useState } from 'react';
import { newId } from '../../client/newId.ts';
import { ReasonForm } from '../../client/ReasonForm.tsx';
import { useTakeBackMutation } from './endpoints.ts';

export interface TakeBackProps {
  readonly traineeId: string;
  readonly kind: FactKind;
  readonly factId: string;
  /** `this session`. */
  readonly what: string;
}

/** Takes a fact back: it stays on record with the reason, and counts no more. */
export function TakeBack({ traineeId, kind, factId, what }: TakeBackProps) {
  const [takeBack, { isLoading, error }] = useTakeBackMutation();
  const [id] = useState(newId);
  return (
    <ReasonForm
      open={`Take ${what} back…`}
      label={`Why does ${what} not count?`}
      confirm="Take it back"
      busy={isLoading}
      error={error}
      submit={(reason) => takeBack({ traineeId, body: { id, kind, factId, reason } })}
    />
  );
}
