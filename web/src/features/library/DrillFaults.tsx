import { type Drill, type FaultEntry, faultsOf } from '@myokinet/core/drills';
import { showsFault } from '@myokinet/core/showing';
import { useLibrary, useSchools } from '../../client/LibraryContext.ts';
import { RightAndWrong } from './RightAndWrong.tsx';
import { capital, PART_WORDS } from './words.ts';

/** The faults of this movement: how each looks beside the right one, when and where it shows, what to say, and what to do when it stays. */
export function DrillFaults({ drill }: { readonly drill: Drill }) {
  const library = useLibrary();
  const schools = useSchools();
  const faults = faultsOf(drill, schools, library.faults);
  return (
    <section aria-label="Faults it invites">
      <h3>Faults it invites</h3>
      {faults.length === 0 ? (
        <p className="aside">None in particular.</p>
      ) : (
        <ul className="mt-1 grid gap-x-6 gap-y-3 md:grid-cols-2">
          {faults.map((fault) => (
            <Invited key={fault.id} drill={drill} fault={fault} />
          ))}
        </ul>
      )}
    </section>
  );
}

const SIZE = 92;

function Invited({ drill, fault }: { readonly drill: Drill; readonly fault: FaultEntry }) {
  const { id, name, cue, regression, part, oneSided } = fault;
  const when = [...(part ? [PART_WORDS[part].toLowerCase()] : []), ...(oneSided ? ['one side or both'] : [])].join(', ');
  return (
    <li className="flex min-w-0 gap-3 border-s-4 border-warning ps-2.5 max-sm:flex-col max-sm:gap-1">
      <div className="min-w-0 flex-1 text-sm leading-snug">
        <p>
          <span className="font-semibold">{capital(name)}</span>
          {when && <span className="aside">: {when}</span>}
        </p>
        <p className="mt-0.5 text-base">{cue}</p>
        <p className="mt-0.5">
          <span className="aside">If it stays:</span> {regression}
        </p>
      </div>
      {showsFault(drill, id) && <RightAndWrong drill={drill} fault={fault} size={SIZE} />}
    </li>
  );
}
