import type { Step } from '@myokinet/core/floor';
import { ListSheet, SkipSheet, SwapSheet } from './ChoiceSheets.tsx';
import { FloorHelp } from './FloorHelp.tsx';
import type { FloorPerson } from './floorPeople.ts';
import { SymptomSheet } from './SymptomSheet.tsx';
import { feltBefore, type useFloorTools } from './useFloorTools.ts';
import type { useStage } from './useStage.ts';

export type OpenSheet = 'symptom' | 'swap' | 'skip' | 'list' | 'help';

interface StageSheetsProps {
  readonly open: OpenSheet | undefined;
  readonly shut: () => void;
  readonly stage: ReturnType<typeof useStage>;
  readonly tools: ReturnType<typeof useFloorTools>;
  readonly person: FloorPerson;
  readonly step: Step;
  readonly pick: (itemId: string) => void;
  readonly end: () => void;
}

/** Whatever is laid over the stage for a moment. */
export function StageSheets({ open, shut, stage, tools, person, step, pick, end }: StageSheetsProps) {
  return (
    <>
      {open === 'symptom' && (
        <SymptomSheet
          moment={
            stage.phase.kind === 'work' || stage.phase.kind === 'feel' || person.run.items.some((i) => i.done.length > 0)
              ? 'during'
              : 'before'
          }
          context={feltBefore(person)}
          close={() => {
            shut();
            stage.goOn();
          }}
          record={(felt) => {
            shut();
            stage.hurts();
            void tools.report(felt);
          }}
        />
      )}
      {open === 'swap' && (
        <SwapSheet
          neighbours={tools.neighbours()}
          close={shut}
          choose={(n) => {
            shut();
            stage.leaveSet();
            void tools.swap(n);
          }}
        />
      )}
      {open === 'skip' && (
        <SkipSheet
          name={step.drill.name}
          close={shut}
          choose={(reason) => {
            shut();
            void tools.skip(reason);
          }}
        />
      )}
      {open === 'list' && (
        <ListSheet
          person={person}
          here={step.itemId}
          close={shut}
          end={end}
          pick={(id) => {
            shut();
            pick(id);
          }}
          unskip={(eventId) => void person.happen({ kind: 'take back', eventId })}
        />
      )}
      {open === 'help' && <FloorHelp close={shut} />}
    </>
  );
}
