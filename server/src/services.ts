import { bandStore, type BandStore } from './lab/bandStore.ts';
import { calibrationStore, type CalibrationStore } from './lab/calibrationStore.ts';
import { caseloadStore, type CaseloadStore } from './caseload/store.ts';
import type { Scope } from '@myokinet/core/contracts';
import { checkStore, type CheckStore } from './checks/store.ts';
import { clearanceStore, type ClearanceStore } from './clearances/store.ts';
import { type Aside, HERE } from './aside.ts';
import type { Context } from './context.ts';
import { correctionStore, type CorrectionStore } from './corrections/store.ts';
import { gateSettingsStore, type GateSettingsStore } from './gates/store.ts';
import { floorStore, type FloorStore } from './floor/store.ts';
import { schoolStore, type SchoolStore } from './library/schoolStore.ts';
import { libraryPictureStore, type LibraryPictureStore } from './library/pictureStore.ts';
import { libraryStore, type LibraryStore } from './library/store.ts';
import { measuringStore, type MeasuringStore } from './measuring/store.ts';
import { pictureStore, type PictureStore } from './pictures/store.ts';
import { briefStore, type BriefStore } from './plans/briefStore.ts';
import { templateStore, type TemplateStore } from './plans/templateStore.ts';
import { planStore, type PlanStore } from './plans/store.ts';
import { forecastStore, type ForecastStore } from './forecast/store.ts';
import { readinessStore, type ReadinessStore } from './readiness/store.ts';
import { batteryStore, type BatteryStore } from './batteries/store.ts';
import { emergencyStore, type EmergencyStore } from './emergencies/store.ts';
import { recordStore, type RecordStore } from './records/store.ts';
import { screeningStore, type ScreeningStore } from './screenings/store.ts';
import { healthStore, type HealthStore } from './screenings/healthStore.ts';
import { lastingPainStore, type LastingPainStore } from './screenings/lastingStore.ts';
import { symptomStore, type SymptomStore } from './symptoms/store.ts';
import { sessionStore, type SessionStore } from './sessions/store.ts';
import { trendStore, type TrendStore } from './trends/store.ts';
import { traineeStore, type TraineeStore } from './trainees/store.ts';
import { linkStore, type LinkStore } from './own/linkStore.ts';
import { noteStore, type NoteStore } from './own/noteStore.ts';
import { classStore, type ClassStore } from './classes/store.ts';
import { groupStore, type GroupStore } from './groups/store.ts';
import { type RoutineShelf, routineShelf } from './routines/shelf.ts';
import { routineStore, type RoutineStore } from './routines/store.ts';
import { outcomeStore, type OutcomeStore } from './outcomes/store.ts';
import { ownStore, type OwnStore } from './own/store.ts';

/** The stores, wired once; routes see nothing else. */
export interface Services {
  readonly now: () => Date;
  /** What requests are judged against: the moment, and the library of the studio. */
  readonly scope: () => Scope;
  readonly library: LibraryStore;
  readonly libraryPictures: LibraryPictureStore;
  readonly schools: SchoolStore;
  readonly emergencies: EmergencyStore;
  readonly screenings: ScreeningStore;
  readonly lastingPains: LastingPainStore;
  readonly health: HealthStore;
  readonly trainees: TraineeStore;
  readonly calibrations: CalibrationStore;
  readonly bands: BandStore;
  readonly measuring: MeasuringStore;
  readonly batteries: BatteryStore;
  readonly pictures: PictureStore;
  readonly checks: CheckStore;
  readonly plans: PlanStore;
  readonly briefs: BriefStore;
  readonly templates: TemplateStore;
  readonly gates: GateSettingsStore;
  readonly corrections: CorrectionStore;
  readonly clearances: ClearanceStore;
  readonly symptoms: SymptomStore;
  readonly sessions: SessionStore;
  readonly floor: FloorStore;
  readonly records: RecordStore;
  readonly readiness: ReadinessStore;
  readonly forecasts: ForecastStore;
  readonly outcomes: OutcomeStore;
  readonly trends: TrendStore;
  readonly caseload: CaseloadStore;
  readonly links: LinkStore;
  readonly own: OwnStore;
  readonly notes: NoteStore;
  readonly routines: RoutineStore;
  /** Routines as they travel with the library. */
  readonly routineFile: RoutineShelf;
  readonly groups: GroupStore;
  readonly classes: ClassStore;
}

/** @param aside how what takes long is done; in the same thread where nothing is said */
export function servicesFor(context: Context, aside: Aside = HERE): Services {
  const libraryPictures = libraryPictureStore(context);
  const routineFile = routineShelf(context);
  const library = libraryStore(context, aside.judge, libraryPictures, routineFile);
  const scope = () => ({ now: context.now(), library: library.current() });
  const emergencies = emergencyStore(context);
  const health = healthStore(context);
  const screenings = screeningStore(context, emergencies, health);
  const calibrations = calibrationStore(context, scope);
  const lastingPains = lastingPainStore(context);
  const trainees = traineeStore(context, { screenings, calibrations, lastingPains });
  const clearances = clearanceStore(context, library, scope);
  const symptoms = symptomStore(context, { trainees, clearances });
  const sessions = sessionStore(context, { trainees, clearances, symptoms, library, scope });
  const measuring = measuringStore(context, { trainees, library });
  const batteries = batteryStore(context, trainees);
  const gates = gateSettingsStore(context, trainees);
  const readiness = readinessStore(context, { trainees, screenings, symptoms, library, gates });
  const checks = checkStore(context, { library, trainees, measuring, batteries });
  const plans = planStore(context, trainees, scope);
  const briefs = briefStore(context, trainees, scope);
  const notes = noteStore(context, trainees);
  const routines = routineStore(context, scope);
  const groups = groupStore(context, { trainees, routines });
  const outcomes = outcomeStore(context, { trainees, library, scope });
  return {
    now: context.now,
    scope,
    library,
    libraryPictures,
    schools: schoolStore(context),
    emergencies,
    screenings,
    lastingPains,
    health,
    trainees,
    calibrations,
    bands: bandStore(context),
    measuring,
    batteries,
    pictures: pictureStore(context, trainees),
    checks,
    gates,
    corrections: correctionStore(context, { trainees, library, checks, sessions, symptoms, clearances, readiness }),
    plans,
    briefs,
    templates: templateStore(context, scope),
    clearances,
    symptoms,
    sessions,
    floor: floorStore(context, { trainees, sessions, symptoms, library, scope }),
    records: recordStore(context, trainees),
    readiness,
    forecasts: forecastStore(context, { readiness, library, briefs, draw: aside.draw }),
    outcomes,
    trends: trendStore(context, { readiness, library }),
    caseload: caseloadStore(context, readiness, library, outcomes),
    links: linkStore(context, trainees),
    own: ownStore(context, { trainees, library, plans, readiness, sessions, symptoms, notes, routines, briefs }),
    notes,
    routines,
    routineFile,
    groups,
    classes: classStore(context, { trainees, library, plans, briefs, readiness, symptoms, routines, sessions, groups, scope }),
  };
}
