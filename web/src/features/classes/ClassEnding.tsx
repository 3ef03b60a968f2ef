import { classItems, classSets, isOut, itemAt, type MemberState, notSeen } from '@myokinet/core/classes';
import type { ClassPersonReply } from '@myokinet/core/contracts';
import { faultIn } from '@myokinet/core/drills';
import { useState } from 'react';
import { Link } from 'react-router';
import type { OpenClass } from './useClass.ts';
import { momentInWords } from './words.ts';

const EFFORTS = Array.from({ length: 11 }, (_, i) => i);
const MOST_MINUTES = 600;

interface EndingProps {
  readonly open: OpenClass;
  readonly people: readonly { readonly person: ClassPersonReply; readonly member: MemberState }[];
  /** Where the clock stands. */
  readonly moment: number;
  readonly back: () => void;
}

/** The end of a class: what nobody saw, which faults they were, how hard it was for each. */
export function ClassEnding({ open, people, moment, back }: EndingProps) {
  const { state, library, happen } = open;
  const { moments } = state.head;
  const ran = moments.slice(0, moment).reduce((sum, m) => sum + m.seconds, 0);
  const [minutes, setMinutes] = useState(Math.max(1, Math.round(ran / 60)));
  const [effort, setEffort] = useState<number | undefined>();
  const [note, setNote] = useState('');
  const unseen = notSeen(state, moment);
  const did = people.filter(({ member }) => classItems(state, member, library).length > 0);
  const ready = effort !== undefined || did.every(({ member }) => member.effort !== undefined);
  return (
    <div className="mx-auto w-full max-w-4xl px-4 py-4">
      <h2>The end of the class</h2>
      {unseen.length > 0 && (
        <section aria-label="Not seen" className="state-mark mt-3">
          <p className="font-semibold">Passed over, or nobody’s screen was on: was it done?</p>
          <ul>
            {unseen.map((at) => (
              <li key={at} className="flex flex-wrap items-center gap-3 py-1">
                {momentInWords(state.head, moments[at], library)}
                <button type="button" className="btn btn-sm" onClick={() => happen({ kind: 'passed', moment: at })}>
                  They did it
                </button>
              </li>
            ))}
          </ul>
          <p className="aside text-sm">What stays here goes on nobody’s record.</p>
        </section>
      )}
      <div className="mt-4 flex flex-wrap items-end gap-4">
        <label className="flex flex-col">
          <span className="font-semibold">How hard it was for all, 0 to 10</span>
          <EffortChoice label="How hard it was for all" value={effort} none="say it" set={setEffort} />
        </label>
        <label className="flex flex-col">
          <span className="font-semibold">Minutes</span>
          <input
            type="number"
            className="input w-28"
            min={1}
            max={MOST_MINUTES}
            value={minutes}
            onChange={(e) => setMinutes(Math.min(MOST_MINUTES, Math.max(1, Math.round(Number(e.target.value) || 1))))}
          />
        </label>
        <label className="flex min-w-60 flex-1 flex-col">
          <span className="font-semibold">Note for all</span>
          <input className="input w-full" maxLength={400} value={note} onChange={(e) => setNote(e.target.value)} />
        </label>
      </div>
      <table className="table-sm mt-4 table">
        <thead className="text-base-content">
          <tr>
            <th scope="col">Who</th>
            <th scope="col">Done</th>
            <th scope="col">Faults</th>
            <th scope="col">Effort</th>
          </tr>
        </thead>
        <tbody>
          {people.map(({ person, member }) => {
            const sets = classSets(state, member, library);
            const counted = sets.filter((s) => !s.unconfirmed).length;
            return (
              <tr key={person.traineeId}>
                <th scope="row">{person.name}</th>
                <td>
                  {sets.length === 0
                    ? 'nothing: no session'
                    : `${sets.length} ${sets.length === 1 ? 'set' : 'sets'}, ${counted === 0 ? 'none' : counted} counted`}
                  {member.symptoms.length > 0 ? '; something was felt' : isOut(member, moment) ? '; sat out at the end' : ''}
                </td>
                <td>
                  <FaultNames open={open} member={member} />
                </td>
                <td>
                  {sets.length > 0 && (
                    <EffortChoice
                      label={`How hard it was for ${person.name}`}
                      value={member.effort}
                      none={effort === undefined ? 'as for all' : `${effort}, as for all`}
                      set={(value) => value !== undefined && happen({ kind: 'effort', who: person.traineeId, effort: value })}
                    />
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="aside mt-3 text-sm">What you did not count is on record as done in a class: it counts as load and opens no gate.</p>
      <div className="mt-4 flex flex-wrap gap-3">
        <button type="button" className="btn" onClick={back}>
          Back to the class
        </button>
        {did.length === 0 ? (
          <button type="button" className="btn btn-primary" onClick={() => happen({ kind: 'give up' })}>
            End it: nobody did anything
          </button>
        ) : (
          <button
            type="button"
            className="btn btn-primary"
            disabled={!ready}
            onClick={() => happen({ kind: 'close', effort: effort ?? Math.max(...did.map((d) => d.member.effort ?? 0)), minutes, note })}
          >
            {ready ? `Log it for ${did.length === 1 ? 'one' : did.length}` : 'Say how hard it was'}
          </button>
        )}
      </div>
    </div>
  );
}

function EffortChoice({
  label,
  value,
  none,
  set,
}: {
  readonly label: string;
  readonly value: number | undefined;
  /** What it says while nothing is chosen. */
  readonly none: string;
  readonly set: (value: number | undefined) => void;
}) {
  return (
    <select
      className="select w-auto"
      aria-label={label}
      value={value ?? ''}
      onChange={(e) => set(e.target.value === '' ? undefined : Number(e.target.value))}
    >
      <option value="">{none}</option>
      {EFFORTS.map((n) => (
        <option key={n} value={n}>
          {n}
        </option>
      ))}
    </select>
  );
}

/** Faults as they were named; one without a name may get it here. */
function FaultNames({ open: { state, library, happen }, member }: { readonly open: OpenClass; readonly member: MemberState }) {
  if (member.faults.length === 0) return <span className="aside">none marked</span>;
  const nameOf = (id: string) => (library.hasFault(id) ? library.fault(id).name : id);
  const named = [...new Set(member.faults.flatMap((f) => f.faultId ?? []))].map(nameOf);
  return (
    <>
      {named.join(', ')}
      {member.faults
        .filter((f) => f.faultId === undefined)
        .map(({ id, moment }) => {
          const slotId = state.head.moments[moment]?.slotId;
          const item = slotId === undefined ? undefined : itemAt(member, slotId, moment);
          const drill = item && library.asPlanned(item);
          return (
            <select
              key={id}
              className="select select-sm ms-1 w-auto"
              aria-label={`Which fault it was in ${drill?.name ?? 'the drill'}`}
              value=""
              onChange={(e) => {
                happen({ kind: 'take back', eventId: id });
                happen({ kind: 'fault', who: member.member.traineeId, moment, faultId: e.target.value });
              }}
            >
              <option value="">which in {drill?.name}?</option>
              {(drill?.faults ?? []).flatMap((f) =>
                library.hasFault(f) && drill
                  ? [
                      <option key={f} value={f}>
                        {faultIn(drill, { ...library.fault(f), id: f }).name}
                      </option>,
                    ]
                  : [],
              )}
            </select>
          );
        })}
    </>
  );
}

/** A class that is over, and what became of it. */
export function ClassOver({ open, people }: Pick<EndingProps, 'open' | 'people'>) {
  const { state, run } = open;
  return (
    <div className="mx-auto w-full max-w-3xl px-4 py-6">
      <h2>{state.givenUp ? 'This class ended with nothing on record' : 'This class is over'}</h2>
      {!state.givenUp && (
        <>
          <p className="mt-1">
            {state.closed?.minutes} min.{' '}
            {run.unsent.length > 0 ? 'Kept on this device; it goes on record when the server answers.' : 'It is on record of:'}
          </p>
          <ul className="mt-2">
            {people.map(({ person }) => (
              <li key={person.traineeId} className="flex flex-wrap gap-3 border-b border-base-300 py-1.5">
                <span className="min-w-40 font-semibold">{person.name}</span>
                {run.sessions[person.traineeId] ? (
                  <Link className="link" to={`/trainees/${person.traineeId}/record`}>
                    On the record
                  </Link>
                ) : (
                  <span className="aside">{run.unsent.length > 0 ? 'not sent yet' : 'no session'}</span>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
      <Link className="btn btn-primary mt-4" to={state.head.groupId ? `/groups/${state.head.groupId}` : '/groups'}>
        To the group{state.head.groupId ? '' : 's'}
      </Link>
    </div>
  );
}
