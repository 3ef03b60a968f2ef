import { Refusal } from '@myokinet/core/errors';
import { type KnownBody, setUpInWords, supportOn, type SupportPlan } from '@myokinet/core/statics';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { labLink } from './labLink.ts';
import { scaleToShow } from '../../kit/scaleToShow.ts';

interface SetUpLineProps {
  readonly support: SupportPlan;
  readonly body: KnownBody;
  readonly traineeId: string;
}

/** A drill's set-up on a trainee in one line: how to arrange it, and what the hands then carry. */
export function SetUpLine({ support, body, traineeId }: SetUpLineProps) {
  const on = useMemo(() => {
    try {
      return supportOn(body, support);
    } catch (error) {
      if (error instanceof Refusal) return { refused: error.detail };
      throw error;
    }
  }, [body, support]);
  if ('refused' in on) return <p className="state-mark text-sm leading-snug">{on.refused}</p>;
  const { loadShare } = on.reading;
  const scale = scaleToShow(on.setUp, on.reading);
  return (
    <p className="text-sm leading-snug">
      <Link className="link" to={labLink(traineeId, on.setUp)}>
        Set-up
      </Link>
      : {setUpInWords(on.setUp)}
      {scale ? ` (a scale under the ${scale.under} shows ${Math.round(scale.kg)} kg)` : ''}; {Math.round(loadShare * 100)}% of body weight
      on the arms.
      {on.problem && <span className="state-mark"> {on.problem}</span>}
    </p>
  );
}
