import { FEELING_WORDS } from '@myokinet/core/words';
import { UNIT_WORDS } from '@myokinet/core/drills';
import { loggedItems } from '@myokinet/core/floor';
import type { FloorPerson } from './floorPeople.ts';

/** What was done, drill by drill. */
export function DoneList({ person: { run, library } }: { readonly person: FloorPerson }) {
  return (
    <ul className="text-lg">
      {loggedItems(run, library).map((item, i) => {
        const { name, dose } = library.drill(item.drillId);
        const sets = item.sets.map(
          (s) => `${s.side === 'whole' ? '' : `${s.side.charAt(0).toUpperCase()} `}${s.feeling ? FEELING_WORDS[s.feeling] : s.amount}`,
        );
        const open = item.sets.filter((s) => s.unconfirmed).length;
        return (
          // An item changed on the way stands twice; the order is the only key there is.
          <li key={`${item.drillId}/${i}`} className="flex flex-wrap justify-between gap-x-4 border-t border-base-300 py-1">
            <span>{name}</span>
            <span className="font-semibold">
              {sets.length > 0 ? `${sets.join(' · ')} ${UNIT_WORDS[dose.unit]}` : 'not done'}
              {open > 0 && <span className="state-mark">, {open} not confirmed</span>}
              {item.skipped ? ` (${item.skipped})` : ''}
            </span>
          </li>
        );
      })}
    </ul>
  );
}
