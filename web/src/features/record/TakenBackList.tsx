import type { FactKind, TakenBackReply } from '@myokinet/core/contracts';
import { shortDay } from '@myokinet/core/quantities';

const WHAT: Readonly<Record<FactKind, string>> = { session: 'Session', symptom: 'Symptom', check: 'Check', screening: 'Screening' };

/** What counts no more, and why; nothing where there is none. */
export function TakenBackList({ facts, now }: { readonly facts: readonly TakenBackReply[]; readonly now: Date }) {
  if (facts.length === 0) return null;
  return (
    <section aria-label="Taken back">
      <h2>Taken back</h2>
      <ul className="mt-1">
        {facts.map((f) => (
          <li key={f.id} className="border-b border-base-300 py-1.5">
            <span className="font-semibold">
              {WHAT[f.kind]} of {shortDay(f.of, now)}
            </span>{' '}
            <span className="aside text-sm">
              counts no more since {shortDay(f.at, now)}, {f.coach}: {f.reason}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
