import { FAULT_IDS, faultOf, faultsOf } from '@myokinet/core/drills';
import { useState } from 'react';
import { Link } from 'react-router';
import { useLibrary, useSchools } from './LibraryContext.ts';
import { BLADE_WORDS, capital } from './words.ts';

/** What the coach's eye looks for, everywhere at once. */
export function FaultsPage() {
  const library = useLibrary();
  const schools = useSchools();
  const [open, setOpen] = useState<string | undefined>();
  return (
    <section aria-label="Faults">
      <p className="aside max-w-3xl">
        A cue that works keeps the trainee on the rung; a fault that stays means less load or a smaller range. Common practice, no source.
      </p>
      <div className="overflow-x-auto">
        <table className="plain-table mt-2">
          <thead>
            <tr>
              <th scope="col">Fault</th>
              <th scope="col">First cue</th>
              <th scope="col">When it stays</th>
              <th scope="col">Invited by</th>
            </tr>
          </thead>
          <tbody>
            {FAULT_IDS.map((id) => {
              const { name, cue, regression, under } = faultOf(id);
              const drills = library.drills.filter((d) => faultsOf(d, schools).includes(id));
              return (
                <tr key={id}>
                  <th scope="row" className="!border-b !border-base-300 align-top !whitespace-normal">
                    {capital(name)}
                    {under && <span className="aside block text-sm font-normal">under “{BLADE_WORDS[under]}”</span>}
                  </th>
                  <td>{cue}</td>
                  <td>{regression}</td>
                  <td>
                    <button
                      type="button"
                      className="link whitespace-nowrap"
                      aria-expanded={open === id}
                      disabled={drills.length === 0}
                      onClick={() => setOpen(open === id ? undefined : id)}
                    >
                      {drills.length} {drills.length === 1 ? 'drill' : 'drills'}
                    </button>
                    {open === id && (
                      <ul className="text-sm">
                        {drills.map((d) => (
                          <li key={d.id}>
                            <Link className="link" to={`/library/drills/${d.id}`}>
                              {d.name}
                            </Link>
                          </li>
                        ))}
                      </ul>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </section>
  );
}
