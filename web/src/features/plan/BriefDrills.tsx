import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { schoolsOf } from '@myokinet/core/schools';
import { weekStartOf } from '@myokinet/core/planning';
import { useSchools } from '../../client/LibraryContext.ts';
import { useCurrentTrainee, useFittedLibrary } from '../trainee/index.ts';
import type { BriefDraft } from './briefDraft.ts';
import { DrillPicker } from './DrillPicker.tsx';
import { usePlanFacts } from './PlanGate.tsx';
import { PlanRulesContext, planRules } from './planRules.ts';

const LISTS = {
  always: { title: 'In every week', says: 'Each week has it at least once.' },
  never: { title: 'In no week', says: 'It is never planned.' },
  likes: { title: 'Liked', says: 'Chosen where it serves as well as another.' },
  dislikes: { title: 'Disliked', says: 'Chosen only where it serves better.' },
} as const;
type ListName = keyof typeof LISTS;

interface BriefDrillsProps {
  readonly brief: BriefDraft;
  readonly change: (part: Partial<BriefDraft>) => void;
}

/** The coach's word on single drills, and the trainee's taste. */
export function BriefDrills({ brief, change }: BriefDrillsProps) {
  const trainee = useCurrentTrainee();
  const { readiness } = usePlanFacts();
  const library = useFittedLibrary();
  const schools = schoolsOf(useSchools(), {});
  const [picking, setPicking] = useState<ListName | undefined>();
  const now = new Date();
  const rules = planRules(trainee, readiness, { weekStart: weekStartOf(now), now, library, schools, brief });
  return (
    <PlanRulesContext value={rules}>
      <section aria-label="Single drills" className="grid gap-x-8 gap-y-3 sm:grid-cols-2">
        {(Object.keys(LISTS) as ListName[]).map((list) => (
          <div key={list}>
            <h3>{LISTS[list].title}</h3>
            <p className="aside text-sm">{LISTS[list].says}</p>
            <ul className="mt-1 flex flex-wrap gap-1.5">
              {brief[list].map((id) => (
                <li key={id} className="flex items-center gap-1 rounded border border-base-300 ps-2 text-sm">
                  {library.drill(id).name}
                  <button
                    type="button"
                    className="btn btn-ghost btn-xs btn-square"
                    aria-label={`Take ${library.drill(id).name} off “${LISTS[list].title}”`}
                    onClick={() => change({ [list]: brief[list].filter((d) => d !== id) })}
                  >
                    <X size={14} aria-hidden />
                  </button>
                </li>
              ))}
              <li>
                <button type="button" className="btn btn-xs" aria-label={`Add to “${LISTS[list].title}”`} onClick={() => setPicking(list)}>
                  <Plus size={14} aria-hidden /> Add
                </button>
              </li>
            </ul>
          </div>
        ))}
      </section>
      {picking && (
        <DrillPicker
          taken={brief[picking]}
          pick={({ id }) => {
            change({ [picking]: [...brief[picking], id] });
            setPicking(undefined);
          }}
          close={() => setPicking(undefined)}
        />
      )}
    </PlanRulesContext>
  );
}
