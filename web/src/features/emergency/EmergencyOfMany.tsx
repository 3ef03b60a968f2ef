import { Siren } from 'lucide-react';
import { useState } from 'react';
import { Overlay } from '../../kit/Overlay.tsx';
import { CallCare } from './CallCare.tsx';
import { EmergencyButton } from './EmergencyButton.tsx';

interface EmergencyOfManyProps {
  readonly people: readonly { readonly traineeId: string; readonly name: string }[];
  /** What is under way stands still. */
  readonly before: () => void;
}

/** One tap where several train: all stands still, whom to call is said at once; who it is comes after. */
export function EmergencyOfMany({ people, before }: EmergencyOfManyProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="btn btn-error min-h-11"
        onClick={() => {
          before();
          setOpen(true);
        }}
      >
        <Siren size={20} aria-hidden /> <span className="max-sm:sr-only">Emergency</span>
      </button>
      {open && (
        <Overlay label="Emergency" holds close={() => setOpen(false)}>
          <div className="p-5 text-lg">
            <h2 className="text-3xl leading-tight">Call emergency care now</h2>
            <CallCare />
            <h3 className="mt-5">Who is it? It goes on record, and locks their work until a doctor’s word.</h3>
            <ul className="mt-2 grid gap-2 sm:grid-cols-2">
              {people.map(({ traineeId, name }) => (
                <li key={traineeId} className="flex items-center justify-between gap-2">
                  {name}
                  <EmergencyButton traineeId={traineeId} name={name} />
                </li>
              ))}
            </ul>
            <button type="button" className="btn mt-5" onClick={() => setOpen(false)}>
              It was a mistake
            </button>
          </div>
        </Overlay>
      )}
    </>
  );
}
