import { type Side, SIDES } from '@myokinet/core/anatomy';
import { type Drill, type FaultEntry, faultIn, faultsOf, type FaultId } from '@myokinet/core/drills';
import type { Step } from '@myokinet/core/floor';
import { faultKeys } from './faultKeys.ts';
import type { FloorPerson } from './floorPeople.ts';
import type { SeenFault } from '@myokinet/core/floor';

interface FaultPanelProps {
  readonly person: FloorPerson;
  readonly step: Step;
  readonly see: (faultId: FaultId) => void;
  /** Between sets faults are about the set before. */
  readonly about: string;
}

/** The faults that this drill invites: one tap, or its letter. */
export function FaultPanel({ person, step, see, about }: FaultPanelProps) {
  const faults = faultsOf(step.drill, person.kept.pack.schools, person.library.faults);
  if (faults.length === 0) return null;
  const keys = faultKeys(faults);
  return (
    <section aria-label={about}>
      <p className="aside mb-1 text-sm">{about}</p>
      <ul className="grid grid-cols-2 gap-1.5 sm:grid-cols-3 lg:grid-cols-2">
        {faults.map(({ id, name }) => (
          <li key={id}>
            <button
              type="button"
              className="btn btn-outline h-auto min-h-12 w-full sm:min-h-14 justify-start border-base-300 px-3 py-1 text-start text-base leading-tight font-normal"
              aria-keyshortcuts={keys.get(id)}
              onClick={(e) => {
                letGo(e);
                see(id);
              }}
            >
              <kbd className="kbd kbd-sm max-sm:hidden" aria-hidden>
                {keys.get(id)}
              </kbd>
              {name}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** A finger or mouse leaves no focus behind, so that the next Space means "go on" and not this button again. */
export function letGo(event: { readonly detail: number; readonly currentTarget: HTMLElement }): void {
  if (event.detail > 0) event.currentTarget.blur();
}

/** A fault as it is told in the drill that it was seen in; one that nobody knows any more by its id. */
export function toldIn(drill: Drill, id: FaultId, { library }: FloorPerson): FaultEntry {
  return faultIn(drill, { ...library.fault(id), id });
}

interface FaultCueProps {
  readonly told: FaultEntry;
  readonly fault: SeenFault;
  readonly sided: (on: Side) => void;
  readonly stayed: () => void;
  /** From the second time on: what makes it easier. */
  readonly easier: readonly { readonly label: string; readonly does: () => void }[];
}

const OFTEN = 2;

/** The cue for the fault just seen, at once and large; the second time also what to step back to. */
export function FaultCue({ told, fault, sided, stayed, easier }: FaultCueProps) {
  const { name, cue, regression, oneSided } = told;
  return (
    <section role="alert" aria-label={`Fault: ${name}`} className="border-s-8 border-warning bg-warning/15 px-4 py-3">
      <p className="text-base">
        {name}
        {fault.times > 1 ? `, ${fault.times} times in this drill` : ''}
      </p>
      <p className="font-display text-3xl leading-tight font-semibold sm:text-4xl">{cue}</p>
      {oneSided && fault.side === 'whole' && (
        <div role="group" aria-label="On which side, if only on one" className="mt-2 flex items-center gap-2">
          <span className="text-base">Only on the</span>
          {SIDES.map((side) => (
            <button
              key={side}
              type="button"
              className={`btn min-h-12 flex-1 text-lg ${fault.on === side ? 'btn-primary' : 'btn-outline'}`}
              aria-pressed={fault.on === side}
              onClick={(e) => {
                letGo(e);
                sided(side);
              }}
            >
              {side}
            </button>
          ))}
        </div>
      )}
      {fault.times >= OFTEN && (
        <div className="mt-2">
          <p className="text-lg">
            A fault that stays means less: <strong>{regression}</strong>
          </p>
          <div className="mt-1.5 flex flex-wrap gap-2">
            {easier.map(({ label, does }) => (
              <button key={label} type="button" className="btn min-h-14 text-lg" onClick={does}>
                {label}
              </button>
            ))}
          </div>
        </div>
      )}
      <button type="button" className="btn btn-outline mt-3 min-h-16 w-full text-xl" onClick={stayed}>
        {fault.during ? 'It stays: end the set' : 'It stayed'}
      </button>
    </section>
  );
}
