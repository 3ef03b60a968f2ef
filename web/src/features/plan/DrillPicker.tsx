import { type Dose, type Drill, doseInWords, PHASES } from '@myokinet/core/drills';
import { drillSearch } from '@myokinet/core/library';
import { type Instead, mayDo, mayInWords, type Place, startingDose, type When } from '@myokinet/core/planning';
import { Command } from 'cmdk';
import { useMemo, useState } from 'react';
import { StillBody } from '../../kit/body/StillBody.tsx';
import { Overlay } from '../../kit/Overlay.tsx';
import { InsteadOffer } from './InsteadOffer.tsx';
import { Overrule } from './Overrule.tsx';
import { usePlanRules } from './planRules.ts';

export interface DrillPickerProps {
  /** Drills that the session has already: one may come twice. */
  readonly taken: readonly string[];
  /** Where it is to be done: what is at hand there decides. */
  readonly place?: Place;
  /** When it is to be done, where that matters. */
  readonly when?: When;
  /** What was done is put on record, whatever a plan may have. */
  readonly wasDone?: boolean;
  /** Takes a drill at the dose that it may have. */
  readonly pick: (drill: Drill, dose: Dose) => void;
  /** Takes a drill that a rule keeps out, with the coach's reason; never one that a caution closes. */
  readonly overrule?: (drill: Drill, dose: Dose, reason: string) => void;
  /** Takes another version in place of a drill that may not be done. */
  readonly takeInstead?: (instead: Instead, drill: Drill) => void;
  readonly close: () => void;
}

/** More than anybody reads; whoever types finds the rest. */
const MOST_SHOWN = 80;

/** Every drill by phase, the best match first as one types; those that may not be used come last and say why. */
export function DrillPicker({ taken, place = 'gym', when, wasDone = false, pick, overrule, takeInstead, close }: DrillPickerProps) {
  const rules = usePlanRules();
  const [text, setText] = useState('');
  const [asking, setAsking] = useState<
    { readonly drill: Drill; readonly dose: Dose; readonly why: string; readonly overrulable: boolean } | undefined
  >();
  const search = useMemo(
    () => drillSearch(rules.library.drills.toSorted((a, b) => PHASES.indexOf(a.phase) - PHASES.indexOf(b.phase))),
    [rules.library],
  );
  const found = search(text).map((drill) => {
    const may = mayDo({ ...rules, equipment: rules.brief.equipment[place] }, { drillId: drill.id, ...drill.dose }, when);
    const closed = may.answer === 'may not';
    return {
      drill,
      dose: may.answer === 'reduced' ? may.dose : startingDose(drill, { ...rules, sets: rules.foothold.shown.sets }),
      why: closed ? mayInWords(may, drill, rules.library) : undefined,
      how: may.answer === 'reduced' ? mayInWords(may, drill, rules.library) : doseInWords(drill.dose, drill.dose, rules.schools.progress),
      again: taken.includes(drill.id),
      overrulable: overrule !== undefined && closed && may.because.kind !== 'caution',
    };
  });
  const shown = [...found.filter((f) => !f.why), ...found.filter((f) => f.why)].slice(0, MOST_SHOWN);
  return (
    <Overlay label="Add a drill" close={close}>
      {asking && (
        <div className="border-b border-base-300 p-3">
          <p className="text-sm">
            <span className="font-semibold">{asking.drill.name}</span>: {asking.why}
          </p>
          {takeInstead && (
            <InsteadOffer
              planned={{ drillId: asking.drill.id, ...asking.drill.dose }}
              place={place}
              when={when}
              taken={taken}
              take={(instead) => takeInstead(instead, asking.drill)}
            />
          )}
          {asking.overrulable && <Overrule overrule={(reason) => overrule?.(asking.drill, asking.dose, reason)} />}
        </div>
      )}
      <Command label="Add a drill" loop shouldFilter={false}>
        <Command.Input
          className="input w-full border-0 border-b border-base-300 text-lg"
          placeholder="Name, joint or phase"
          value={text}
          onValueChange={setText}
        />
        <Command.List className="max-h-96 overflow-y-auto p-2">
          <Command.Empty className="p-3">No drill matches.</Command.Empty>
          {shown.map(({ drill, dose, why, how, again, overrulable }) => (
            <Command.Item
              key={drill.id}
              value={drill.id}
              disabled={why !== undefined && !wasDone && takeInstead === undefined}
              onSelect={() => (why !== undefined && takeInstead ? setAsking({ drill, dose, why, overrulable }) : pick(drill, dose))}
              className="cursor-pointer rounded px-3 py-1.5 text-sm text-base-content data-[disabled=true]:cursor-not-allowed data-[disabled=true]:text-base-content/70 data-[selected=true]:bg-primary data-[selected=true]:text-primary-content"
            >
              <span className="float-end ms-2 rounded bg-base-100 text-base-content">
                <StillBody of={drill} size={44} />
              </span>
              <span className="block text-base leading-tight">
                {drill.name}
                {again && <span className="text-sm font-normal"> (in this session already)</span>}
              </span>
              <span className="block leading-tight">
                {drill.phase}, {why ?? how}
                {overrulable && ' Only with a reason.'}
              </span>
            </Command.Item>
          ))}
        </Command.List>
      </Command>
    </Overlay>
  );
}
