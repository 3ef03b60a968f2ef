import type { Step } from '@myokinet/core/floor';
import { ListSheet, SkipSheet, SwapSheet } from './ChoiceSheets.tsx';
import { FloorHelp } from './FloorHelp.tsx';
import type { FloorPerson } from './floorPeople.ts';
import type { useFloorTools } from './useFloorTools.ts';
import type { useStage } from './useStage.ts';

export type OpenSheet = 'swap' | 'skip' | 'list' | 'help';

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
      {open === 'swap' && (
        <SwapSheet
          drill={step.drill}
          weigh={(manner) => {
            shut();
            stage.interrupt();
            tools.weigh(manner);
          }}
          neighbours={tools.neighbours()}
          everyOther={tools.everyOther}
          close={shut}
          choose={(n) => {
            shut();
            stage.interrupt();
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
            stage.interrupt();
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
