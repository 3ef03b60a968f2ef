import { type ReactNode, useId, useState } from 'react';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { problemFrom } from '../../client/problem.ts';

export interface AccountField<Name extends string> {
  readonly name: Name;
  readonly label: string;
  readonly type?: 'text' | 'password';
  readonly autoComplete: string;
  readonly hint?: string;
  readonly value?: string;
}

/** A few lines about an account, and what the server says of each. Nothing typed here is kept on the device. */
export function AccountForm<Name extends string>({
  label,
  fields,
  submit,
  waiting,
  error,
  send,
  focus = false,
  children,
}: {
  readonly label: string;
  readonly fields: readonly AccountField<Name>[];
  readonly submit: string;
  readonly waiting: boolean;
  readonly error: unknown;
  readonly send: (values: Readonly<Record<Name, string>>) => void;
  /** The only form of its page: the first line has the focus. */
  readonly focus?: boolean;
  readonly children?: ReactNode;
}) {
  const id = useId();
  const [values, setValues] = useState(() => Object.fromEntries(fields.map((f) => [f.name, f.value ?? ''])) as Record<Name, string>);
  const problems = new Map(problemFrom(error)?.fields.map((f) => [f.field.slice(1), f.message]));
  const shownAtFields = fields.some((f) => problems.has(f.name));
  return (
    <form
      aria-label={label}
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        send(values);
      }}
    >
      {fields.map(({ name, label: words, type = 'text', autoComplete, hint }, i) => {
        const problem = problems.get(name);
        const described = [hint && `${id}-${name}-hint`, problem && `${id}-${name}-problem`].filter(Boolean).join(' ');
        return (
          <div key={name}>
            <label htmlFor={`${id}-${name}`} className="block font-semibold">
              {words}
            </label>
            <input
              id={`${id}-${name}`}
              className="input mt-1 h-11 w-full"
              type={type}
              autoComplete={autoComplete}
              autoCapitalize="none"
              spellCheck={false}
              required
              autoFocus={focus && i === 0}
              value={values[name]}
              onChange={(event) => setValues({ ...values, [name]: event.target.value })}
              {...(described ? { 'aria-describedby': described } : {})}
              {...(problem ? { 'aria-invalid': true } : {})}
            />
            {hint && (
              <p id={`${id}-${name}-hint`} className="aside mt-0.5 text-sm">
                {hint}
              </p>
            )}
            {problem && (
              <p id={`${id}-${name}-problem`} role="alert" className="mt-0.5 text-sm text-error">
                {problem}
              </p>
            )}
          </div>
        );
      })}
      {!shownAtFields && <ProblemNote error={error} />}
      <div className="mt-1 flex flex-wrap items-center gap-3">
        <button type="submit" className="btn btn-primary h-11" disabled={waiting}>
          {submit}
        </button>
        {children}
      </div>
    </form>
  );
}

const NEW_PASSWORD_HINT = 'At least 12 characters. Several words in a row are easy to keep in mind and hard to guess.';

/** Lines that several forms ask for. */
export const FIELDS = {
  code: { name: 'code', label: 'Code', autoComplete: 'one-time-code' },
  name: { name: 'name', label: 'Your name', autoComplete: 'name', hint: 'As records of the studio show it.' },
  initials: { name: 'initials', label: 'Your initials', autoComplete: 'off', hint: 'Two to four letters; they stand under what you sign.' },
  signInName: {
    name: 'signInName',
    label: 'Sign-in name',
    autoComplete: 'username',
    hint: 'Three small letters or digits at least; an e-mail address will do. No mail is ever sent.',
  },
  password: { name: 'password', label: 'Password', type: 'password', autoComplete: 'current-password' },
  newPassword: { name: 'password', label: 'New password', type: 'password', autoComplete: 'new-password', hint: NEW_PASSWORD_HINT },
} as const satisfies Readonly<Record<string, AccountField<string>>>;
