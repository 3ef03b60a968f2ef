import { doseInWords, isLoaded, handLoadInWords } from '@myokinet/core/drills';
import { type Ladder, type LadderFinding, ladderFindings, type Rung } from '@myokinet/core/ladders';
import { originInWords } from '@myokinet/core/reference';
import { Pencil } from 'lucide-react';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { asBegun, shownOf } from '../../kit/body/shownOf.ts';
import { StillBody } from '../../kit/body/StillBody.tsx';
import { useLibrary, useSchools } from '../../client/LibraryContext.ts';
import { CopyLink } from './CopyLink.tsx';
import { NoSuchEntry } from './NoSuchEntry.tsx';
import { StandingNote } from './StandingNote.tsx';
import { SupportNote } from './SupportNote.tsx';
import { ANY_BODY_MODEL } from './words.ts';
import { CAUTION_WORDS, CLIMBS_WORDS, ladderFindingInWords, rungDemandInWords } from '@myokinet/core/words';

export function LadderPage() {
  const { ladderId = '' } = useParams();
  const library = useLibrary();
  if (!library.hasLadder(ladderId)) return <NoSuchEntry kind="ladder" />;
  return <Laddered ladder={library.ladder(ladderId)} />;
}

function Laddered({ ladder }: { readonly ladder: Ladder }) {
  const library = useLibrary();
  const { branchOf, carries = [] } = ladder;
  const findings = useMemo(() => ladderFindings(ladder, ANY_BODY_MODEL, library.measure), [ladder, library]);
  return (
    <article aria-labelledby="ladder-name">
      <title>{`${ladder.name} · Library · Myokinet`}</title>
      <StandingNote kind="ladder" id={ladder.id} now={new Date()} />
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 id="ladder-name" className="!text-2xl">
          {ladder.name}
        </h2>
        <p className="aside">
          {ladder.kind}, {ladder.rungs.length} rungs
        </p>
        <CopyLink kind="ladder" id={ladder.id} />
        <Link className="btn btn-sm" to="edit">
          <Pencil size={15} aria-hidden /> Edit for the studio
        </Link>
      </div>
      <p>{ladder.aim}</p>
      {branchOf && library.hasLadder(branchOf.ladderId) && (
        <p className="aside">
          Branches off{' '}
          <Link className="link" to={`/library/ladders/${branchOf.ladderId}`}>
            {library.ladder(branchOf.ladderId).name}
          </Link>{' '}
          at {library.rungName(branchOf.ladderId, branchOf.rungId)}.
        </p>
      )}
      {ladder.warnings.map((warning) => (
        <p key={warning} className="mt-1.5 border-s-4 border-error ps-2.5 leading-snug">
          {warning}
        </p>
      ))}
      {ladder.preparation && ladder.preparation.length > 0 && (
        <p className="mt-1.5 leading-snug">
          <span className="aside">Prepared by:</span>{' '}
          {ladder.preparation
            .filter((id) => library.hasDrill(id))
            .map((id, i) => (
              <span key={id}>
                {i > 0 && ', '}
                <Link className="link" to={`/library/drills/${id}`}>
                  {library.drill(id).name}
                </Link>
              </span>
            ))}
          . Below the first rung, clean sessions hold one of these.
        </p>
      )}
      {carries.length > 0 && (
        <p className="aside mt-1.5 leading-snug">
          Signed before the ladder changed:{' '}
          {carries.map(({ name, to }) => `“${name}” counts as “${library.rungName(ladder.id, to)}”`).join(', ')}.
        </p>
      )}
      <ol reversed className="mt-3">
        {[...ladder.rungs].reverse().map((rung) => (
          <RungEntry
            key={rung.id}
            rung={rung}
            place={ladder.rungs.indexOf(rung) + 1}
            findings={findings.filter((f) => f.rungId === rung.id)}
          />
        ))}
      </ol>
    </article>
  );
}

function RungEntry({
  rung,
  place,
  findings,
}: {
  readonly rung: Rung;
  readonly place: number;
  /** What the model of the body holds against it. */
  readonly findings: readonly LadderFinding[];
}) {
  const library = useLibrary();
  const { progress } = useSchools();
  const practice = library.hasDrill(rung.practice) ? library.drill(rung.practice) : undefined;
  return (
    <li className="grid gap-x-6 gap-y-1 border-t border-base-300 py-2.5 md:grid-cols-[4rem_minmax(0,4fr)_minmax(0,6fr)]">
      <StillBody at={asBegun} of={shownOf(rung)} size={62} />
      <div className="leading-snug">
        <h3>
          {place}. {rung.name}
        </h3>
        <p>{rung.setUp}</p>
        {rung.support && <SupportNote support={rung.support} />}
        {rung.climbs && <p className="text-sm">It climbs {CLIMBS_WORDS[rung.climbs]}.</p>}
        {findings.map((finding) => (
          <p key={finding.code} className="state-mark text-sm">
            {ladderFindingInWords(finding)}
          </p>
        ))}
        {practice && (
          <p className="mt-1 text-sm">
            Practice:{' '}
            <Link className="link" to={`/library/drills/${practice.id}`}>
              {doseInWords(practice.dose, practice.dose, progress)}
            </Link>
            <span className="aside">
              , hands {handLoadInWords(practice)}
              {isLoaded(practice) ? '; 48 hours before the next loaded day' : ''}
            </span>
          </p>
        )}
        {practice && practice.excludedBy.length > 0 && (
          <p className="aside mt-1 text-sm">
            Closed by: {practice.excludedBy.map((id) => CAUTION_WORDS[id].name.toLowerCase()).join(', ')}.
          </p>
        )}
      </div>
      <table className="w-full table-fixed self-start text-sm">
        <caption className="sr-only">Demands of {rung.name}</caption>
        <tbody>
          {rung.demands.map((demand) => (
            <tr key={demand.measureId}>
              <th scope="row" className="w-[46%] pe-3 text-start align-top font-normal">
                {library.measure(demand.measureId).name}
              </th>
              <td className="pe-3 align-top font-semibold">{rungDemandInWords(demand, library.measure(demand.measureId))}</td>
              <td className="aside w-[20%] align-top max-sm:hidden" title={originInWords(demand.origin)}>
                {demand.origin.kind}
                {demand.allowOnTheMark ? '; on the mark passes' : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </li>
  );
}
