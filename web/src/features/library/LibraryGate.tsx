import { openLibrary } from '@myokinet/core/library';
import { type ReactNode, useMemo } from 'react';
import { Outlet } from 'react-router';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useLibraryQuery, useSchoolsQuery } from './endpoints.ts';
import { LibraryContext } from '../../client/LibraryContext.ts';

/** Loads the studio's library once and hands it to every page below. */
export function WithLibrary({ children }: { readonly children: ReactNode }) {
  const library = useLibraryQuery();
  const schools = useSchoolsQuery();
  const studio = useMemo(
    () => library.data && schools.data && { library: openLibrary(library.data.content), reply: library.data, schools: schools.data },
    [library.data, schools.data],
  );
  if (studio) return <LibraryContext value={studio}>{children}</LibraryContext>;
  const error = library.error ?? schools.error;
  if (!error) return <Waiting />;
  const retry = () => {
    void library.refetch();
    void schools.refetch();
  };
  return (
    <div className="p-6">
      <ProblemNote error={error} retry={retry} />
    </div>
  );
}

/** The same around whatever page the address names. */
export function LibraryGate() {
  return (
    <WithLibrary>
      <Outlet />
    </WithLibrary>
  );
}
