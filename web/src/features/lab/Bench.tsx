import { Refusal } from '@myokinet/core/errors';
import type { BandReply } from '@myokinet/core/contracts';
import { handLoad, type HandLoadReading, type KnownBody, modelOf, type SetUp } from '@myokinet/core/statics';
import { useMemo, useState } from 'react';
import { Dials } from './Dials.tsx';
import { LabStage } from './LabStage.tsx';
import type { LabLimits } from './limitsOf.ts';
import { Readings } from './Readings.tsx';

export interface BenchProps {
  readonly body: KnownBody;
  readonly setUp: SetUp;
  readonly read: SetUpReading;
  readonly change: (setUp: SetUp) => void;
  readonly limits: LabLimits;
  readonly bands: readonly BandReply[];
  readonly title: string;
  /** Beside a second one: the readings come under the figure. */
  readonly narrow: boolean;
}

/** One set-up on the bench: figure, dials, readings. */
export function Bench({ body, setUp, read: { reading, problem }, change, limits, bands, title, narrow }: BenchProps) {
  return (
    <section
      aria-label={title}
      className={narrow ? 'flex min-w-0 flex-col gap-3' : 'grid gap-x-6 gap-y-3 lg:grid-cols-[minmax(0,1fr)_26rem]'}
    >
      <div className="min-w-0">
        {problem && (
          <p role="alert" className="border-s-4 border-error bg-error/10 px-3 py-1.5 leading-snug">
            {problem} The picture shows the last set-up that stood.
          </p>
        )}
        {reading && (
          <LabStage
            body={body}
            setUp={reading.setUp}
            reading={reading.reading}
            change={change}
            height={narrow ? 270 : 330}
            label={`${title}: ${modelOf(setUp.position).name}, side view`}
          />
        )}
        <Dials setUp={setUp} change={change} bands={bands} />
      </div>
      <div className="min-w-0">
        {reading && !problem && (
          <Readings body={body} setUp={setUp} reading={reading.reading} limits={limits} title={`Readings, ${title}`} />
        )}
      </div>
    </section>
  );
}

/** The reading of a set-up, or why there is none; then the last one that stood. */
export interface SetUpReading {
  readonly reading: Read | undefined;
  readonly problem: string | undefined;
}

interface Read {
  readonly setUp: SetUp;
  readonly reading: HandLoadReading;
}

export function useReading(body: KnownBody, setUp: SetUp): SetUpReading {
  const now = useMemo((): { readonly reading?: Read; readonly problem?: string } => {
    try {
      return { reading: { setUp, reading: handLoad(body, setUp) } };
    } catch (error) {
      if (error instanceof Refusal) return { problem: error.detail };
      throw error;
    }
  }, [body, setUp]);
  const [last, setLast] = useState(now.reading);
  if (now.reading && now.reading !== last) setLast(now.reading);
  return { reading: now.reading ?? last, problem: now.problem };
}
