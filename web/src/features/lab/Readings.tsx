import {
  assumptionInWords,
  type HandLoadReading,
  type KnownBody,
  publishedFor,
  type SetUp,
  swing,
  swingGrip,
} from '@myokinet/core/statics';
import type { LabLimits } from './limitsOf.ts';
import { percent, rowsOf } from './words.ts';

export interface ReadingsProps {
  readonly body: KnownBody;
  readonly setUp: SetUp;
  readonly reading: HandLoadReading;
  readonly limits: LabLimits;
  readonly title: string;
}

/** What a set-up asks, each figure with its error band, and where not to trust it. */
export function Readings({ body, setUp, reading, limits, title }: ReadingsProps) {
  const published = publishedFor(setUp);
  return (
    <section aria-label={title}>
      <table className="plain-table text-sm leading-tight">
        <caption className="sr-only">{title}</caption>
        <thead>
          <tr>
            <th scope="col">Asks for</th>
            <th scope="col">Figure</th>
            <th scope="col">Likely between</th>
          </tr>
        </thead>
        <tbody>
          {rowsOf(reading, setUp, body.massKg).map(({ name, value, band, note }, i) => (
            <tr key={name} className={i === 0 ? 'font-semibold' : ''}>
              <th scope="row" className="font-normal whitespace-normal">
                {name}
              </th>
              <td>
                {value}
                {note && <span className="aside block font-normal">{note}</span>}
              </td>
              <td className="font-normal">{band ?? <span className="aside">exact</span>}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <ul className="mt-2 flex flex-col gap-1 text-sm leading-snug">
        <Standing reading={reading} />
        {reading.widest && <li className="aside">The band is widest if {assumptionInWords(reading.widest)}.</li>}
        {setUp.position === 'swing' && <SwingNote body={body} setUp={setUp} reading={reading} limits={limits} />}
        {published.map((p) => (
          <li key={p.citation} className="aside">
            Measured for this set-up: {p.percent}%, {p.citation}.
          </li>
        ))}
        {reading.honest.map((sentence) => (
          <li key={sentence} className="border-s-4 border-warning ps-2">
            {sentence}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Friction that every floor has. */
const LITTLE = 0.05;

function Standing({ reading: { stands } }: { readonly reading: HandLoadReading }) {
  if (!stands.ok)
    return (
      <li className="border-s-4 border-error ps-2">
        <span className="state-short font-semibold">Does not stand.</span> {stands.reason}
      </li>
    );
  const needs = [
    ...((stands.handFriction ?? 0) < LITTLE ? [] : [`hands ${percent(stands.handFriction ?? 0)}`]),
    ...((stands.footFriction ?? 0) < LITTLE ? [] : [`feet ${percent(stands.footFriction ?? 0)}`]),
  ];
  if (needs.length === 0) return null;
  return <li>Stands{needs.length > 0 ? ` on a floor that holds ${needs.join(', ')} of the load sideways` : ''}.</li>;
}

function SwingNote({ body, setUp, reading, limits }: Omit<ReadingsProps, 'title'>) {
  const amplitude = setUp.position === 'swing' ? (setUp.amplitudeDeg ?? 20) : 0;
  const { periodS, peakTensionRatio, pointMassBound } = swing(body, amplitude);
  const { grip } = limits;
  const asks = swingGrip(reading.gripPerHandN, grip && !grip.stale ? { kg: grip.value, bandKg: grip.band } : undefined);
  return (
    <>
      <li>
        One swing there and back takes {periodS.toFixed(1)} s. At the lowest point the bar holds {peakTensionRatio.toFixed(2)} times body
        weight; a point mass on a string would pull {pointMassBound.toFixed(2)} times, and no stiff body more.
      </li>
      <li className={asks.state === 'short' ? 'state-short font-semibold' : ''}>
        {asks.inWords}
        {grip?.stale && <span className="aside"> (Grip was read {grip.ageDays} days ago: too old to rest on.)</span>}
      </li>
      <li className="aside">That a hand holds half as much again as it closes with is a rule of thumb, not a reading.</li>
    </>
  );
}
