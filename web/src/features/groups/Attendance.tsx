import type { GroupReply } from '@myokinet/core/contracts';
import { dayShort } from '@myokinet/core/planning';
import { Link } from 'react-router';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useCaseloadQuery } from '../caseload/index.ts';
import { useClassesQuery } from './endpoints.ts';

const CLASSES_SHOWN = 8;

/** Who came to the last classes: trained, was there, or was not. */
export function Attendance({ group }: { readonly group: GroupReply }) {
  const { data: classes = [], error } = useClassesQuery();
  const { data: caseload = [] } = useCaseloadQuery();
  const own = classes.filter((c) => c.groupId === group.id).slice(0, CLASSES_SHOWN);
  const names = new Map(caseload.map((c) => [c.id, c.name]));
  const people = [...new Set([...group.memberIds, ...own.flatMap((c) => c.members)])]
    .flatMap((id) => {
      const name = names.get(id);
      return name === undefined ? [] : [{ id, name }];
    })
    .sort((a, b) => a.name.localeCompare(b.name));
  return (
    <section className="mt-6" aria-label="Attendance">
      <h2 className="border-b-2 border-base-content pb-1">Who came</h2>
      <ProblemNote error={error} />
      {own.length === 0 ? (
        <p className="aside mt-1">No class of this group in the last eight weeks.</p>
      ) : (
        <div className="overflow-x-auto">
          <table className="table-sm table w-auto">
            <thead className="text-base-content">
              <tr>
                <th scope="col">Name</th>
                {own.map((c) => (
                  <th key={c.id} scope="col">
                    <Link className="link" to={`/class/${c.id}`}>
                      {dayShort(c.day)}
                    </Link>
                    {!c.ended && <span className="block font-normal">on now</span>}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {people.map(({ id, name }) => (
                <tr key={id}>
                  <th scope="row">
                    <Link className="link" to={`/trainees/${id}`}>
                      {name}
                    </Link>
                  </th>
                  {own.map((c) => (
                    <td key={c.id}>
                      {c.trained.includes(id) ? (
                        'trained'
                      ) : c.members.includes(id) ? (
                        c.ended ? (
                          'was there'
                        ) : (
                          'is here'
                        )
                      ) : (
                        <span className="aside">–</span>
                      )}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
