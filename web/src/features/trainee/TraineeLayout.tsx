import { formatAmount } from '@myokinet/core/quantities';
import { Link, NavLink, Outlet } from 'react-router';
import { EmergencyButton } from '../emergency/index.ts';
import { useLibrary } from '../../client/LibraryContext.ts';
import { useCurrentTrainee } from './useCurrentTrainee.ts';
import { cautionInWords, CAUTION_WORDS } from '@myokinet/core/words';

const TABS = [
  { to: '', label: 'Readiness' },
  { to: 'checks', label: 'Checks' },
  { to: 'history', label: 'History' },
  { to: 'lab', label: 'Lab' },
  { to: 'plan', label: 'Plan' },
  { to: 'record', label: 'Record' },
  { to: 'paper', label: 'Paper' },
  { to: 'screening', label: 'Screening' },
  { to: 'profile', label: 'Profile' },
];

export function TraineeLayout() {
  const library = useLibrary();
  const trainee = useCurrentTrainee();
  return (
    <div className="flex flex-1 flex-col">
      <header className="border-b border-base-300 px-4 pt-2.5 sm:px-6">
        <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
          <h1>{trainee.name}</h1>
          {trainee.archivedAt !== undefined && (
            <Link to="profile" className="border-s-4 border-warning bg-warning/10 px-2.5 py-1 text-sm font-semibold hover:underline">
              In the archive
            </Link>
          )}
          <p className="aside">
            {library.ladder(trainee.ladderId).name} · {formatAmount(trainee.mass, 'kg')} · {(trainee.stature / 100).toFixed(2)} m ·{' '}
            {trainee.dominantHand === 'both' ? 'both hands alike' : `${trainee.dominantHand}-handed`}
          </p>
          {trainee.screening.cautions.length > 0 && (
            <ul className="ms-auto flex flex-wrap gap-2" aria-label="Cautions">
              {trainee.screening.cautions.map((caution) => (
                <li key={caution.id} className="border-s-4 border-error bg-error/10 text-sm" title={cautionInWords(caution)}>
                  <Link className="block px-2.5 py-1 font-semibold hover:underline" to="screening">
                    {CAUTION_WORDS[caution.id].name}
                    <span className="sr-only">: {CAUTION_WORDS[caution.id].consequence}</span>
                  </Link>
                </li>
              ))}
            </ul>
          )}
          <EmergencyButton traineeId={trainee.id} name={trainee.name} className={trainee.screening.cautions.length > 0 ? '' : 'ms-auto'} />
        </div>
        <nav aria-label="Trainee" className="mt-1.5 flex gap-5 overflow-x-auto">
          {TABS.map(({ to, label }) => (
            <NavLink
              key={label}
              to={to}
              end={to === ''}
              className={({ isActive }) => `py-1.5 ${isActive ? 'border-b-3 border-base-content font-semibold' : ''}`}
            >
              {label}
            </NavLink>
          ))}
        </nav>
      </header>
      <Outlet context={trainee} />
    </div>
  );
}
