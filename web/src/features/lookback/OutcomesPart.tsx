import type { OutcomesReply, ToldOutcomeReply } from '@myokinet/core/contracts';
import type { ReliabilityGroup } from '@myokinet/core/outcomes';
import { shortDay } from '@myokinet/core/quantities';
import { OUTCOME_WORDS, reliabilityInWords, tellingInWords } from '@myokinet/core/words';
import { useState } from 'react';
import { Link } from 'react-router';
import { useLibrary } from '../../client/LibraryContext.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Empty } from '../../kit/Empty.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useOutcomesQuery } from './endpoints.ts';
import { Folded } from './Folded.tsx';
import { OutcomeForm } from './OutcomeForm.tsx';
import { ShareBar } from './ShareBar.tsx';

/** Of those cleared, how many flared up: by ladder, by margin, by days since the check. */
export function OutcomesPart() {
  const { data, error, isLoading, refetch } = useOutcomesQuery();
  if (isLoading) return <Waiting />;
  return (
    <section aria-label="Outcomes">
      <h2>What became of clearances</h2>
      <ProblemNote error={error} retry={() => void refetch()} />
      {data && !data.reliability.all && (
        <div className="mt-3">
          <Empty title="Nothing told yet">
            <p>
              {data.due > 0
                ? `${data.due} ${data.due === 1 ? 'question waits' : 'questions wait'} on Today.`
                : `Today asks ${data.weeks.join(', ')} weeks after each clearance what became of it.`}
            </p>
            <Link className="btn btn-primary mt-3" to="/">
              Open Today
            </Link>
          </Empty>
        </div>
      )}
      {data?.reliability.all && <Told data={data} all={data.reliability.all} />}
    </section>
  );
}

function Told({ data, all }: { readonly data: OutcomesReply; readonly all: ReliabilityGroup }) {
  const library = useLibrary();
  const { byLadder, byMargin, byAge, telling, unknown } = data.reliability;
  const ladderName = (id: string) => (library.hasLadder(id) ? library.ladder(id).name : id);
  return (
    <>
      <p className="mt-1 text-lg">{reliabilityInWords(all)}</p>
      <p className="aside text-sm">
        95%, exact binomial; the fewer clearances, the wider.
        {unknown > 0 && ` Of ${unknown} nobody could say.`}
        {data.due > 0 && ` ${data.due} ${data.due === 1 ? 'question waits' : 'questions wait'} on Today.`}
      </p>
      <div className="mt-4 grid gap-x-8 gap-y-5 lg:grid-cols-3">
        <Groups title="By ladder" groups={byLadder} nameOf={ladderName} />
        <Groups title="By what was to spare" groups={byMargin} nameOf={(key) => `${key} error bands`} />
        <Groups title="By age of the oldest check" groups={byAge} nameOf={(key) => `${key} days`} />
      </div>
      <p className="mt-4">{tellingInWords(telling, library.measure)}</p>
      <h3 className="mt-5">Newest answers</h3>
      <Folded shown={ANSWERS_SHOWN}>
        {data.answers.map((answer) => (
          <Answer key={`${answer.clearanceId} ${answer.weeks}`} answer={answer} />
        ))}
      </Folded>
    </>
  );
}

const ANSWERS_SHOWN = 8;

interface GroupsProps {
  readonly title: string;
  readonly groups: readonly ReliabilityGroup[];
  readonly nameOf: (key: string) => string;
}

function Groups({ title, groups, nameOf }: GroupsProps) {
  return (
    <div>
      <h3>{title}</h3>
      {groups.length === 0 && <p className="aside">No figures.</p>}
      <ul>
        {groups.map((g) => (
          <li key={g.key} className="border-b border-base-300 py-1.5">
            <span className="flex justify-between gap-2">
              <span>{nameOf(g.key)}</span>
              <span className="tabular-nums">
                {g.flared} of {g.cleared}
              </span>
            </span>
            <ShareBar {...g} words={reliabilityInWords(g)} />
          </li>
        ))}
      </ul>
    </div>
  );
}

function Answer({ answer }: { readonly answer: ToldOutcomeReply }) {
  const { traineeId, name, clearanceId, rungName, weeks, outcome, toldAt, note } = answer;
  const [changing, setChanging] = useState(false);
  return (
    <li className="grid gap-x-4 border-b border-base-300 py-1.5 sm:grid-cols-[11rem_1fr_auto]">
      <Link className="font-semibold hover:underline" to={`/trainees/${traineeId}`}>
        {name}
      </Link>
      <span>
        {rungName}, {weeks} weeks on:{' '}
        <span className={outcome === 'flared' ? 'font-semibold text-error' : ''}>{OUTCOME_WORDS[outcome]}</span>
        {note && <span className="aside">. {note}</span>}
      </span>
      <span className="aside flex items-center gap-3">
        {shortDay(toldAt, new Date())}
        <button
          type="button"
          className="link"
          aria-expanded={changing}
          aria-label={`Change the answer: ${name}, ${rungName}`}
          onClick={() => setChanging(!changing)}
        >
          Change
        </button>
      </span>
      {changing && (
        <div className="col-span-full py-1">
          <OutcomeForm {...{ traineeId, name, clearanceId, weeks }} suggested={outcome} told={() => setChanging(false)} />
        </div>
      )}
    </li>
  );
}
