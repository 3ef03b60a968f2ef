export { inspect, validated } from './validate.ts';
export { FILE_SHAPE } from './shape.ts';
export { LIBRARY_LIMITS, LIMITS, PICTURED_LIMITS } from './limits.ts';
export type { Scope } from './scope.ts';
export { PlanSchoolsDto, StudioSchoolsDto } from './schools.ts';
export { ConsultationDto, ScreenAnswerDto, ScreeningDto } from './screening.ts';
export {
  DrillDto,
  DrillEntryDto,
  EntryResetDto,
  FaultDto,
  FaultEntryDto,
  MeasureEntryDto,
  LadderDto,
  LadderEntryDto,
  LIBRARY_FORMAT,
  LIBRARY_FORMAT_VERSION,
  LibraryFileDto,
  LibraryImportDto,
  RungDemandDto,
  RungDto,
} from './library.ts';
export { EmergencyCareDto, EmergencyDto, EmergencyMistakeDto, EmergencySeenDto } from './emergency.ts';
export { BeforeSessionDto, BloodPressureDto, GuardianConsentDto } from './health.ts';
export { MeasureDto, NAMED_UNITS } from './measure.ts';
export { withTwoErrors } from './olderMeasure.ts';
export { findingsFrom } from './storedFindings.ts';
export { readStored, signedChecks, STORED } from './stored.ts';
export { TraineeDto } from './trainee.ts';
export { LinkOpenDto, MorningDto, NoteDto, NotesSeenDto, TraineeLinkDto } from './ownPage.ts';
export type {
  LinkOpenReply,
  NewLinkReply,
  NoteReply,
  OwnItem,
  OwnPageReply,
  OwnProgress,
  OwnSession,
  TraineeLinkReply,
} from './ownPageReplies.ts';
export { CheckDto, SkipDto, TrialCorrectionDto, TrialDto } from './check.ts';
export { CountCorrectionDto, PointDto, ReadingDto, TraceSummaryDto, type PlacedBy } from './reading.ts';
export { BatteryCellDto, BatteryPatchDto, BatterySkipDto } from './battery.ts';
export { PictureDto } from './picture.ts';
export { LibraryFilePictureDto, LibraryPictureDto, PICTURED, type Pictured } from './libraryPicture.ts';
export { BandDto, BandReadingDto, ReadingSetAsideDto, ScaleReadingDto } from './lab.ts';
export { RepeatabilityTestDto, RepeatedDto } from './repeatability.ts';
export {
  LeftOutDto,
  PlanBlockDto,
  type PlanDocumentDto,
  PlanDto,
  PlannedItemDto,
  PlannedSessionDto,
  WeekQueryDto,
  WeeksQueryDto,
} from './plan.ts';
export {
  BriefDayDto,
  FixedEventDto,
  GoalDto,
  PauseDto,
  PlanBriefDto,
  PlanTemplateDto,
  type TemplateDocumentDto,
  TemplateItemDto,
  TemplateSessionDto,
} from './brief.ts';
export { FaultSeenDto, SessionDto, SessionItemDto, SetDto, StopSignClosureDto, SymptomDto, LastingPainDto } from './session.ts';
export { FloorCloseDto, FloorHeadDto, FloorItemDto, FloorPatchDto, FloorPhotoDto } from './floor.ts';
export { FACT_KINDS, type FactKind, SessionCorrectionDto, SymptomCorrectionDto, TakenBackDto } from './correction.ts';
export { GateSettingsDto } from './gateSettings.ts';
export type {
  ForecastCalibrationReply,
  ForecastReply,
  ForecastsReply,
  OutcomesReply,
  PastForecastReply,
  StudioTrendsReply,
  ToldOutcomeReply,
} from './outlookReplies.ts';
export { OutcomeDto } from './outcome.ts';
export { ClearanceDto, WithdrawalDto } from './clearance.ts';
export type { FloorPhotoReply, FloorRunReply, FloorRunRow, WorkloadReply } from './floorReplies.ts';
export type {
  BeforeSessionReply,
  BloodPressureReply,
  ConsultationReply,
  EmergencyCareReply,
  EmergencyReply,
  GuardianConsentReply,
  HealthReply,
  LastingPainReply,
  ScreeningReply,
  ScreeningsReply,
} from './healthReplies.ts';
export type {
  BandReply,
  CalibrationReply,
  CaseloadRow,
  CheckReply,
  ClearanceReply,
  MeasuringReply,
  GateSettingsReply,
  SavedGateSettings,
  TakenBackReply,
  PictureReply,
  ProblemReply,
  ReadinessReply,
  ScaleReadingReply,
  RecheckReply,
  RecordReply,
  RepeatabilityReply,
  BatteryReply,
  OpenBattery,
  SessionReply,
  StopSignReply,
  SymptomReply,
  TodayItem,
  TraineeReply,
  TrialReply,
} from './replies.ts';
export type { ImportReply, LibraryPictureReply, LibraryReply, OwnEntryReply, SchoolsReply } from './libraryReplies.ts';
export type { MayBeUnreadable, PlanBriefReply, PlanReply, PlanTemplateReply, PlanUse, RoutineReply } from './planReplies.ts';
export {
  ACCOUNT_LIMITS,
  ConfirmDto,
  FirstRunDto,
  InvitationDto,
  InvitedDto,
  JoinDto,
  MembershipDto,
  PasswordChangeDto,
  PersonDto,
  ResetDto,
  SignInDto,
  StudioDto,
} from './account.ts';
export type {
  ArchivedReply,
  AuditRow,
  CopiesReply,
  CopyReply,
  DeviceReply,
  ErasureReply,
  InvitationReply,
  MeHere,
  MemberReply,
  MeReply,
  OneTimeReply,
  PeopleReply,
} from './accountReplies.ts';
export { ArchiveDto, ErasureDto } from './erasure.ts';

export {
  ClassEventsDto,
  ClassHeadDto,
  ClassMemberDto,
  ClassMomentDto,
  ClassPatchDto,
  ClassRhythmDto,
  ClassSheetDto,
  ClassSlotDto,
  SlotItemDto,
} from './class.ts';
export type { ClassPersonReply, ClassReply, ClassRow, ClassSheetMember, ClassSheetReply, GroupReply } from './classReplies.ts';
export { GroupDayDto, GroupDto } from './group.ts';
export { RoutineBlockDto, RoutineDto, type RoutineDocumentDto, RoutineInFileDto, RoutineStepDto } from './routine.ts';
