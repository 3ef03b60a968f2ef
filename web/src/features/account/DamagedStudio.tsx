import { useMe } from '../../client/session.ts';
import { CopyList } from './CopyList.tsx';
import { FrontPage } from './FrontPage.tsx';

/** The studio's file cannot be read whole: nothing is written to it, and the newest good copy is offered. */
export function DamagedStudio({ studio }: { readonly studio: string }) {
  const { may } = useMe();
  return (
    <FrontPage title="The studio’s file is damaged">
      <p>
        The file that holds {studio} does not read whole any more, so nothing of it is shown and nothing is written to it. The other studios
        on this server are not touched.
      </p>
      {may.includes('run-studio') ? (
        <>
          <p className="mt-2 mb-4">
            Bring back a copy. What was entered after it was made is lost, unless a device still holds it; the damaged file is set aside,
            not thrown away.
          </p>
          <CopyList />
        </>
      ) : (
        <p className="mt-2">Tell an owner of the studio: they can bring back the newest good copy here.</p>
      )}
    </FrontPage>
  );
}
