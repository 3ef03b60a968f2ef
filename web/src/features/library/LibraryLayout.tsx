import { NavLink, Outlet } from 'react-router';
import { useStudioLibrary } from '../../client/LibraryContext.ts';
import { KIND_WORDS } from './words.ts';
import { UnreadableNote } from '../../kit/UnreadableNote.tsx';

const TABS = [
  { to: '/library', label: 'Drills', end: true },
  { to: '/library/routines', label: 'Routines', end: false },
  { to: '/library/ladders', label: 'Ladders', end: false },
  { to: '/library/checks', label: 'Checks', end: false },
  { to: '/library/gates', label: 'Gates', end: false },
  { to: '/library/bands', label: 'Bands', end: false },
  { to: '/library/faults', label: 'Faults', end: false },
  { to: '/library/cautions', label: 'Cautions', end: false },
  { to: '/library/schools', label: 'Schools', end: false },
  { to: '/library/exchange', label: 'Export and import', end: false },
];

export function LibraryLayout() {
  const { reply } = useStudioLibrary();
  const own = reply.own.filter((e) => e.standing === 'own').length;
  return (
    <div className="flex flex-1 flex-col">
      <title>Library · Myokinet</title>
      <header className="border-b border-base-300 px-4 pt-2.5 sm:px-6">
        <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
          <h1>Library</h1>
          <p className="aside">
            Built-in version {reply.version}; {own === 0 ? 'nothing changed by the studio yet' : `${own} of the studio’s own`}
          </p>
        </div>
        <nav aria-label="Library" className="mt-1.5 flex gap-5 overflow-x-auto">
          {TABS.map(({ to, label, end }) => (
            <NavLink
              key={to}
              to={to}
              end={end}
              className={({ isActive }) => `py-1.5 whitespace-nowrap ${isActive ? 'border-b-3 border-base-content font-semibold' : ''}`}
            >
              {label}
            </NavLink>
          ))}
        </nav>
      </header>
      <div className="px-4 py-3 sm:px-6">
        <UnreadableNote
          sentences={reply.unreadable.map(({ kind, id, sentence }) => `The studio’s ${KIND_WORDS[kind].name} “${id}”: ${sentence}`)}
        />
        <Outlet />
      </div>
    </div>
  );
}
