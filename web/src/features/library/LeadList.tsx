import type { Measure } from '@myokinet/core/measuring';
import { Link } from 'react-router';
import { useLibrary } from '../../client/LibraryContext.ts';
import { leadSignInWords } from './measureWords.ts';

/** What a check leads on to, beside its number. */
export function LeadList({ measure }: { readonly measure: Measure }) {
  const { drill, hasDrill } = useLibrary();
  if (!measure.leads || measure.leads.length === 0) return null;
  return (
    <section aria-label="What it leads on to" className="mt-4">
      <h3 className="font-display font-semibold">What it leads on to</h3>
      <ul>
        {measure.leads.map((lead) => (
          <li key={`${lead.sign} ${lead.reason}`} className="border-b border-base-300 py-1 text-sm">
            <span className="font-semibold">{leadSignInWords(lead, measure)}</span>: {lead.reason} Try first:{' '}
            {lead.drills.filter(hasDrill).map((id, i) => (
              <span key={id}>
                {i > 0 && '; '}
                <Link className="link" to={`/library/drills/${id}`}>
                  {drill(id).name}
                </Link>
              </span>
            ))}
            .
          </li>
        ))}
      </ul>
    </section>
  );
}
