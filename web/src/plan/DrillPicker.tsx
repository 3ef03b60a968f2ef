import { type Drill, doseInWords, PHASES } from '@myokinet/core/drills';
import { exclusionOf } from '@myokinet/core/planning';
import { Command } from 'cmdk';
import { Overlay } from '../app/Overlay.tsx';
import { usePlanRules } from './planRules.ts';

export interface DrillPickerProps {
  readonly taken: readonly string[];
  readonly pick: (drill: Drill) => void;
  readonly close: () => void;
}

/** Every drill by phase, found as one types; those that may not be used say why and stay closed. */
export function DrillPicker({ taken, pick, close }: DrillPickerProps) {
  const rules = usePlanRules();
  return (
    <Overlay label="Add a drill" close={close}>
      <Command label="Add a drill" loop>
        <Command.Input className="input w-full border-0 border-b border-base-300 text-lg" placeholder="Name, joint or phase" />
        <Command.List className="max-h-96 overflow-y-auto p-2">
          <Command.Empty className="p-3">No drill of that name.</Command.Empty>
          {PHASES.map((phase) => (
            <Command.Group key={phase} heading={phase} className="aside text-sm">
              {rules.library.drills
                .filter((d) => d.phase === phase && !taken.includes(d.id))
                .map((drill) => {
                  const why = exclusionOf(drill, rules);
                  return (
                    <Command.Item
                      key={drill.id}
                      value={`${drill.name} ${drill.joint} ${drill.phase} ${drill.motions.join(' ')} ${drill.id}`}
                      disabled={why !== undefined}
                      onSelect={() => pick(drill)}
                      className="cursor-pointer rounded px-3 py-1.5 text-base-content data-[disabled=true]:cursor-not-allowed data-[disabled=true]:text-base-content/70 data-[selected=true]:bg-primary data-[selected=true]:text-primary-content"
                    >
                      <span className="block text-base leading-tight">{drill.name}</span>
                      <span className="block leading-tight">{why ?? doseInWords(drill.dose, drill.dose, rules.schools.progress)}</span>
                    </Command.Item>
                  );
                })}
            </Command.Group>
          ))}
        </Command.List>
      </Command>
    </Overlay>
  );
}
