import type { Ladder, Rung } from '@myokinet/core/ladders';
import type { Gate, RungStanding, Standing } from '@myokinet/core/readiness';
import { type CautionInForce } from '@myokinet/core/safety';
import { type Build, type KnownBody, plannedLoads, setUpInWords } from '@myokinet/core/statics';
import { format } from 'date-fns';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { asBegun, shownOf } from '../../kit/body/shownOf.ts';
import { useLibrary } from '../../client/LibraryContext.ts';
import { StillBody } from '../../kit/body/StillBody.tsx';
import { cautionInWords } from '@myokinet/core/words';

export interface LadderViewProps {
  readonly ladder: Ladder;
  readonly standing: Standing;
  /** Rungs that the screening closes, with the reason. */
  readonly closed: Readonly<Record<string, CautionInForce>>;
  readonly gate: Gate | undefined;
  readonly build: Build;
  readonly body: KnownBody;
  readonly now: Date;
}

/** The ladder, next rung up; the gate lies as a bar across the way. */
export function LadderView({ ladder, standing, closed, gate, build, body, now }: LadderViewProps) {
  const rungs = ladder.rungs.map((rung, i) => ({ rung, i })).reverse();
  return (
    <section aria-label="Ladder">
      <h2>{ladder.name}</h2>
      <Link className="link text-sm no-print" to="lab/ladder">
        Loads and steps between
      </Link>
      {/* Long ladders scroll by themselves, so that the place on them is seen at once. */}
      <ol
        reversed
        ref={toHere}
        tabIndex={0}
        aria-label={`Rungs of ${ladder.name}, the highest first`}
        className="relative mt-1.5 lg:max-h-[calc(100dvh-13rem)] lg:overflow-y-auto print:max-h-none"
      >
        {rungs.map(({ rung, i }) => (
          <li key={rung.id}>
            <RungRow
              rung={rung}
              standing={standing.rungs[i]}
              here={i === standing.here}
              reached={i <= standing.here}
              closed={closed[rung.id]}
              build={build}
              body={body}
              now={now}
            />
            {i === standing.next && i !== standing.here && gate && <GateBar gate={gate} />}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** Brings the place on the ladder to the middle of what is seen of it; the page itself stays where it is. */
function toHere(list: HTMLOListElement | null) {
  const here = list?.querySelector<HTMLElement>('[aria-current="step"]') ?? list?.lastElementChild;
  if (!list || !(here instanceof HTMLElement)) return;
  list.scrollTop = here.offsetTop - (list.clientHeight - here.offsetHeight) / 2;
}

const FIGURE = 52;

function RungRow({
  rung,
  standing,
  here,
  reached,
  closed,
  build,
  body,
  now,
}: {
  readonly rung: Rung;
  readonly standing: RungStanding | undefined;
  readonly here: boolean;
  readonly reached: boolean;
  readonly closed: CautionInForce | undefined;
  readonly build: Build;
  readonly body: KnownBody;
  readonly now: Date;
}) {
  const library = useLibrary();
  const loads = useMemo(() => rung.support && plannedLoads(body, rung.support), [rung, body]);
  return (
    <div className={`flex min-h-12 items-stretch gap-2.5 ${here ? 'bg-primary/10' : ''}`} {...(here ? { 'aria-current': 'step' } : {})}>
      <div aria-hidden className={`relative w-7 flex-none border-x-[3px] ${reached ? 'border-base-content' : 'border-base-300'}`}>
        <span className={`absolute inset-x-0 top-1/2 h-[3px] ${reached ? 'bg-base-content' : 'bg-base-300'}`} />
      </div>
      <div className={`flex-none self-center ${reached || here ? '' : 'opacity-60'}`}>
        <StillBody at={asBegun} of={shownOf(rung)} shown={build} size={FIGURE} />
      </div>
      <div className="self-center py-1 leading-tight">
        <span className={here ? 'font-semibold' : reached ? '' : 'aside'}>{rung.name}</span>
        <span className="block text-sm leading-tight">
          {here ? (
            <span className="font-semibold text-primary">here{standing ? `, ${stateWords(standing, now)}` : ''}</span>
          ) : (
            <span className="aside">{standing ? stateWords(standing, now) : ''}</span>
          )}
        </span>
        {standing?.carriedFrom && (
          <span className="aside block text-sm leading-tight">
            signed as “{library.rungName(standing.carriedFrom.ladderId, standing.carriedFrom.rungId)}”, which has moved
          </span>
        )}
        {loads && rung.support && (
          <span className="aside block text-sm leading-tight" title={setUpInWords(rung.support.setUp)}>
            {loadInWords(loads)}
          </span>
        )}
        {closed && (
          <details className="text-sm leading-tight">
            <summary className="state-short cursor-pointer font-semibold">closed by the screening</summary>
            {cautionInWords(closed)}
          </details>
        )}
      </div>
    </div>
  );
}

/** Signed with date and initials, or why not. */
function stateWords({ state, clearance, lapse }: RungStanding, now: Date): string {
  switch (state) {
    case 'signed':
      return clearance ? `signed ${shortDate(clearance.signedAt, now)}, ${clearance.signedBy}` : 'signed';
    case 'lapsed':
      return lapse ? `lapsed ${shortDate(lapse.at, now)}` : 'lapsed';
    case 'withdrawn':
      return clearance?.withdrawnAt ? `withdrawn ${shortDate(clearance.withdrawnAt, now)}` : 'withdrawn';
    case 'open road':
      return '';
  }
}

/** Narrow as the ladder is: no weekday, and the year only when it is another one. */
function shortDate(moment: string, now: Date): string {
  const date = new Date(moment);
  return format(date, date.getFullYear() === now.getFullYear() ? 'd MMM' : 'd MMM yyyy');
}

function GateBar({ gate }: { readonly gate: Gate }) {
  return (
    <div className={`flex items-center gap-2 text-sm font-semibold ${gate.open ? 'state-spare' : 'state-short'}`}>
      <span aria-hidden className={`h-2.5 flex-none ${gate.open ? 'w-2.5 bg-success' : 'w-11 -ms-2 bg-error'}`} />
      {gate.open ? 'gate open, not signed' : `gate closed, ${gate.unmet.length} unmet`}
    </div>
  );
}

/** `50% on the hands, 25% an arm`, or what one arm carries alone. */
function loadInWords({ share, perArm }: { readonly share: number; readonly perArm: number }): string {
  const percent = (part: number) => `${Math.round(part * 100)}%`;
  return perArm >= share ? `${percent(perArm)} on one arm` : `${percent(share)} on the hands, ${percent(perArm)} an arm`;
}
