import { Lock } from 'lucide-react';
import type { ClosedCheck } from './scopes.ts';
import { cautionInWords } from '@myokinet/core/words';

/** Checks that a caution closes, with the reason: they strain, and wait for a professional's word. */
export function ClosedChecks({ closed }: { readonly closed: readonly ClosedCheck[] }) {
  const reasons = [...new Set(closed.map((c) => cautionInWords(c.caution)))];
  return reasons.map((reason) => (
    <section key={reason} aria-label="Checks that are closed" className="my-2 border-s-4 border-error bg-error/10 px-3 py-2">
      <p className="flex items-start gap-1.5 font-semibold">
        <Lock size={16} className="mt-1 flex-none" aria-hidden /> {reason}
      </p>
      <p className="text-sm">
        Closed until then:{' '}
        {closed
          .filter((c) => cautionInWords(c.caution) === reason)
          .map((c) => c.measure.name)
          .join(' · ')}
        .
      </p>
    </section>
  ));
}
