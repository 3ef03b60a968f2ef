import { AccountForm, FIELDS } from './AccountForm.tsx';
import { useFirstRunMutation } from './endpoints.ts';

const STUDIO = { name: 'studio', label: 'Name of the studio', autoComplete: 'organization' } as const;

/** The first start of an empty data folder. */
export function FirstRun({ done }: { readonly done: () => void }) {
  const [send, { isLoading, error }] = useFirstRunMutation();
  return (
    <>
      <p className="mb-4">
        Nobody has set up this studio yet. The program wrote a code to its console when it started; whoever types it here becomes the
        studio’s owner, invites the other coaches, and keeps its copies.
      </p>
      <AccountForm
        focus
        label="Set up the studio"
        fields={[
          { ...FIELDS.code, label: 'Code on the console' },
          STUDIO,
          FIELDS.name,
          FIELDS.initials,
          FIELDS.signInName,
          { ...FIELDS.newPassword, label: 'Password' },
        ]}
        submit="Make the studio"
        waiting={isLoading}
        error={error}
        send={(dto) => void send(dto).then(({ data }) => data && done())}
      />
    </>
  );
}
