import { exclusionByCaution } from '@myokinet/core/library';
import { CAUTION_IDS, cautionOf, type CautionId, type CautionKind, openedBy, QUESTION_IDS, questionOf } from '@myokinet/core/safety';
import { Link } from 'react-router';
import { EmergencyCareForm } from '../emergency/index.ts';
import { useLibrary } from '../../client/LibraryContext.ts';
import { CAUTION_WORDS, QUESTION_WORDS } from '@myokinet/core/words';

const KIND_WORDS: Readonly<Record<CautionKind, string>> = {
  lock: 'locks every gate and everything that strains until a licensed professional was consulted',
  'ask first': 'waits until a licensed professional was consulted',
  stands: 'stands as long as the answer does',
  note: 'is a note; nothing is excluded',
};

/** Every caution: what the screening asks, what follows, and what it keeps a trainee from. */
export function CautionsPage() {
  return (
    <section aria-label="Cautions">
      <p className="aside max-w-3xl">
        Not medical advice: a licensed clinician decides about injuries. The screening before training asks, these rules answer. Common
        practice, no source.
      </p>
      <EmergencyCareForm />
      <div className="overflow-x-auto">
        <table className="plain-table mt-2">
          <thead>
            <tr>
              <th scope="col">Caution</th>
              <th scope="col">Asked in the screening</th>
              <th scope="col">What follows</th>
              <th scope="col">Excludes</th>
            </tr>
          </thead>
          <tbody>
            {CAUTION_IDS.map((id) => (
              <CautionRow key={id} id={id} />
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function CautionRow({ id }: { readonly id: CautionId }) {
  const library = useLibrary();
  const { kind } = cautionOf(id);
  const { name, consequence } = CAUTION_WORDS[id];
  const drills = library.drills.filter((d) => exclusionByCaution(d, [{ id, because: [] }]));
  const general = drills.filter((d) => !d.rung);
  const ladders = library.ladders.filter((l) => l.rungs.some((r) => drills.some((d) => d.id === r.practice)));
  return (
    <tr>
      <th scope="row" className="!border-b !border-base-300 align-top !whitespace-normal">
        {name}
      </th>
      <td className="text-sm">{asked(id)}</td>
      <td className="text-sm">
        {consequence} <span className="aside">It {KIND_WORDS[kind]}.</span>
        {openedBy(id).length > 0 && <span className="aside"> Opened by: {openedBy(id).join(', ')}.</span>}
      </td>
      <td className="text-sm">
        {drills.length === 0 ? (
          '–'
        ) : (
          <details>
            <summary className="cursor-pointer whitespace-nowrap">
              {general.length} {general.length === 1 ? 'drill' : 'drills'}, {drills.length - general.length} rung practices
            </summary>
            {general.map((d, i) => (
              <span key={d.id}>
                {i > 0 && ' · '}
                <Link className="link" to={`/library/drills/${d.id}`}>
                  {d.name}
                </Link>
              </span>
            ))}
            {ladders.length > 0 && <p className="mt-1">Rungs of {ladders.map((l) => l.name).join(', ')}.</p>}
          </details>
        )}
      </td>
    </tr>
  );
}

/** The questions behind a caution; two follow from what is known otherwise. */
function asked(id: CautionId): string {
  const questions = QUESTION_IDS.filter((q) => (questionOf(q).causes as readonly CautionId[]).includes(id)).map(
    (q) => QUESTION_WORDS[q].text,
  );
  return [...questions, ...(NOT_ASKED[id] ?? [])].join(' · ');
}

/** What a caution follows from besides a question. */
const NOT_ASKED: Readonly<Partial<Record<CautionId, readonly string[]>>> = {
  'lax-joints': ['nine-point laxity score of 5 or more'],
  minor: ['year of birth'],
  unscreened: ['nothing was asked yet'],
  emergency: ['the emergency button'],
  'doctor-today': ['the emergency button, by what was seen'],
};
