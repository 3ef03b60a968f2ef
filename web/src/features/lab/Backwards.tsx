import { Refusal } from '@myokinet/core/errors';
import { bandsFor, GRAVITY, type KnownBody, plannedLoad, type SetUp, type Solved, solveSetUp } from '@myokinet/core/statics';
import type { BandReply } from '@myokinet/core/contracts';
import { memo, useMemo, useState } from 'react';
import { NumberField } from '../../kit/EntryFields.tsx';
import { scaleToShow } from '../../kit/scaleToShow.ts';
import { type LabLimit, type LabLimits, restsOn } from './limitsOf.ts';
import { kilograms, percent, spanInWords } from './words.ts';

export interface BackwardsProps {
  readonly body: KnownBody;
  readonly setUp: SetUp;
  readonly limits: LabLimits;
  readonly bands: readonly BandReply[];
  readonly change: (setUp: SetUp) => void;
}

/** From a wanted load to the set-up that gives it, and which limit binds. */
export const Backwards = memo(function Backwards({ body, setUp, limits, bands, change }: BackwardsProps) {
  const [wanted, setWanted] = useState<number>(() => Math.round((plannedLoad(body, { setUp }) ?? 0.5) * 100));
  const [wristDeg, setWristDeg] = useState<number | undefined>(() => whole(restsOn(limits.wrist)));
  const [gripKg, setGripKg] = useState<number | undefined>(() => whole(restsOn(limits.hold)));
  const answer = useMemo(
    () => solved(body, setUp, { percent: wanted, wristDeg: known(wristDeg), gripKg: known(gripKg) }),
    [body, setUp, wanted, wristDeg, gripKg],
  );
  const picks = 'bandShare' in setUp || setUp.position === 'pull-up' || setUp.position === 'band-hang';
  return (
    <section aria-label="From a load to its set-up">
      <h2>From a load to its set-up</h2>
      <div className="mt-1 grid grid-cols-3 gap-3">
        <NumberField label="Wanted" unit="% of body weight" value={wanted} change={setWanted} />
        <NumberField label="Wrist at most" unit="°" value={wristDeg} change={setWristDeg} />
        <NumberField label="Grip holds" unit="kg a hand" value={gripKg} change={setGripKg} />
      </div>
      <p className="aside mt-1 text-sm">
        {limitInWords('Wrist', limits.wrist, '°')} {gripInWords(limits)}
      </p>
      {'problem' in answer ? (
        <p role="status" className="mt-2 border-s-4 border-warning ps-2.5 leading-snug">
          {answer.problem}
        </p>
      ) : (
        <div
          role="status"
          className={`mt-2 border-s-4 ps-2.5 leading-snug ${answer.binds === 'wanted load' ? 'border-primary' : 'border-warning'}`}
        >
          <p>{answer.inWords}</p>
          <p className="aside text-sm">
            Likely between {spanInWords(answer.reading.bands.loadShare, percent) ?? percent(answer.reading.loadShare)}.{' '}
            {answer.binds === 'wanted load' ? 'No limit binds.' : `The ${answer.binds} binds.`}
            {scaleInWords(answer)}
          </p>
          <button type="button" className="btn btn-sm btn-primary mt-1.5" onClick={() => change(answer.setUp)}>
            Set it up
          </button>
        </div>
      )}
      {picks && <BandPicks body={body} setUp={setUp} bands={bands} wantedBand={1 - wanted / 100} change={change} />}
    </section>
  );
});

const whole = (value: number | undefined) => (value === undefined ? undefined : Math.floor(value));
const known = (value: number | undefined) => (value === undefined || Number.isNaN(value) ? undefined : value);

function limitInWords(name: string, limit: LabLimit | undefined, unit: string): string {
  if (!limit) return `${name}: never checked, so no limit is known.`;
  if (limit.stale) return `${name}: checked ${limit.ageDays} days ago, too old to rest on; check it again.`;
  return `${name}: ${Math.round(limit.value)}${unit} less its error band of ${Math.round(limit.band)}${unit}, checked ${limit.ageDays} days ago.`;
}

function gripInWords({ grip, hold }: LabLimits): string {
  if (!grip || !hold || grip.stale) return limitInWords('Grip', grip, ' kg');
  return `Grip: ${Math.round(grip.value)} kg on the dynamometer, checked ${grip.ageDays} days ago, holds about ${Math.round(hold.value)} kg on a bar, less an error band of ${Math.round(hold.band)} kg.`;
}

function scaleInWords({ reading, setUp }: Solved): string {
  const scale = scaleToShow(setUp, reading);
  return scale ? ` A scale under the ${scale.under} then shows ${kilograms(scale.kg)}.` : '';
}

interface Asked {
  readonly percent: number;
  readonly wristDeg: number | undefined;
  readonly gripKg: number | undefined;
}

function solved(body: KnownBody, setUp: SetUp, { percent: share, wristDeg, gripKg }: Asked): Solved | { readonly problem: string } {
  try {
    return solveSetUp(body, setUp, {
      verticalShare: share / 100,
      wristLimitDeg: wristDeg,
      gripLimitN: gripKg === undefined ? undefined : gripKg * GRAVITY,
    });
  } catch (error) {
    if (error instanceof Refusal) return { problem: error.detail };
    throw error;
  }
}

interface BandPicksProps {
  readonly body: KnownBody;
  readonly setUp: SetUp;
  readonly bands: readonly BandReply[];
  readonly wantedBand: number;
  readonly change: (setUp: SetUp) => void;
}

const MOST_PICKS = 4;

/** The studio's bands in order of how near they come to the wanted help. */
function BandPicks({ body, setUp, bands, wantedBand, change }: BandPicksProps) {
  if (bands.length === 0) return <p className="aside mt-2 text-sm">No bands are known yet. They are kept in the library, under Bands.</p>;
  if (!(wantedBand > 0)) return null;
  const picks = bandsFor(
    body,
    bands.map((b) => b.curve),
    wantedBand,
  ).slice(0, MOST_PICKS);
  return (
    <>
      <h3 className="mt-3">Bands nearest to taking {percent(wantedBand)} at the bottom</h3>
      <ul className="mt-1 flex flex-col gap-1">
        {picks.map(({ band, under, assistance }) => (
          <li key={band.name + under} className="flex flex-wrap items-center gap-x-3 gap-y-1">
            <span className="flex-1 leading-snug">
              <span className="font-semibold">{band.name}</span> under the {under}: {percent(assistance.bottom)} at the bottom,{' '}
              {percent(assistance.top)} at the top
              {assistance.beyondReadings && <span className="state-mark"> (stretched further than it was read)</span>}
            </span>
            <button type="button" className="btn btn-xs" onClick={() => change({ ...setUp, band, under } as SetUp)}>
              Take it
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
