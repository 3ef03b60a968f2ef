import { Moon, Search, Sun } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { NavLink, Outlet, useLocation } from 'react-router';
import { ClockNote } from '../client/ClockNote.tsx';
import { NewVersion } from '../client/NewVersion.tsx';
import { openNewerProgram, useNewerProgram } from '../client/program.ts';
import { CopyAlarm, MeMenu } from '../features/account/index.ts';
import { sendWaitingEmergencies } from '../features/emergency/index.ts';
import { sendWaitingForms } from '../features/screening/index.ts';
import { useOutbox } from '../client/useOutbox.ts';
import { forgetErasedInClasses, sendWaitingClasses } from '../features/classes/index.ts';
import { forgetErased, sendWaiting } from '../features/floor/index.ts';
import { BinNote } from './BinNote.tsx';
import { DraftList } from './DraftList.tsx';
import { CommandBox } from './CommandBox.tsx';
import { SaveState } from './SaveState.tsx';
import { ShortcutList } from './ShortcutList.tsx';
import { useShortcuts } from './useShortcuts.ts';
import { useTheme } from './useTheme.ts';

/** Rarer than what waits to be sent. */
const ERASED_EVERY_MS = 10 * 60_000;

const PLACES = [
  { to: '/', label: 'Today' },
  { to: '/caseload', label: 'Caseload' },
  { to: '/groups', label: 'Groups' },
  { to: '/library', label: 'Library' },
  { to: '/measuring', label: 'Measuring' },
];

export function Shell() {
  const [theme, toggleTheme] = useTheme();
  const [open, setOpen] = useState<'commands' | 'shortcuts' | 'drafts' | undefined>();
  useShortcuts(setOpen);
  useNewProgramOnTheWay();
  useOutbox(sendWaiting);
  useOutbox(sendWaitingClasses);
  useOutbox(sendWaitingEmergencies);
  useOutbox(sendWaitingForms);
  useOutbox(forgetErased, ERASED_EVERY_MS);
  useOutbox(forgetErasedInClasses, ERASED_EVERY_MS);
  return (
    <div className="group flex min-h-screen flex-col">
      <a href="#main" className="btn btn-primary absolute -top-20 left-2 z-10 focus:top-2">
        Skip to the page
      </a>
      <header className="no-print flex flex-wrap group-has-[[data-focused]]:max-sm:hidden items-center gap-x-4 gap-y-1 border-b-2 sm:gap-x-6 border-base-content px-4 py-1.5 sm:px-6">
        <span className="font-display text-xl font-bold" aria-label="Myokinet">
          Myo
          <span className="mx-px inline-block h-5 w-1 translate-y-0.5 bg-primary" aria-hidden />
          kinet
        </span>
        <nav aria-label="Main" className="flex gap-5 max-sm:order-last max-sm:w-full">
          {PLACES.map(({ to, label }) => (
            <NavLink
              key={to}
              to={to}
              end={to === '/'}
              className={({ isActive }) => `py-1.5 ${isActive ? 'font-semibold shadow-[inset_0_-3px_0_var(--color-primary)]' : ''}`}
            >
              {label}
            </NavLink>
          ))}
        </nav>
        <div className="ms-auto flex items-center gap-3">
          <button type="button" className="btn btn-sm font-normal max-sm:btn-square" onClick={() => setOpen('commands')}>
            <Search size={16} aria-hidden /> <span className="hidden sm:inline">Find a trainee or action</span>
            <span className="sr-only sm:hidden">Find a trainee or action</span>
            <kbd className="kbd kbd-sm hidden sm:inline">/</kbd>
          </button>
          <SaveState showDrafts={() => setOpen('drafts')} />
          <MeMenu />
          <button
            type="button"
            className="btn btn-sm btn-ghost btn-square"
            onClick={toggleTheme}
            aria-label={theme === 'bench' ? 'Switch to the dark theme' : 'Switch to the light theme'}
          >
            {theme === 'bench' ? <Moon size={18} aria-hidden /> : <Sun size={18} aria-hidden />}
          </button>
        </div>
      </header>
      <CopyAlarm />
      <NewVersion />
      <ClockNote />
      <main id="main" className="flex flex-1 flex-col">
        <Outlet />
      </main>
      <BinNote />
      {open === 'commands' && <CommandBox close={() => setOpen(undefined)} />}
      {open === 'drafts' && <DraftList close={() => setOpen(undefined)} />}
      {open === 'shortcuts' && <ShortcutList close={() => setOpen(undefined)} />}
    </div>
  );
}

/** Another tab has opened a newer program: this one comes through where a page is left anyway. */
function useNewProgramOnTheWay(): void {
  const newer = useNewerProgram();
  const { pathname } = useLocation();
  const before = useRef(pathname);
  useEffect(() => {
    if (newer === 'taken' && before.current !== pathname) openNewerProgram();
    before.current = pathname;
  }, [newer, pathname]);
}
