import type { GateForecast, GateOutlook, Narrowing } from '@myokinet/core/forecast';
import { type Remote, wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { Forecaster } from './drawFutures.ts';

/** Futures are drawn away from the page; where there are no workers, here. */
let forecaster: Promise<Forecaster | Remote<Forecaster>> | undefined;
const forecasterHere = () =>
  (forecaster ??=
    typeof Worker === 'undefined'
      ? import('./drawFutures.ts').then((m) => m.forecaster)
      : Promise.resolve(wrap<Forecaster>(new Worker(new URL('./forecastWorker.ts', import.meta.url), { type: 'module' }))));

function useAnswer<A>(outlook: GateOutlook | undefined, ask: (outlook: GateOutlook) => Promise<A>): A | undefined {
  const [last, setLast] = useState<A>();
  useEffect(() => {
    if (!outlook) return undefined;
    let over = false;
    // Where nothing can be drawn, nothing is shown.
    ask(outlook).then(
      (answer) => {
        if (!over) setLast(answer);
      },
      () => undefined,
    );
    return () => {
      over = true;
    };
    // The question is the outlook; how it is asked does not change.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [outlook]);
  // While a slider moves the last answer stays: it is a moment old, and a gap would jump.
  return outlook && last;
}

/** The forecast of an outlook; the one before it while it is drawn. */
export const useGateForecast = (outlook: GateOutlook | undefined, seed: string): GateForecast | undefined =>
  useAnswer(outlook, async (one) => (await forecasterHere()).gate(one, seed));

/** How each further check would narrow it, the most telling first. */
export const useNarrowing = (outlook: GateOutlook | undefined, seed: string): readonly Narrowing[] | undefined =>
  useAnswer(outlook, async (one) => (await forecasterHere()).narrowing(one, seed));
