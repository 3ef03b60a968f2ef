import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { PHASES, UNIT_WORDS } from '@myokinet/core/drills';
import { ROUTINE_LIMITS, type RoutineBlock, type RoutineStep } from '@myokinet/core/routines';
import { GripVertical, X } from 'lucide-react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { StillBody } from '../../kit/body/StillBody.tsx';
import { NumberCell } from '../../kit/NumberCell.tsx';

interface StepRowProps {
  readonly step: RoutineStep;
  readonly block: RoutineBlock;
  readonly name: string;
  /** What a trainee may do of it, where one is chosen. */
  readonly verdict: string | undefined;
  readonly change: (step: RoutineStep) => void;
  readonly remove: () => void;
}

const LONGEST_REST = 600;

/** One step: dragged by its handle or by keys, its amount typed. */
export function StepRow({ step, block, name, verdict, change, remove }: StepRowProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: step.id });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition: transition ?? '' }}
      className={`flex items-center gap-2 border-t border-base-300 py-1 ${isDragging ? 'relative z-10 bg-base-200' : ''}`}
    >
      <button
        type="button"
        className="btn btn-ghost btn-sm btn-square cursor-grab"
        aria-label={`Move ${name}`}
        {...attributes}
        {...listeners}
      >
        <GripVertical size={16} aria-hidden />
      </button>
      <Figure step={step} />
      <div className="min-w-0 flex-1 leading-snug">
        <p className="font-semibold">{name}</p>
        <Fields step={step} block={block} name={name} change={change} />
        {verdict && <p className="state-mark text-sm">{verdict}</p>}
      </div>
      <button type="button" className="btn btn-ghost btn-sm btn-square" aria-label={`Remove ${name}`} onClick={remove}>
        <X size={16} aria-hidden />
      </button>
    </li>
  );
}

function Figure({ step }: { readonly step: RoutineStep }) {
  const library = useLibrary();
  if (step.kind !== 'drill' || !library.hasDrill(step.drillId)) return <span className="w-11" />;
  return <StillBody of={library.drill(step.drillId)} size={44} />;
}

function Fields({ step, block, name, change }: Pick<StepRowProps, 'step' | 'block' | 'name' | 'change'>) {
  const library = useLibrary();
  switch (step.kind) {
    case 'drill': {
      const dose = library.hasDrill(step.drillId) ? library.drill(step.drillId).dose : undefined;
      const { min: least, max: most } = ROUTINE_LIMITS.amount;
      return (
        <p className="flex flex-wrap items-center gap-1 text-sm">
          {block.way === 'stations' ? (
            `${block.breaths} breaths${dose?.perSide ? ' a side' : ''}`
          ) : (
            <>
              <NumberCell
                label={`Amount of ${name}`}
                value={step.amount}
                least={least}
                most={most}
                set={(amount) => change({ ...step, amount })}
              />
              {dose ? UNIT_WORDS[dose.unit] : ''}
              {dose?.perSide ? ' a side' : ''}
            </>
          )}
          , then rest
          <NumberCell
            label={`Rest after ${name}, seconds`}
            value={step.restSeconds}
            least={0}
            most={LONGEST_REST}
            set={(restSeconds) => change({ ...step, restSeconds })}
          />
          s
        </p>
      );
    }
    case 'choice':
      return (
        <p className="flex flex-wrap items-center gap-1 text-sm">
          <select
            className="select select-xs w-auto"
            aria-label={`What fills ${name}`}
            value={step.phase}
            onChange={(e) => change({ ...step, phase: PHASES.find((p) => p === e.target.value) ?? step.phase })}
          >
            {PHASES.map((phase) => (
              <option key={phase} value={phase}>
                {phase}
              </option>
            ))}
          </select>
          for what holds each back most,
          <NumberCell
            label={`Seconds of ${name}`}
            value={step.seconds}
            most={ROUTINE_LIMITS.pause.max}
            set={(seconds) => change({ ...step, seconds })}
          />
          s, then rest
          <NumberCell
            label={`Rest after ${name}, seconds`}
            value={step.restSeconds}
            least={0}
            most={LONGEST_REST}
            set={(restSeconds) => change({ ...step, restSeconds })}
          />
          s
        </p>
      );
    case 'pause':
    case 'transition':
      return (
        <p className="flex flex-wrap items-center gap-1 text-sm">
          {step.kind === 'transition' && (
            <input
              className="input input-xs w-48"
              aria-label="What to do in between"
              maxLength={80}
              placeholder="From hands and knees to lying"
              value={step.text}
              onChange={(e) => change({ ...step, text: e.target.value })}
            />
          )}
          <NumberCell
            label={`Seconds of the ${step.kind}`}
            value={step.seconds}
            most={ROUTINE_LIMITS.pause.max}
            set={(seconds) => change({ ...step, seconds })}
          />
          s
        </p>
      );
    case 'breath':
      return (
        <p className="flex items-center gap-1 text-sm">
          <NumberCell
            label="Breaths"
            value={step.breaths}
            most={ROUTINE_LIMITS.breaths.max}
            set={(breaths) => change({ ...step, breaths })}
          />
          slow breaths
        </p>
      );
  }
}
