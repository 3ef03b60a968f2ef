import { CalibrationPart } from './CalibrationPart.tsx';
import { OutcomesPart } from './OutcomesPart.tsx';
import { TrendsPart } from './TrendsPart.tsx';

/** Whether the studio's gates and forecasts were right: for the curious, and for whoever sets the demands. */
export function LookingBackPage() {
  return (
    <div className="mx-auto w-full max-w-5xl space-y-8 px-4 py-5 sm:px-6">
      <title>Looking back · Myokinet</title>
      <header>
        <h1>Looking back</h1>
        <p className="aside">
          How the studio gets on, what became of those who were cleared, and how good forecasts were. Nothing here changes a gate.
        </p>
      </header>
      <TrendsPart />
      <OutcomesPart />
      <CalibrationPart />
    </div>
  );
}
