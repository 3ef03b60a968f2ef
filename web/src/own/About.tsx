import type { OwnPageReply } from '@myokinet/core/contracts';
import type { KnownPage } from './onPhone.ts';
import { hashOf } from './useView.ts';

interface AboutProps {
  readonly known: KnownPage;
  /** Absent on a page that a phone kept from before this was told. */
  readonly keptBy: OwnPageReply['keptBy'] | undefined;
  /** Of others whose pages this phone knows. */
  readonly others: readonly KnownPage[];
  readonly turnTo: (page: KnownPage) => void;
  readonly forget: () => void;
}

/** What the page keeps and where, the calendar’s address, and the way off this phone. */
export function About({ known, keptBy, others, turnTo, forget }: AboutProps) {
  const calendar = `${window.location.origin}/api/own/calendar/${known.feed}.ics`;
  return (
    <main className="flex flex-col gap-5 p-4">
      <a className="link" href={hashOf({ at: 'today' })}>
        Back to today
      </a>
      <h1>About this page</h1>
      <section>
        <h2>Your calendar</h2>
        <p>Subscribe to this address in your phone’s calendar; sessions that your coach moves move there too. Keep it to yourself.</p>
        <input
          className="input mt-2 w-full text-base"
          readOnly
          value={calendar}
          aria-label="Address of your calendar"
          onFocus={(e) => e.target.select()}
        />
        <a className="btn mt-2 min-h-12" href={calendar.replace(/^https?:/, 'webcal:')}>
          Subscribe
        </a>
      </section>
      <section>
        <h2>What is kept, and by whom</h2>
        <ul className="ms-5 list-disc">
          <li>
            {keptBy ? keptBy.studio : 'Your coach’s studio'} keeps your profile, checks, plans, sessions, what hurt, how mornings were and
            your messages, on its own server, for the coaches who train you.
          </li>
          <li>This phone keeps the page as you read it last, and what waits to be sent.</li>
          <li>What you tell here is marked as told by you. It can stop training; it never opens a harder step by itself.</li>
          <li>
            {keptBy ? `${keptBy.coach}, who gave you this link,` : 'Your coach'} can hand out or erase all of it from your profile: ask, and
            you get a file, or it is gone.
          </li>
          <li>Are you under 18, this page stands on the consent of those responsible for you, and shuts when they take it back.</li>
        </ul>
        <p className="mt-2">A coaching aid, no medical advice.</p>
      </section>
      {others.some((o) => o.name) && (
        <section>
          <h2>Others on this phone</h2>
          {others.map((page) => (
            <button key={page.key} type="button" className="btn me-2 mt-2 min-h-12" onClick={() => turnTo(page)}>
              {page.name ?? 'Another page'}
            </button>
          ))}
        </section>
      )}
      <section>
        <h2>Take this page off the phone</h2>
        <p>With the link it can be opened again. What waits to be sent goes with it.</p>
        <button type="button" className="btn btn-outline btn-error mt-2 min-h-12" onClick={forget}>
          Take it off
        </button>
      </section>
    </main>
  );
}
