import type { ScreeningsReply } from '@myokinet/core/contracts';
import type { Ladder, Rung } from '@myokinet/core/ladders';
import { exclusionByCaution } from '@myokinet/core/library';
import { worksRebuilding } from '@myokinet/core/planning';
import { type CautionInForce, type CautionKind, cautionOf, isLiftable, openedBy, type ScreeningOutcome } from '@myokinet/core/safety';
import { CircleCheck, Lock, OctagonAlert } from 'lucide-react';
import { useState } from 'react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { useCurrentTrainee } from '../trainee/index.ts';
import { ConsultationForm } from './ConsultationForm.tsx';
import { permitInWords, CAUTION_WORDS, causeInWords, liftedInWords } from '@myokinet/core/words';

const KIND_WORDS: Readonly<Record<CautionKind, string>> = {
  lock: 'Locks every gate and everything straining',
  'ask first': 'Waits for a licensed professional',
  stands: 'Stands as long as the answer does',
  note: 'For your attention',
};

export interface ConsequencesProps {
  readonly outcome: ScreeningOutcome;
  readonly screening: ScreeningsReply;
  /** The answers are not saved yet. */
  readonly unsaved: boolean;
}

/** What the answers mean: which answer caused what, what it excludes, and what a professional's word has opened. */
export function Consequences({ outcome, screening, unsaved }: ConsequencesProps) {
  return (
    <section aria-label="What the answers mean" className="sheet p-3.5">
      <h2>{unsaved ? 'What these answers would mean' : 'What the answers mean'}</h2>
      {outcome.cautions.length === 0 && outcome.lifted.length === 0 && (
        <p className="mt-1.5 flex items-center gap-2">
          <CircleCheck size={18} className="text-success" aria-hidden /> No caution so far.
        </p>
      )}
      <ul>
        {outcome.cautions
          .filter((c) => !c.permit)
          .map((caution) => (
            <CautionEntry key={caution.id} caution={caution} />
          ))}
      </ul>
      {outcome.lifted.length > 0 && (
        <>
          <h3 className="mt-3">Opened by a professional’s word</h3>
          <ul className="text-sm">
            {outcome.lifted.map((lifted) => (
              <li key={lifted.id} className="mt-1 border-s-4 border-success ps-2.5">
                <span className="font-semibold">{CAUTION_WORDS[lifted.id].name}:</span> {liftedInWords(lifted)}{' '}
                <span className="block">{permitInWords(lifted.permit)}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      {screening.current && !unsaved && (
        <ConsultationForm screeningId={screening.current.id} cautions={outcome.cautions.filter((c) => isLiftable(c.id) && !c.permit)} />
      )}
      <p className="aside mt-3 text-sm">Coaching aid, not medical advice. A licensed clinician decides about injuries.</p>
    </section>
  );
}

function CautionEntry({ caution }: { readonly caution: CautionInForce }) {
  const library = useLibrary();
  const trainee = useCurrentTrainee();
  const [open, setOpen] = useState(false);
  const { kind } = cautionOf(caution.id);
  const { name, consequence } = CAUTION_WORDS[caution.id];
  const drills = library.drills.filter((d) => exclusionByCaution(d, [caution]));
  const general = drills.filter((d) => !d.rung);
  const ladder = library.ladder(trainee.ladderId);
  const rungs = ladder.rungs.filter((r) => library.hasDrill(r.practice) && exclusionByCaution(library.drill(r.practice), [caution]));
  const reduced = library.drills.filter((d) => !exclusionByCaution(d, [caution]) && worksRebuilding(d, [caution])).length;
  const Icon = kind === 'lock' ? Lock : OctagonAlert;
  return (
    <li className="mt-2.5 border-s-4 border-error ps-2.5 leading-snug">
      <p className="flex items-start gap-1.5">
        <Icon size={16} className="mt-0.5 flex-none text-error" aria-hidden />
        <span>
          <span className="font-semibold">{name}.</span> {consequence}
        </span>
      </p>
      <p className="text-sm">
        <span className="aside">Because:</span> {caution.because.map(causeInWords).join('; ')}.
      </p>
      <p className="aside text-sm">
        {KIND_WORDS[kind]}.{openedBy(caution.id).length > 0 && ` Opened by: ${openedBy(caution.id).join(', ')}.`}
        {drills.length > 0 && ` Excludes ${general.length} drills`}
        {rungs.length > 0 && ` and ${rungsInWords(rungs, ladder)}`}
        {drills.length > 0 && '.'}
        {reduced > 0 && ` ${reduced} drills go on at reduced doses.`}
      </p>
      {general.length > 0 && (
        <>
          <button type="button" className="link text-sm" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? 'Hide the drills' : 'Which drills?'}
          </button>
          {open && <p className="text-sm">{general.map((d) => d.name).join(' · ')}</p>}
        </>
      )}
    </li>
  );
}

/** Every rung of a ladder, or which of them. */
function rungsInWords(rungs: readonly Rung[], ladder: Ladder): string {
  if (rungs.length === ladder.rungs.length) return `every rung of ${ladder.name}`;
  return `${rungs.length} ${rungs.length === 1 ? 'rung' : 'rungs'} of ${ladder.name}: ${rungs.map((r) => r.name).join(', ')}`;
}
