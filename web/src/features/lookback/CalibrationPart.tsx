import type { ForecastCalibrationReply, PastForecastReply } from '@myokinet/core/contracts';
import { type Calibration, HORIZON_DAYS } from '@myokinet/core/forecast';
import { shortDay } from '@myokinet/core/quantities';
import { calibrationInWords } from '@myokinet/core/words';
import { useState } from 'react';
import { Link } from 'react-router';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Empty } from '../../kit/Empty.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useCalibrationQuery } from './endpoints.ts';
import { Folded } from './Folded.tsx';
import { ShareBar } from './ShareBar.tsx';

/** Until the past is replayed it is asked again. */
const AGAIN_MS = 1500;
const SHOWN = 12;

/** How good forecasts of this studio's past would have been, each with the facts of its own day. */
export function CalibrationPart() {
  const [pollingInterval, setPollingInterval] = useState(AGAIN_MS);
  const { data, error, isLoading, refetch } = useCalibrationQuery(undefined, { pollingInterval, skipPollingIfUnfocused: true });
  const wanted = data?.ready ? 0 : AGAIN_MS;
  if (wanted !== pollingInterval) setPollingInterval(wanted);
  if (isLoading) return <Waiting />;
  return (
    <section aria-label="Calibration">
      <h2>How good forecasts were</h2>
      <p className="aside">
        Every gate of the past is forecast from its earlier checks, knowing only what was known then, and held against the day on which it
        opened.
      </p>
      <ProblemNote error={error} retry={() => void refetch()} />
      {data && !data.ready && (
        <p className="mt-3" role="status">
          The past is being replayed; this takes up to a minute.
        </p>
      )}
      {data?.ready && data.replays.length === 0 && (
        <div className="mt-3">
          <Empty title="Nothing to hold forecasts against">
            <p>It takes gates that opened after at least three checks.</p>
          </Empty>
        </div>
      )}
      {data?.ready && data.replays.length > 0 && data.calibration && <Replayed data={data} calibration={data.calibration} />}
    </section>
  );
}

function Replayed({ data, calibration }: { readonly data: ForecastCalibrationReply; readonly calibration: Calibration }) {
  const newest = [...data.replays].sort((a, b) => b.made.localeCompare(a.made));
  const { share } = calibration;
  const words = calibrationInWords(calibration);
  return (
    <>
      <p className="mt-1 text-lg">{words.inside}</p>
      {share && <ShareBar share={share.value} from={share.from} to={share.to} words={words.inside} aim={0.8} />}
      <p className="mt-2">
        {words.error} {words.widened}
      </p>
      <p className="aside text-sm">
        Black: the share inside; band: what it may truly be, 95% exact binomial, although forecasts of one gate are alike; red: eight of
        ten.
      </p>
      <h3 className="mt-4">Forecasts of the past, newest first</h3>
      <Folded shown={SHOWN}>
        {newest.map((replay) => (
          <PastForecast key={`${replay.traineeId} ${replay.made}`} replay={replay} at={new Date(data.at)} />
        ))}
      </Folded>
      <p className="aside mt-1 text-sm">bar: the range · line: as often before as after · dot: the day it opened · open ring: not yet</p>
    </>
  );
}

const WIDTH = 400;
const HEIGHT = 18;

function PastForecast({ replay, at }: { readonly replay: PastForecastReply; readonly at: Date }) {
  const { traineeId, name, rungName, made, early, median, late, happened, knownDays } = replay;
  const x = (days: number) => (Math.min(days, HORIZON_DAYS) / HORIZON_DAYS) * (WIDTH - 10);
  const end = x(happened ?? knownDays);
  const inside = happened !== undefined && happened >= early && (late === undefined || happened <= late);
  const words = `${Math.round(early)} to ${late === undefined ? `over ${HORIZON_DAYS}` : Math.round(late)} days; ${happened === undefined ? `not open after ${Math.round(knownDays)}` : `opened after ${Math.round(happened)}`}`;
  return (
    <li className="grid items-center gap-x-4 border-b border-base-300 py-1.5 sm:grid-cols-[17rem_minmax(0,1fr)_14rem]">
      <span className="leading-tight">
        <Link className="font-semibold hover:underline" to={`/trainees/${traineeId}`}>
          {name}
        </Link>
        <span className="aside block text-sm">
          {rungName}, as of {shortDay(made, at)}
        </span>
      </span>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="h-4.5 w-full" aria-hidden>
        <line x1={0} x2={WIDTH} y1={HEIGHT / 2} y2={HEIGHT / 2} stroke="currentColor" opacity={0.2} />
        <rect
          x={x(early)}
          y={4}
          width={Math.max(2, x(late ?? HORIZON_DAYS) - x(early))}
          height={HEIGHT - 8}
          className="text-primary"
          fill="currentColor"
          opacity={0.35}
        />
        <line x1={x(median)} x2={x(median)} y1={1} y2={HEIGHT - 1} stroke="currentColor" strokeWidth={2} />
        <circle
          cx={end + 5}
          cy={HEIGHT / 2}
          r={4.5}
          className={happened !== undefined && !inside ? 'text-error' : ''}
          fill={happened === undefined ? 'none' : 'currentColor'}
          stroke="currentColor"
          strokeWidth={1.5}
        />
      </svg>
      <span className="text-sm">{words}</span>
    </li>
  );
}
