import type { NewLinkReply, TraineeLinkReply, TraineeReply } from '@myokinet/core/contracts';
import { type CalendarDay, longDay } from '@myokinet/core/quantities';
import { format, parseISO } from 'date-fns';
import { QrCode } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useMe } from '../../client/session.ts';
import { QrMark } from '../../kit/QrMark.tsx';
import { useLinkQuery, useMakeLinkMutation, useRevokeLinkMutation } from './endpoints.ts';

const addressOf = (secret: string): string => `${window.location.origin}/own#${secret}`;

/** The private link to a trainee’s own page: made, shown once as address and code, renewed, taken back. */
export function LinkPanel({ trainee: { id, name, screening } }: { readonly trainee: TraineeReply }) {
  const consentMissing = screening.cautions.some((c) => c.id === 'no-consent');
  const { may } = useMe();
  const { data: link, error, refetch } = useLinkQuery(id);
  const [revoke, revoking] = useRevokeLinkMutation();
  const [made, setMade] = useState<NewLinkReply>();
  const mayLink = may.includes('plan');
  return (
    <section aria-labelledby="own-page" className="mt-8 max-w-3xl border-t-2 border-base-content pt-4">
      <h2 id="own-page">{name}’s own page</h2>
      <p className="aside mt-1 text-sm">
        On a phone: what to practise today as it may be done alone, how the morning is, what hurts, a calendar. What is told there counts as
        load, raises stop signs and opens no gate.
      </p>
      <ProblemNote error={error} retry={() => void refetch()} />
      {link === null && <p className="mt-2">There is no link yet.</p>}
      {link && <HowItStands link={link} />}
      {made && link?.id === made.id && <Once made={made} name={name} />}
      {consentMissing && (
        <p className="mt-2 border-s-4 border-warning bg-warning/10 px-3 py-2">
          {name} is a child: the page needs the word of those responsible for them first{link ? ', and is shut until it stands again' : ''}.{' '}
          <Link className="link font-semibold" to="../screening" relative="path">
            Note their consent
          </Link>
        </p>
      )}
      {mayLink && !consentMissing && link !== undefined && <MakeLink traineeId={id} renews={link !== null} made={setMade} />}
      {mayLink && link && (
        <button
          type="button"
          className="btn btn-ghost mt-2 h-11 text-error"
          disabled={revoking.isLoading}
          onClick={() => {
            setMade(undefined);
            void revoke(id);
          }}
        >
          Take the link back
        </button>
      )}
      <ProblemNote error={revoking.error} />
    </section>
  );
}

function HowItStands({ link: { madeAt, lapsesOn, lapsed, pin, progress, devices } }: { readonly link: TraineeLinkReply }) {
  return (
    <div className="mt-2">
      <p>
        Made on {longDay(new Date(madeAt))}
        {pin ? ', with a PIN' : ', without a PIN'}, {progress ? 'with' : 'without'} how far they have come.{' '}
        {lapsed ? (
          <span className="font-semibold text-error">It has lapsed: nobody comes in by it.</span>
        ) : lapsesOn ? (
          `It lasts until ${longDay(parseISO(lapsesOn))}.`
        ) : (
          'It lasts until it is taken back.'
        )}
      </p>
      {devices.length === 0 ? (
        <p className="aside text-sm">Not opened on any phone yet.</p>
      ) : (
        <ul className="aside text-sm">
          {devices.map(({ device, openedAt, seenAt }) => (
            <li key={openedAt}>
              {device}: opened {format(new Date(openedAt), 'd MMM, HH:mm')}, last seen {format(new Date(seenAt), 'd MMM, HH:mm')}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** Told once: nothing is kept from which it could be told again. */
function Once({ made: { secret, pin }, name }: { readonly made: NewLinkReply; readonly name: string }) {
  const address = addressOf(secret);
  const [copied, setCopied] = useState(false);
  return (
    <div role="status" className="sheet mt-3 grid gap-4 p-4 sm:grid-cols-[11rem_1fr]">
      <QrMark text={address} label={`Code of the link to ${name}’s page`} className="w-44" />
      <div>
        <p className="font-semibold">Let {name} scan this now, or send the address. It is shown this once.</p>
        <input
          className="input mt-2 w-full font-mono text-sm"
          readOnly
          value={address}
          aria-label={`Address of ${name}’s page`}
          onFocus={(e) => e.target.select()}
        />
        <div className="mt-2 flex flex-wrap items-center gap-2">
          <button
            type="button"
            className="btn h-11"
            onClick={() => {
              void navigator.clipboard.writeText(address).then(
                () => setCopied(true),
                () => undefined,
              );
            }}
          >
            {copied ? 'Copied' : 'Copy the address'}
          </button>
          {pin && <p className="text-sm">Say the PIN; do not send it along.</p>}
        </div>
      </div>
    </div>
  );
}

interface MakeLinkProps {
  readonly traineeId: string;
  /** A link stands that this one takes the place of. */
  readonly renews: boolean;
  readonly made: (link: NewLinkReply) => void;
}

function MakeLink({ traineeId, renews, made }: MakeLinkProps) {
  const [pin, setPin] = useState('');
  const [lapsesOn, setLapsesOn] = useState('');
  const [progress, setProgress] = useState(true);
  const [make, { isLoading, error }] = useMakeLinkMutation();
  const send = async () => {
    const body = { id: newId(), pin: pin === '' ? null : pin, lapsesOn: lapsesOn === '' ? null : (lapsesOn as CalendarDay), progress };
    const { data } = await make({ traineeId, body });
    if (data) {
      made(data);
      setPin('');
      setLapsesOn('');
    }
  };
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-3"
      aria-label={renews ? 'Renew the link' : 'Make a link'}
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <label>
        <span className="block text-sm font-semibold">PIN, if wanted</span>
        <input
          className="input w-32"
          inputMode="numeric"
          autoComplete="off"
          maxLength={8}
          placeholder="4 to 8 digits"
          value={pin}
          onChange={(e) => setPin(e.target.value.replaceAll(/\D/g, ''))}
        />
      </label>
      <label>
        <span className="block text-sm font-semibold">Last day, if wanted</span>
        <input className="input w-44" type="date" value={lapsesOn} onChange={(e) => setLapsesOn(e.target.value)} />
      </label>
      <label className="flex h-11 items-center gap-2">
        <input type="checkbox" className="checkbox checkbox-sm" checked={progress} onChange={(e) => setProgress(e.target.checked)} />
        Shows how far they have come
      </label>
      <button type="submit" className="btn btn-primary h-11" disabled={isLoading || (pin !== '' && pin.length < 4)}>
        <QrCode size={16} aria-hidden /> {renews ? 'Renew the link' : 'Make a link'}
      </button>
      {renews && <p className="aside basis-full text-sm">A renewed link shuts the page on every phone that knows the old one.</p>}
      <ProblemNote error={error} />
    </form>
  );
}
