import type { GateForecast } from '@myokinet/core/forecast';
import { useMemo, useState } from 'react';
import { useForecastsQuery } from './endpoints.ts';

/** Those that are not drawn yet are asked for again. */
const AGAIN_MS = 1500;

export interface Forecasts {
  readonly of: (traineeId: string) => GateForecast | undefined;
  /** Trainees who wait for theirs. */
  readonly pending: number;
}

/** Everybody's forecast, as it becomes known. */
export function useForecasts(): Forecasts {
  const [pollingInterval, setPollingInterval] = useState(0);
  const { data } = useForecastsQuery(undefined, { pollingInterval, skipPollingIfUnfocused: true });
  const wanted = data && data.pending > 0 ? AGAIN_MS : 0;
  if (wanted !== pollingInterval) setPollingInterval(wanted);
  return useMemo(() => {
    const known = new Map(data?.forecasts.map(({ traineeId, forecast }) => [traineeId, forecast]));
    return { of: (traineeId) => known.get(traineeId), pending: data?.pending ?? 0 };
  }, [data]);
}
