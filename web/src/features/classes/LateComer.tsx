import { CLASS_LIMITS } from '@myokinet/core/classes';
import { useState } from 'react';
import { useStore } from 'react-redux';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Overlay } from '../../kit/Overlay.tsx';
import { useCaseloadQuery } from '../caseload/index.ts';
import { classes, type ClassHome } from './classSync.ts';
import { useClassSheetMutation } from './endpoints.ts';
import type { OpenClass } from './useClass.ts';

/** Somebody comes in while the class is on. What they may do is the server’s to say. */
export function LateComer({ open, moment, close }: { readonly open: OpenClass; readonly moment: number; readonly close: () => void }) {
  const home = useStore() as ClassHome;
  const { data: caseload = [], error } = useCaseloadQuery();
  const [ask, asking] = useClassSheetMutation();
  const [text, setText] = useState('');
  const inside = new Set(open.state.members.map((m) => m.member.traineeId));
  const full = inside.size >= CLASS_LIMITS.members;
  const found = caseload
    .filter((c) => !inside.has(c.id) && c.name.toLocaleLowerCase().includes(text.trim().toLocaleLowerCase()))
    .toSorted((a, b) => a.name.localeCompare(b.name));
  const letIn = async (traineeId: string) => {
    const { data } = await ask({ traineeIds: [traineeId], classId: open.id });
    const one = data?.members[0];
    if (!one) return;
    const { items, plannedSessionId, less: _, locks: _l, ...person } = one;
    await classes.comeIn(home, open.id, { traineeId, from: moment, plannedSessionId, items }, person);
    close();
  };
  return (
    <Overlay label="Somebody comes late" close={close}>
      <div className="p-4">
        <h2>Somebody comes late</h2>
        {full ? (
          <p className="mt-2">A class has room for {CLASS_LIMITS.members} people.</p>
        ) : (
          <>
            <input
              type="search"
              className="input mt-2 w-full"
              aria-label="Find a trainee"
              placeholder="Name"
              value={text}
              onChange={(e) => setText(e.target.value)}
            />
            <ProblemNote error={error ?? asking.error} />
            <ul className="mt-2 max-h-80 overflow-y-auto">
              {found.map(({ id, name }) => (
                <li key={id}>
                  <button
                    type="button"
                    className="btn btn-ghost min-h-11 w-full justify-start font-normal"
                    disabled={asking.isLoading}
                    onClick={() => void letIn(id)}
                  >
                    {name}
                  </button>
                </li>
              ))}
            </ul>
            {found.length === 0 && <p className="aside mt-2">Nobody else of that name.</p>}
          </>
        )}
        <button type="button" className="btn mt-3" onClick={close}>
          Close
        </button>
      </div>
    </Overlay>
  );
}
