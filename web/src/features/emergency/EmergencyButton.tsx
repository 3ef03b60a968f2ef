import { Siren } from 'lucide-react';
import { useEffect } from 'react';
import { useStore } from 'react-redux';
import { useNavigate } from 'react-router';
import { nowInstant } from '../../client/clock.ts';
import { newId } from '../../client/newId.ts';
import type { Dispatch } from '../../client/store.ts';
import { useEmergencyCareQuery } from './endpoints.ts';
import { keepCare, keepWaiting, sendWaitingEmergencies } from './onDevice.ts';

/** One tap: all work ends, it is on record, and the page says whom to call. */
export function EmergencyButton({
  traineeId,
  name,
  className = '',
  before,
}: {
  readonly traineeId: string;
  readonly name: string;
  readonly className?: string;
  /** What is under way ends first, so that what was done of it is kept. */
  readonly before?: (() => void) | undefined;
}) {
  const home = useStore() as { readonly dispatch: Dispatch };
  const navigate = useNavigate();
  const { data: care } = useEmergencyCareQuery();
  useEffect(() => {
    if (care) keepCare(care);
  }, [care]);
  const press = () => {
    before?.();
    const id = newId();
    keepWaiting({ traineeId, body: { id, at: nowInstant() } });
    void navigate(`/emergency/${traineeId}/${id}`, { state: { name } });
    void sendWaitingEmergencies(home);
  };
  return (
    <button type="button" className={`btn btn-error min-h-11 ${className}`} aria-label={`Emergency: ${name}`} onClick={press}>
      <Siren size={20} aria-hidden /> <span className="max-sm:sr-only">Emergency</span>
    </button>
  );
}
