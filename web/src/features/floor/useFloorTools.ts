import { closedBecause, type DrillSkipReason, inPlaceOf, type Step, TURN, turnSupport } from '@myokinet/core/floor';
import {
  jointsLoadedBy,
  mayDo,
  mayInWords,
  OTHER_PLANE_WORDS,
  otherPlaneOf,
  type LastLoaded,
  type MayDoFacts,
  NOTHING_SHOWN,
  type Shown,
  whenOf,
} from '@myokinet/core/planning';
import { armLoadOf, type Dose, type Drill, isHeavier, type Manner, mannerInWords, stepped } from '@myokinet/core/drills';
import { symptomResponse, type SymptomResponse, symptomResponses } from '@myokinet/core/safety';
import { setUpInWords } from '@myokinet/core/statics';
import { responseInWords } from '@myokinet/core/words';
import type { Joint } from '@myokinet/core/anatomy';
import type { Library } from '@myokinet/core/library';
import { useState } from 'react';
import { nowInstant } from '../../client/clock.ts';
import type { FloorPerson } from './floorPeople.ts';

/** A drill that could take the place of the one in hand, and why it may not where it may not. */
export interface OtherDrill {
  readonly drill: Drill;
  readonly harder: boolean;
  readonly excluded: string | undefined;
  readonly dose: Dose;
  /** In the plane between front and side: what a sore shoulder tries first. */
  readonly plane?: true;
  /** Why the dose is less than usual, where it is. */
  readonly reduced?: string;
}

/** How far above the planned load the dial turns in one session, as a fraction of body weight (project default). */
const MOST_ABOVE = 0.105;

/** What the symptoms of this run ask for, the strictest. */
export function responseInRun(person: FloorPerson): SymptomResponse {
  return symptomResponse(person.run.symptoms, person.felt);
}

/** What to mind for the rest of the session, where something was felt and work goes on. */
export function carefulBecause(person: FloorPerson, drill: Drill): string | undefined {
  const { act, finding } = responseInRun(person);
  if (act === 'go on' || act === 'stop') return undefined;
  const shoulder = person.run.symptoms.some((s) => s.place === 'shoulder') && otherPlaneOf(drill, person.library.drills).length > 0;
  return `${responseInWords(finding)}${shoulder ? ` ${OTHER_PLANE_WORDS}` : ''}`;
}

/** Turning the dial, changing and skipping drills. */
export function useFloorTools(person: FloorPerson, step: Step) {
  const [said, setSaid] = useState<string | undefined>();
  const { library, body, kept, happen } = person;
  // A pack from before does not say what was shown on either arm.
  const told: Partial<Shown> = kept.pack.foothold.shown ?? {};
  const shown = told.carry ? kept.pack.foothold.shown : NOTHING_SHOWN;
  const facts: MayDoFacts = {
    library,
    cautions: person.holds.cautions,
    equipment: kept.pack.trainee.equipment,
    foothold: { ...kept.pack.foothold, shown },
    knownDrills: kept.pack.knownDrills,
    lastLoaded: restingFrom(kept.pack, library),
  };
  const easyToday = symptomResponses(person.run.symptoms, person.felt).some((r) => r.act !== 'go on');

  /** The next weight or band, as `mayDo` allows it. */
  const weigh = async (manner: Manner, harder: boolean): Promise<void> => {
    if (harder && easyToday && step.drill.manner) {
      setSaid('No harder today: something was felt in this session.');
      return;
    }
    const may = mayDo(facts, { ...step.item.now, manner });
    if (harder && may.answer === 'may not') {
      setSaid(`No harder: ${mayInWords(may, step.drill, library)}`);
      return;
    }
    setSaid(`${harder ? 'Harder' : 'Lighter'}: ${mannerInWords(step.drill.manner) ?? 'none named'} → ${mannerInWords(manner) ?? ''}.`);
    await happen({ kind: 'manner', itemId: step.itemId, manner, harder });
  };

  const turn = async (by: number): Promise<void> => {
    if (by > 0 && easyToday) {
      setSaid('No harder today: something was felt in this session.');
      return;
    }
    if (step.drill.manner?.kg !== undefined || step.drill.manner?.band !== undefined) {
      const next = stepped(step.drill, step.drill.manner, by > 0 ? 1 : -1);
      if (next) await weigh(next, by > 0);
      else setSaid(by > 0 ? 'No harder: there is no heavier one.' : 'No lighter: there is no lighter one.');
      return;
    }
    const turned = turnSupport(body, step.drill, by);
    if ('problem' in turned) {
      setSaid(turned.problem);
      return;
    }
    const may = mayDo(facts, { ...step.item.now, support: turned.support });
    if (by > 0 && may.answer === 'may not') {
      setSaid(`No harder: ${mayInWords(may, step.drill, library)}`);
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
    const may = mayDo(facts, { drillId: drill.id, ...drill.dose }, whenOf(nowInstant()));
    const excluded =
      closedBecause(drill, person.run, person.holds) ??
      (may.answer === 'may not' ? mayInWords(may, drill, library) : undefined) ??
      (harder && easyToday ? 'No harder today: something was felt in this session.' : undefined);
    if (may.answer !== 'reduced') return { drill, harder, excluded, dose: drill.dose };
    return { drill, harder, excluded, dose: may.dose, reduced: mayInWords(may, drill, library) };
  };
  const neighbours = (): readonly OtherDrill[] => [
    ...otherPlaneOf(step.drill, library.drills).map((drill) => ({ ...other(drill, false), plane: true as const })),
    ...library.easierThan(step.drill.id).map((drill) => other(drill, false)),
    ...library.harderThan(step.drill.id).map((drill) => other(drill, true)),
  ];
  /** Every other drill, those that load an arm more than this one counted as harder. */
  const everyOther = (): readonly OtherDrill[] =>
    library.drills.filter((d) => d.id !== step.drill.id).map((d) => other(d, armLoadOf(d) > armLoadOf(step.drill)));

  return {
    said,
    lighterName: mannerInWords(step.drill.manner) ? 'Lighter: the next one down' : 'Lighter by 5 points',
    lighter: () => void turn(-TURN),
    /** Another weight or band, or the first that is named. */
    weigh: (manner: Manner) => void weigh(manner, isHeavier(manner, step.drill.manner)),
    harder: () => void turn(TURN),
    neighbours,
    everyOther,
    swap: async ({ drill, harder, dose, reduced }: OtherDrill) => {
      setSaid(`${drill.name} in place of ${step.drill.name}.${reduced ? ` ${reduced}` : ''}`);
      await happen({ kind: 'swap', itemId: step.itemId, drillId: drill.id, ...inPlaceOf(step, dose), harder });
    },
    skip: (reason: DrillSkipReason) => happen({ kind: 'skip', itemId: step.itemId, reason }),
  };
}

/** Joints that rest from an earlier session; what this one loads anyway is decided. */
function restingFrom({ lastLoaded = {}, head }: FloorPerson['kept']['pack'], library: Library): LastLoaded {
  const loaded = jointsLoadedBy(head.items, library);
  return Object.fromEntries(Object.entries(lastLoaded).filter(([joint]) => !loaded.has(joint as Joint)));
}

function percent(share: number): string {
  return `${Math.round(share * 100)}%`;
}
