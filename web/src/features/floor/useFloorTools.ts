import { type DrillSkipReason, type Step, TURN, turnSupport } from '@myokinet/core/floor';
import { beyondInWords, beyondShown, exclusionOf, NOTHING_SHOWN, type Shown } from '@myokinet/core/planning';
import type { Drill } from '@myokinet/core/drills';
import { type Symptom, type SymptomContext, symptomResponse, type SymptomResponse, symptomResponses } from '@myokinet/core/safety';
import { instant } from '@myokinet/core/quantities';
import { setUpInWords } from '@myokinet/core/statics';
import { responseInWords } from '@myokinet/core/words';
import { useState } from 'react';
import type { FloorPerson } from './floorPeople.ts';

/** A neighbour of the drill in hand, and why it may not be done where it may not. */
export interface Neighbour {
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

/** Turning the dial, changing and skipping drills, reporting what is felt. */
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

  const neighbours = (): readonly Neighbour[] => {
    const { trainee } = kept.pack;
    const foothold = { ...kept.pack.foothold, shown };
    const limits = { library, cautions: trainee.screening.cautions, equipment: trainee.equipment, foothold };
    const of = (harder: boolean) => (drill: Drill) => ({
      drill,
      harder,
      excluded: exclusionOf(drill, limits) ?? (harder && easyToday ? 'No harder today: something was felt in this session.' : undefined),
    });
    return [...library.easierThan(step.drill.id).map(of(false)), ...library.harderThan(step.drill.id).map(of(true))];
  };

  return {
    said,
    lighter: () => void turn(-TURN),
    harder: () => void turn(TURN),
    neighbours,
    swap: async ({ drill, harder }: Neighbour) => {
      const { min, max, restSeconds } = drill.dose;
      setSaid(`${drill.name} in place of ${step.drill.name}.`);
      await happen({ kind: 'swap', itemId: step.itemId, drillId: drill.id, sets: step.item.now.sets, min, max, restSeconds, harder });
    },
    skip: (reason: DrillSkipReason) => happen({ kind: 'skip', itemId: step.itemId, reason }),
    /** Reports what is felt; the pain rule acts at once. */
    report: async (felt: Omit<Symptom, 'at'>): Promise<SymptomResponse | undefined> => {
      const response = symptomResponse([{ ...felt, at: instant(new Date()) }], feltBefore(person));
      const said = responseInWords(response.finding);
      if (!(await happen({ kind: 'symptom', symptom: felt }))) return undefined;
      if (response.act === 'step back') {
        const turned = turnSupport(body, step.drill, response.loadChange);
        if ('problem' in turned) setSaid(`${said} ${turned.problem}`);
        else {
          await happen({ kind: 'turn', itemId: step.itemId, support: turned.support, harder: false });
          setSaid(`${said} Now ${setUpInWords(turned.on.setUp)}.`);
        }
      } else if (response.act === 'leave drill') {
        await happen({ kind: 'skip', itemId: step.itemId, reason: 'pain' });
        setSaid(said);
      } else if (response.act !== 'stop') setSaid(said);
      return response;
    },
  };
}

/** What a symptom that is felt now is read beside: the days before, and this run. */
export function feltBefore({ felt, run }: FloorPerson): SymptomContext {
  return { ...felt, history: [...felt.history, ...run.symptoms] };
}

function percent(share: number): string {
  return `${Math.round(share * 100)}%`;
}
