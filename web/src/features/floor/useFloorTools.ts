import { closedBecause, type DrillSkipReason, type Step, TURN, turnSupport } from '@myokinet/core/floor';
import { beyondInWords, beyondShown, exclusionOf, NOTHING_SHOWN, type Shown } from '@myokinet/core/planning';
import { armLoadOf, type Drill } from '@myokinet/core/drills';
import { symptomResponse, type SymptomResponse, symptomResponses } from '@myokinet/core/safety';
import { setUpInWords } from '@myokinet/core/statics';
import { responseInWords } from '@myokinet/core/words';
import { useState } from 'react';
import type { FloorPerson } from './floorPeople.ts';

/** A drill that could take the place of the one in hand, and why it may not where it may not. */
export interface OtherDrill {
  readonly drill: Drill;
  readonly harder: boolean;
  readonly excluded: string | undefined;
}

/** How far above the planned load the dial turns in one session, as a fraction of body weight (project default). */
const MOST_ABOVE = 0.105;

/** What the symptoms of this run ask for, the strictest. */
export function responseInRun(person: FloorPerson): SymptomResponse {
  return symptomResponse(person.run.symptoms, person.felt);
}

/** What to mind for the rest of the session, where something was felt and work goes on. */
export function carefulBecause(person: FloorPerson): string | undefined {
  const { act, finding } = responseInRun(person);
  return act === 'go on' || act === 'stop' ? undefined : responseInWords(finding);
}

/** Turning the dial, changing and skipping drills. */
export function useFloorTools(person: FloorPerson, step: Step) {
  const [said, setSaid] = useState<string | undefined>();
  const { library, body, kept, happen } = person;
  // A pack from before does not say what was shown on either arm.
  const told: Partial<Shown> = kept.pack.foothold.shown ?? {};
  const shown = told.carry ? kept.pack.foothold.shown : NOTHING_SHOWN;
  const easyToday = symptomResponses(person.run.symptoms, person.felt).some((r) => r.act !== 'go on');

  const turn = async (by: number): Promise<void> => {
    if (by > 0 && easyToday) {
      setSaid('No harder today: something was felt in this session.');
      return;
    }
    const turned = turnSupport(body, step.drill, by);
    if ('problem' in turned) {
      setSaid(turned.problem);
      return;
    }
    const beyond = by > 0 && beyondShown(library.asPlanned({ drillId: step.drill.id, support: turned.support }), shown);
    if (beyond) {
      setSaid(`No harder: ${beyondInWords(beyond, library)}`);
      return;
    }
    const planned = library.asPlanned(step.item.planned).handLoad?.share;
    if (by > 0 && planned !== undefined && turned.on.reading.loadShare > planned + MOST_ABOVE) {
      setSaid(`No more than ${Math.floor(MOST_ABOVE * 100)} points above what was planned; from there on a check decides.`);
      return;
    }
    const { setUp, reading } = turned.on;
    setSaid(
      `${by > 0 ? 'Harder' : 'Lighter'}: ${setUpInWords(setUp)}; ${percent(step.drill.handLoad?.share ?? 0)} → ${percent(reading.loadShare)} of body weight.`,
    );
    await happen({ kind: 'turn', itemId: step.itemId, support: turned.support, harder: by > 0 });
  };

  /** A drill in place of this one, as it may or may not be done now: what closed since the session began closes it too. */
  const other = (drill: Drill, harder: boolean): OtherDrill => {
    const limits = {
      library,
      cautions: person.holds.cautions,
      equipment: kept.pack.trainee.equipment,
      foothold: { ...kept.pack.foothold, shown },
    };
    const excluded =
      closedBecause(drill, person.run, person.holds) ??
      exclusionOf(drill, limits) ??
      (harder && easyToday ? 'No harder today: something was felt in this session.' : undefined);
    return { drill, harder, excluded };
  };
  const neighbours = (): readonly OtherDrill[] => [
    ...library.easierThan(step.drill.id).map((drill) => other(drill, false)),
    ...library.harderThan(step.drill.id).map((drill) => other(drill, true)),
  ];
  /** Every other drill, those that load an arm more than this one counted as harder. */
  const everyOther = (): readonly OtherDrill[] =>
    library.drills.filter((d) => d.id !== step.drill.id).map((d) => other(d, armLoadOf(d) > armLoadOf(step.drill)));

  return {
    said,
    lighter: () => void turn(-TURN),
    harder: () => void turn(TURN),
    neighbours,
    everyOther,
    swap: async ({ drill, harder }: OtherDrill) => {
      const { min, max, restSeconds } = drill.dose;
      setSaid(`${drill.name} in place of ${step.drill.name}.`);
      await happen({ kind: 'swap', itemId: step.itemId, drillId: drill.id, sets: step.item.now.sets, min, max, restSeconds, harder });
    },
    skip: (reason: DrillSkipReason) => happen({ kind: 'skip', itemId: step.itemId, reason }),
  };
}

function percent(share: number): string {
  return `${Math.round(share * 100)}%`;
}
