import type { PlanBriefDto } from '@myokinet/core/contracts';
import { EQUIPMENT, EQUIPMENT_IDS } from '@myokinet/core/drills';
import { BRIEF_LIMITS, PLACES, type Place } from '@myokinet/core/planning';
import { newId } from '../../client/newId.ts';
import { useDesk } from '../../client/useDesk.ts';
import { ConflictNote } from '../../kit/ConflictNote.tsx';
import { NumberField } from '../../kit/EntryFields.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { UndoRedo } from '../../kit/UndoRedo.tsx';
import { useSaveBriefMutation } from './endpoints.ts';
import { useCurrentTrainee } from '../trainee/index.ts';
import type { BriefDraft } from './briefDraft.ts';
import { BriefDays } from './BriefDays.tsx';
import { BriefDrills } from './BriefDrills.tsx';
import { BriefEvents } from './BriefEvents.tsx';
import { BriefGoal } from './BriefGoal.tsx';
import { BriefPauses } from './BriefPauses.tsx';
import { usePlanFacts } from './PlanGate.tsx';
import { UnreadableNote } from '../../kit/UnreadableNote.tsx';

const PLACE_IDS = Object.keys(PLACES) as readonly Place[];

/** What the weeks must fit: days, places, other training, wishes and rules. */
export function BriefPage() {
  const trainee = useCurrentTrainee();
  const {
    brief: { unreadable, ...brief },
  } = usePlanFacts();
  const [send, sending] = useSaveBriefMutation();
  const desk = useDesk<BriefDraft>({
    key: `brief:${trainee.id}`,
    initial: () => ({ ...brief, revision: newId(), basedOn: brief.revision }),
    version: brief.revision ?? 'profile',
    send: (body) => send({ traineeId: trainee.id, body: body as unknown as PlanBriefDto }),
    sending,
    rebase: (mine) => ({ ...mine, basedOn: brief.revision }),
  });
  const { value } = desk;
  const change = (part: Partial<BriefDraft>) => desk.edit({ ...value, ...part });
  return (
    <div className="max-w-7xl">
      <div className="flex flex-wrap items-center gap-2">
        <h2>What the weeks must fit</h2>
        {brief.revision === null && (
          <span className="aside text-sm">Nothing was written yet: the profile’s days, minutes and equipment stand.</span>
        )}
        <div className="ms-auto flex gap-2">
          <UndoRedo desk={desk} />
          {desk.unsaved && (
            <>
              <button type="button" className="btn btn-sm btn-ghost" onClick={desk.startOver}>
                Throw changes away
              </button>
              <button type="button" className="btn btn-sm btn-primary" disabled={desk.saving} onClick={() => void desk.save()}>
                {desk.saving ? 'Saving…' : 'Save the brief'}
              </button>
            </>
          )}
        </div>
      </div>
      <UnreadableNote sentences={unreadable ? [unreadable] : []} />
      {desk.conflict ? (
        <ConflictNote what="this brief" takeTheirs={desk.startOver} keepMine={desk.keepMine} />
      ) : (
        <ProblemNote error={desk.error} retry={() => void desk.save()} />
      )}
      <div className="mt-3 grid gap-x-10 gap-y-6 lg:grid-cols-[3fr_2fr]">
        <div className="grid content-start gap-6">
          <BriefGoal goal={value.goal ?? null} change={(goal) => change({ goal })} />
          <BriefDays days={value.days} change={(days) => change({ days })} />
          <fieldset className="grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
            <legend className="mb-1 font-semibold">Block and growth</legend>
            <NumberField
              label="Weeks"
              unit={`${BRIEF_LIMITS.weeks.min}–${BRIEF_LIMITS.weeks.max}`}
              value={value.weeks}
              change={(weeks) => change({ weeks })}
            />
            <NumberField
              label="Light week each"
              unit="0 never"
              value={value.deloadEvery}
              change={(deloadEvery) => change({ deloadEvery })}
            />
            <NumberField
              label="Growth"
              unit="% at most"
              value={Math.round(value.ramp * 100)}
              change={(percent) => change({ ramp: percent / 100 })}
            />
            <NumberField
              label="Push, pull apart"
              unit="% at most"
              value={Math.round(value.balance * 100)}
              change={(percent) => change({ balance: percent / 100 })}
            />
            <p className="aside col-span-full text-sm">
              Usual: a light week every fourth, 10% more load on the hands a week at most (common practice, no source; never more than 20%,
              and 5% under 18, from 60, with lax joints, after a birth and while something is being rebuilt), push and pull within 20% of
              each other (project default; 100 lets them be as they come).
            </p>
          </fieldset>
          <BriefPauses pauses={value.pauses} change={(pauses) => change({ pauses })} />
        </div>
        <div className="grid content-start gap-6">
          <EquipmentTable equipment={value.equipment} change={(equipment) => change({ equipment })} />
        </div>
        <div className="lg:col-span-2">
          <BriefEvents events={value.events} change={(events) => change({ events })} />
        </div>
        <div className="lg:col-span-2">
          <BriefDrills brief={value} change={change} />
        </div>
      </div>
    </div>
  );
}

interface EquipmentTableProps {
  readonly equipment: BriefDraft['equipment'];
  readonly change: (equipment: BriefDraft['equipment']) => void;
}

function EquipmentTable({ equipment, change }: EquipmentTableProps) {
  const toggle = (place: Place, id: (typeof EQUIPMENT_IDS)[number]) => {
    const has = equipment[place].includes(id);
    change({ ...equipment, [place]: has ? equipment[place].filter((e) => e !== id) : [...equipment[place], id] });
  };
  return (
    <div className="relative overflow-x-auto">
      <table className="plain-table w-full text-sm">
        <caption className="mb-1 text-start text-base font-semibold">What is at hand where</caption>
        <thead>
          <tr>
            <th scope="col">Equipment</th>
            {PLACE_IDS.map((p) => (
              <th key={p} scope="col" className="text-center">
                {PLACES[p]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {EQUIPMENT_IDS.map((id) => (
            <tr key={id}>
              <th scope="row" className="font-normal">
                {EQUIPMENT[id].charAt(0).toUpperCase() + EQUIPMENT[id].slice(1)}
              </th>
              {PLACE_IDS.map((p) => (
                <td key={p} className="text-center">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-xs"
                    aria-label={`${EQUIPMENT[id]}, ${PLACES[p]}`}
                    checked={equipment[p].includes(id)}
                    onChange={() => toggle(p, id)}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
