import { Refusal } from '@myokinet/core/errors';
import type { Rung } from '@myokinet/core/ladders';
import { asKilograms, type KnownBody, modelOf, setUpInWords, stepsBetween, type SupportOn, supportOn } from '@myokinet/core/statics';
import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useLibrary } from '../../client/LibraryContext.ts';
import { figureOn } from '../../kit/figure.ts';
import { SelectField } from '../../kit/EntryFields.tsx';
import { labLink } from './labLink.ts';
import { scaleToShow } from '../../kit/scaleToShow.ts';
import { SetUpFigure } from '../../kit/SetUpFigure.tsx';
import { buildOf, useCurrentBody, useCurrentTrainee } from '../trainee/index.ts';
import { useAllChecksQuery } from '../checks/index.ts';
import { type LabLimit, type LabLimits, limitsOf, restsOn } from './limitsOf.ts';
import { percent, spanInWords } from './words.ts';

/** Every rung with the set-up and load it means for this trainee, and the steps between. */
export function LadderLoadsPage() {
  const library = useLibrary();
  const trainee = useCurrentTrainee();
  const body = useCurrentBody();
  const [search, setSearch] = useSearchParams();
  const asked = search.get('ladder');
  const ladder = library.ladder(library.hasLadder(asked) ? asked : trainee.ladderId);
  const { data: checks } = useAllChecksQuery(trainee.id);
  const limits = useMemo(() => limitsOf(checks ?? [], library.measure, new Date()), [checks, library]);
  const rungs = useMemo(() => ladder.rungs.map((rung) => rungOn(body, rung)), [ladder, body]);
  return (
    <div className="px-4 py-3 sm:px-6">
      <title>{`Loads of the ladder · ${trainee.name} · Myokinet`}</title>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <SelectField
          label="Ladder"
          value={ladder.id}
          options={library.ladders.map((l) => ({ value: l.id, label: l.name }))}
          change={(id) => setSearch({ ladder: id }, { replace: true })}
        />
        <p className="aside basis-full sm:flex-1 sm:basis-0">
          Each rung set up for {trainee.name}, {Math.round(trainee.mass)} kg and {(trainee.stature / 100).toFixed(2)} m, and steps of about
          five points of body weight between.
        </p>
        <Link className="link no-print" to={`/trainees/${trainee.id}/lab`}>
          To the lab
        </Link>
      </div>
      <div className="relative overflow-x-auto">
        <table className="plain-table mt-2">
          <caption className="sr-only">
            {ladder.name}: set-up and load of each rung for {trainee.name}, highest first
          </caption>
          <thead>
            <tr>
              <th scope="col">Rung</th>
              <th scope="col">Set-up</th>
              <th scope="col">On the hands</th>
              <th scope="col">Wrist</th>
              <th scope="col">Grip a hand</th>
            </tr>
          </thead>
          <tbody>
            {rungs.toReversed().map(({ rung, on, problem }, i, shown) => (
              <RungRows
                key={rung.id}
                rung={rung}
                on={on}
                problem={problem}
                below={shown[i + 1]?.rung}
                body={body}
                limits={limits}
                build={buildOf(trainee)}
              />
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}

interface RungOn {
  readonly rung: Rung;
  readonly on: SupportOn | undefined;
  readonly problem: string | undefined;
}

function rungOn(body: KnownBody, rung: Rung): RungOn {
  if (!rung.support) return { rung, on: undefined, problem: undefined };
  try {
    const on = supportOn(body, rung.support);
    return { rung, on, problem: on.problem };
  } catch (error) {
    if (error instanceof Refusal) return { rung, on: undefined, problem: error.detail };
    throw error;
  }
}

interface RungRowsProps extends RungOn {
  readonly below: Rung | undefined;
  readonly body: KnownBody;
  readonly limits: LabLimits;
  readonly build: ReturnType<typeof buildOf>;
}

const FIGURE = 58;

function RungRows({ rung, on, problem, below, body, build, limits }: RungRowsProps) {
  const steps = useMemo(
    () => (below?.support && rung.support ? stepsBetween(body, below.support, rung.support).toReversed() : []),
    [below, rung, body],
  );
  return (
    <>
      <tr>
        <th scope="row" className="!py-1.5 !whitespace-normal">
          <span className="flex items-center gap-3 max-sm:[&>svg]:hidden">
            <SetUpFigure figure={figureOn(rung, build, body)} size={FIGURE} />
            {rung.name}
          </span>
        </th>
        {on ? <Figures on={on} limits={limits} /> : <td colSpan={4}>{problem ?? `${rung.setUp} The lab has no set-up for it.`}</td>}
      </tr>
      {problem && on && (
        <tr>
          <td colSpan={5} className="state-mark !pt-0 text-sm">
            {problem}
          </td>
        </tr>
      )}
      {steps.map((step) => (
        <tr key={JSON.stringify(step.setUp)} className="bg-base-200/60 text-sm">
          <th scope="row" className="!ps-4 font-normal !whitespace-normal sm:!ps-16">
            step between
          </th>
          <Figures on={step} limits={limits} />
        </tr>
      ))}
    </>
  );
}

function Figures({ on: { setUp, reading }, limits }: { readonly on: SupportOn; readonly limits: LabLimits }) {
  const { id: traineeId } = useCurrentTrainee();
  const { bands, wristExtensionDeg, gripPerHandN, loadShare } = reading;
  const hands = modelOf(setUp.position).carriedBy === 'hands';
  return (
    <>
      <td>
        <Link className="link" to={labLink(traineeId, setUp)}>
          {setUpInWords(setUp)}
        </Link>
        <ScaleNote reading={reading} setUp={setUp} />
      </td>
      <td className="whitespace-nowrap">
        <span className="font-semibold">{percent(loadShare)}</span>
        {hands ? '' : ' on the forearms'}
        <span className="aside block text-sm">{spanInWords(bands.loadShare, percent) ?? 'exact'}</span>
      </td>
      <td>
        {hands && wristExtensionDeg !== 0 ? `${Math.round(wristExtensionDeg)}°` : 'straight'}
        <Beyond figure={hands ? wristExtensionDeg : 0} limit={limits.wrist} unit="°" />
      </td>
      <td>
        {gripPerHandN > 0 ? `${Math.round(asKilograms(gripPerHandN))} kg` : 'none'}
        <Beyond figure={asKilograms(gripPerHandN)} limit={limits.hold} unit=" kg" />
      </td>
    </>
  );
}

/** Said where a figure goes beyond what the last check surely allows. */
function Beyond({ figure, limit, unit }: { readonly figure: number; readonly limit: LabLimit | undefined; readonly unit: string }) {
  const most = restsOn(limit);
  return most !== undefined && figure > most ? (
    <span className="state-short block text-sm">
      beyond the checked {Math.floor(most)}
      {unit}
    </span>
  ) : null;
}

/** What a scale has to show where the load is not in the geometry. */
function ScaleNote({ reading, setUp }: Pick<SupportOn, 'reading' | 'setUp'>) {
  const scale = scaleToShow(setUp, reading);
  return scale ? (
    <span className="aside block text-sm">
      scale under the {scale.under}: {Math.round(scale.kg)} kg
    </span>
  ) : null;
}
