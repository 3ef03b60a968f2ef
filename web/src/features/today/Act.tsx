import type { TodayItem } from '@myokinet/core/contracts';
import { Link } from 'react-router';
import { OutcomeForm } from '../lookback/index.ts';
import { MorningForm } from '../record/index.ts';

/** The one thing to do about a line, done in place where that is possible. Nobody is sent to train who must not. */
export function Act({ item }: { readonly item: TodayItem }) {
  const { kind, traineeId, name } = item;
  const at = `/trainees/${traineeId}`;
  switch (kind) {
    case 'morning':
      return <MorningForm traineeId={traineeId} sessionId={item.sessionId} name={name} />;
    case 'outcome':
      return <OutcomeForm {...{ traineeId, name }} clearanceId={item.clearanceId} weeks={item.weeks} suggested={item.suggested.outcome} />;
    case 'note':
      return <Go to={`${at}/record`} label={`Read and answer: ${name}`} words="Read and answer" />;
    case 'withdrawn':
      return <Go to={`${at}/record`} label={`See the record: ${name}`} words="See the record" />;
    case 'sign':
      return <Go to={at} label={`Look and sign: ${name}`} words="Look and sign" />;
    case 'stop sign':
      return <Go to={at} label={`See to the stop sign: ${name}`} words="See to it" urgent />;
    case 'screening':
      return <Go to={`${at}/screening`} label={`Ask the screening: ${name}`} words="Ask the screening" />;
    case 'session':
      if (item.care === 'stop sign')
        return <Go to={at} label={`See to the stop sign first: ${name}`} words="See to the stop sign" urgent />;
      if (item.care === 'locked') return <Go to={`${at}/screening`} label={`Look at the lock first: ${name}`} words="Look at the lock" />;
      return <Go to={`${at}/floor`} label={`Run the session: ${name}`} words="Run the session" />;
    case 're-check':
      return <Go to={`${at}/checks/new`} label={`Take the check: ${name}`} words="Take the check" />;
  }
}

interface GoProps {
  readonly to: string;
  readonly label: string;
  readonly words: string;
  readonly urgent?: boolean;
}

function Go({ to, label, words, urgent = false }: GoProps) {
  return (
    <Link className={`btn btn-sm ${urgent ? 'btn-error' : 'btn-outline'}`} to={to} aria-label={label}>
      {words}
    </Link>
  );
}
