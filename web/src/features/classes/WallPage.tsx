import { type ClassMoment, isOut, workAt } from '@myokinet/core/classes';
import { useParams } from 'react-router';
import { useWakeLock } from '../../client/useWakeLock.ts';
import { PlayedBody } from '../../kit/body/PlayedBody.tsx';
import { useMovement } from '../../kit/body/useMovement.ts';
import { useLamp } from '../../kit/useLamp.ts';
import { Waiting } from '../../kit/Waiting.tsx';
import { workAhead } from './marks.ts';
import { NoSuchClass } from './NoSuchClass.tsx';
import { type OpenClass, useClass, useClassTime } from './useClass.ts';
import { askedInWords, howInWords, momentInWords, peopleIn, shortNames } from './words.ts';

/** A class for a big screen: the time, the figure, what comes, and what each does. Nothing is marked here. */
export function WallPage() {
  const { classId = '' } = useParams();
  const { open, problem, again } = useClass(classId);
  useLamp();
  useWakeLock();
  if (!open) return problem ? <NoSuchClass problem={problem} again={again} /> : <Waiting />;
  return <Wall open={open} />;
}

function Wall({ open }: { readonly open: OpenClass }) {
  const { state, library } = open;
  const { moment: at, running } = useClassTime(state, 'moment');
  const { moments } = state.head;
  const moment = moments[at];
  const ahead = workAhead(state, at);
  const work = ahead === undefined ? undefined : moments[ahead];
  const next = moments.slice((ahead ?? at) + 1).find((m) => m.kind === 'work' && (m.slotId !== work?.slotId || m.side !== work?.side));
  const slot = state.head.slots.find((s) => s.id === work?.slotId);
  const over = state.closed !== undefined || state.givenUp || !moment;
  if (over)
    return (
      <main className="grid min-h-screen place-items-center">
        <title>{`${state.head.name} · Myokinet`}</title>
        <h1 className="text-8xl">The end</h1>
      </main>
    );
  return (
    <main className="grid h-screen grid-rows-[auto_minmax(0,1fr)] gap-4 overflow-hidden p-6">
      <title>{`${state.head.name} · Myokinet`}</title>
      <header className="flex items-center gap-10">
        <Time open={open} moment={moment} />
        <div className="min-w-0 flex-1">
          <h1 className="text-[clamp(2rem,4.5vw,5.5rem)] leading-none">
            <span role="status">{momentInWords(state.head, moment, library)}</span>
          </h1>
          <p className="mt-2 text-[clamp(1.2rem,2vw,2.5rem)] leading-tight">
            {moment.kind === 'work'
              ? next
                ? `Then: ${momentInWords(state.head, next, library)}`
                : 'Then it is over.'
              : `Comes: ${momentInWords(state.head, work, library)}`}
          </p>
          {!running && <p className="text-[clamp(1.2rem,2vw,2.5rem)] font-semibold">The clock stands still.</p>}
        </div>
      </header>
      <div className="grid min-h-0 grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-8">
        <div className="h-full min-h-0 overflow-hidden">
          {slot && <WallFigure key={`${slot.drillId} ${work?.side}`} open={open} drillId={slot.drillId} mirrored={work?.side === 'left'} />}
        </div>
        <Everybody open={open} at={ahead} moment={at} />
      </div>
    </main>
  );
}

function Time({ open, moment }: { readonly open: OpenClass; readonly moment: ClassMoment }) {
  const { seconds } = useClassTime(open.state, 'second');
  const otherSide = moment.kind === 'work' && !moment.side && seconds <= moment.seconds / 2;
  return (
    <p
      role="timer"
      aria-label={`${seconds} seconds left`}
      className="font-display min-w-[3ch] max-w-[3ch] text-[clamp(6rem,16vw,20rem)] leading-none font-bold tabular-nums"
    >
      {seconds}
      {otherSide && <span className="block font-sans text-[clamp(1rem,1.4vw,1.8rem)] font-normal">other side now, if yours has sides</span>}
    </p>
  );
}

function WallFigure({
  open: { library },
  drillId,
  mirrored,
}: {
  readonly open: OpenClass;
  readonly drillId: string;
  readonly mirrored: boolean;
}) {
  const drill = library.hasDrill(drillId) ? library.drill(drillId) : undefined;
  const prepared = useMovement(drill, undefined, mirrored ? 'mirrored' : 'as written');
  if (!drill || !prepared) return null;
  return <PlayedBody prepared={prepared} beat={drill.dose.tempo} label={`${drill.name}, shown`} />;
}

/** What each does: all by their short names, in as many columns as there is room for. */
function Everybody({ open, at, moment }: { readonly open: OpenClass; readonly at: number | undefined; readonly moment: number }) {
  const { run, state, library } = open;
  const people = peopleIn(run, state);
  const names = shortNames(new Map(people.map(({ person }) => [person.traineeId, person.name])));
  const many = people.length > 10;
  return (
    <ul className={`grid min-h-0 content-start gap-x-8 ${many ? 'grid-cols-2 gap-y-2' : 'gap-y-4'}`} aria-label="What each does">
      {people.map(({ person, member }) => {
        const work = at === undefined ? undefined : workAt(state, member, at, library);
        const drill = work && library.asPlanned(work.item);
        const out = isOut(member, moment) || !work || !drill;
        return (
          <li
            key={person.traineeId}
            className={`flex items-baseline gap-4 border-b border-base-300 leading-tight ${out ? 'aside' : ''} ${many ? 'text-[clamp(1rem,1.35vw,1.9rem)]' : 'text-[clamp(1.1rem,1.9vw,2.6rem)]'}`}
          >
            <strong className="w-[7em] shrink-0 truncate">{names.get(person.traineeId)}</strong>
            <span className="min-w-0 flex-1">{out ? 'rests' : [drill.name, howInWords(work.item)].filter(Boolean).join(', ')}</span>
            <span className="shrink-0 font-semibold tabular-nums">{out ? '' : askedInWords(work, drill)}</span>
          </li>
        );
      })}
    </ul>
  );
}
