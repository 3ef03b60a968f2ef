import { Phone } from 'lucide-react';
import { useEmergencyCareQuery } from './endpoints.ts';
import { careOnDevice } from './onDevice.ts';

/** Whom to call and where we are, as the studio wrote it down, or as this device last knew it. */
export function CallCare() {
  const { data: known } = useEmergencyCareQuery();
  const care = known ?? careOnDevice();
  return (
    <>
      {care.number ? (
        <a
          className="btn btn-error mt-5 h-auto w-full gap-4 py-5 text-4xl font-bold"
          href={`tel:${care.number.replaceAll(/[^+0-9]/g, '')}`}
        >
          <Phone size={36} aria-hidden /> {care.number}
        </a>
      ) : (
        <p className="mt-5 border-s-8 border-error bg-error/10 p-4 text-2xl font-semibold">Dial the emergency number of your country.</p>
      )}
      <p className="mt-4">
        <span className="font-semibold">Say where you are: </span>
        {care.place || 'street, house, floor, and which door is open.'}
      </p>
    </>
  );
}
