import type { PlanBriefReply, PlanReply, ReadinessReply } from '@myokinet/core/contracts';
import { dayOfWeek, weekStartOf, weeksLater } from '@myokinet/core/planning';
import { type CalendarDay, longDay } from '@myokinet/core/quantities';
import { format, parseISO } from 'date-fns';
import { ChevronLeft, ChevronRight, FileDown, Printer } from 'lucide-react';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useMe } from '../../client/session.ts';
import { shownBody } from '../../kit/body/shownBody.ts';
import { Empty } from '../../kit/Empty.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useBriefQuery, usePlansQuery } from '../plan/index.ts';
import { useReadinessQuery } from '../readiness/index.ts';
import { useCurrentTrainee } from '../trainee/index.ts';
import { Choice, Tick } from './choices.tsx';
import { PAPER_SIZES, type PaperDocument, type PaperSize } from './paperDocument.ts';
import { PaperSheets } from './PaperSheets.tsx';
import { lettersMissing } from './printable.ts';
import { type Reader, READERS } from './report.ts';
import { usePaperFile, useWarmMaker } from './usePaperFile.ts';
import { useHandOut, useReport, useRoutineSheets } from './usePaperSheets.tsx';

const WHATS = { week: 'A week', routine: 'A routine', report: 'Readiness report' } as const;
type What = keyof typeof WHATS;
const isWhat = (text: string | null): text is What => text !== null && Object.hasOwn(WHATS, text);
const isDay = (text: string | null): text is CalendarDay =>
  text !== null && /^\d{4}-\d\d-\d\d$/.test(text) && !Number.isNaN(Date.parse(text));

/** What a trainee takes home, or what is handed on about them: chosen, looked at, printed or saved as a file. */
export function PaperPage() {
  const trainee = useCurrentTrainee();
  const [search] = useSearchParams();
  const asked = search.get('week');
  const week = weekStartOf(isDay(asked) ? parseISO(asked) : new Date());
  const readiness = useReadinessQuery(trainee.id);
  const brief = useBriefQuery(trainee.id);
  const plans = usePlansQuery({ traineeId: trainee.id, from: week, weeks: 1 });
  const queries = [readiness, brief, plans];
  const failed = queries.find((q) => q.error && !q.data);
  if (readiness.data && brief.data && plans.currentData)
    return <Paper week={week} readiness={readiness.data} brief={brief.data} plan={plans.currentData[0]} />;
  return (
    <div className="px-4 py-3 sm:px-6">
      {failed ? <ProblemNote error={failed.error} retry={() => queries.forEach((q) => void q.refetch())} /> : <Waiting />}
    </div>
  );
}

interface PaperProps {
  readonly week: CalendarDay;
  readonly readiness: ReadinessReply;
  readonly brief: PlanBriefReply;
  readonly plan: PlanReply | undefined;
}

function Paper({ week, readiness, brief, plan }: PaperProps) {
  const trainee = useCurrentTrainee();
  const me = useMe();
  const [search, setSearch] = useSearchParams();
  const [size, setSize] = useState<PaperSize>('a4');
  const [large, setLarge] = useState(false);
  const [figures, setFigures] = useState(true);
  const [steps, setSteps] = useState(true);
  const file = usePaperFile();
  const put = (fields: Readonly<Record<string, string>>) => {
    const next = new URLSearchParams(search);
    for (const [name, value] of Object.entries(fields)) {
      if (value === '') next.delete(name);
      else next.set(name, value);
    }
    setSearch(next, { replace: true });
  };
  const askedWhat = search.get('what');
  const what = isWhat(askedWhat) ? askedWhat : 'week';
  const askedReader = search.get('reader');
  const reader: Reader = askedReader === 'club' || askedReader === 'clinician' ? askedReader : 'trainee';
  const now = new Date();
  const head = { trainee: trainee.name, coach: me.name, studio: me.studio?.name ?? '', made: longDay(now) };
  const look = { size, large };
  const shown = shownBody(trainee);
  const handOut = useHandOut({ readiness, brief, plan, now, told: { figures, steps } });
  const report = useReport(readiness, reader, now);
  const routine = useRoutineSheets(search.get('routine') ?? '', { figures, steps });
  const sunday = dayOfWeek(week, 'Sunday');
  const range = `${format(parseISO(week), 'd MMM')} to ${format(parseISO(sunday), 'd MMM yyyy')}`;
  const sheets = { week: handOut.sheets, report: report.sheets, routine: handOut.back.length > 0 ? undefined : routine.sheets }[what];
  const one = sheets?.length === 1 && what === 'week' ? sheets[0] : undefined;
  const titleOf = () => {
    if (what === 'report') return READERS[reader].title;
    return (what === 'routine' ? sheets?.[0] : one)?.heading ?? range;
  };
  const document: PaperDocument | undefined = sheets && {
    ...head,
    title: titleOf(),
    sheets,
  };
  useWarmMaker(document, shown);
  const missing = document ? lettersMissing(document) : [];
  const ready = document !== undefined && document.sheets.length > 0;
  return (
    <div className="px-4 py-3 sm:px-6 print:p-0">
      <div className="no-print flex flex-wrap items-end gap-x-6 gap-y-3">
        <Choice label="What" options={WHATS} value={what} set={(v) => put({ what: v === 'week' ? '' : v })} />
        {what === 'week' && (
          <>
            <div className="flex items-center gap-1">
              <button
                type="button"
                className="btn btn-sm btn-ghost btn-square"
                aria-label="The week before"
                onClick={() => put({ week: weeksLater(week, -1), session: '' })}
              >
                <ChevronLeft size={18} aria-hidden />
              </button>
              <span className="min-w-44 text-center">{range}</span>
              <button
                type="button"
                className="btn btn-sm btn-ghost btn-square"
                aria-label="The week after"
                onClick={() => put({ week: weeksLater(week, 1), session: '' })}
              >
                <ChevronRight size={18} aria-hidden />
              </button>
            </div>
            {handOut.days.length > 1 && (
              <Choice
                label="Of it"
                options={{ '': 'All sessions', ...Object.fromEntries(handOut.days.map((d) => [d.id, d.words])) }}
                value={handOut.chosen}
                set={(session) => put({ session })}
              />
            )}
          </>
        )}
        {what === 'routine' && routine.options && (
          <Choice label="Which" options={routine.options} value={routine.chosen} set={(v) => put({ routine: v })} />
        )}
        {what === 'report' && (
          <Choice
            label="For"
            options={Object.fromEntries(Object.entries(READERS).map(([id, { name }]) => [id, name]))}
            value={reader}
            set={(v) => put({ reader: v === 'trainee' ? '' : v })}
          />
        )}
        {what !== 'report' && (
          <>
            <Tick label="Figures" on={figures} set={setFigures} />
            <Tick label="Steps" on={steps} set={setSteps} />
          </>
        )}
        <Choice label="Paper" options={PAPER_SIZES} value={size} set={(v) => setSize(v === 'letter' ? 'letter' : 'a4')} />
        <Tick label="Large type" on={large} set={setLarge} />
        <div className="ms-auto flex gap-2">
          <button type="button" className="btn btn-sm btn-ghost" disabled={!ready} onClick={() => window.print()}>
            <Printer size={16} aria-hidden /> Print
          </button>
          <button
            type="button"
            className="btn btn-sm btn-primary"
            disabled={!ready || file.state === 'making'}
            onClick={() => document && file.save(document, look, shown)}
          >
            <FileDown size={16} aria-hidden /> {file.state === 'making' ? 'Making the PDF…' : 'Save as PDF'}
          </button>
        </div>
      </div>
      <div className="no-print my-2 flex flex-col gap-1 text-sm">
        {what === 'report' && <p className="aside">{READERS[reader].says}</p>}
        {what === 'week' && (
          <p className="aside">What is saved of the plan, for practice without a coach: what wants company is left out and named.</p>
        )}
        <p role="status">{file.state === 'made' ? 'The PDF is in your downloads.' : ''}</p>
        {file.state === 'failed' && (
          <p role="alert" className="state-short font-semibold">
            The PDF could not be made. Printing from the browser works all the same.
          </p>
        )}
        {missing.length > 0 && (
          <p className="state-mark">
            The PDF’s typeface has no letters for {missing.join(' ')}: print from the browser, where they are set in a typeface of this
            device.
          </p>
        )}
      </div>
      {what !== 'report' && handOut.back.length > 0 ? (
        <div role="alert" className="border-s-4 border-error bg-error/10 p-3">
          <p className="font-semibold">Nothing is handed out for practice alone as things stand.</p>
          <ul className="list-disc ps-5">
            {handOut.back.map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
          </ul>
        </div>
      ) : document && document.sheets.length > 0 ? (
        <PaperSheets document={document} look={look} shown={shown} />
      ) : what === 'report' ? (
        (report.problem ?? <Waiting />)
      ) : what === 'routine' ? (
        (routine.problem ?? <Waiting />)
      ) : (
        <Empty title="Nothing is saved for this week">
          <p>A hand-out shows what the plan says. Plan the week, or choose another one.</p>
          <Link className="btn btn-primary mt-3" to={`../plan?week=${week}`} relative="path">
            To the plan
          </Link>
        </Empty>
      )}
    </div>
  );
}
