export {
  askedSet,
  CLASS_LIMITS,
  type ClassMoment,
  type ClassRhythm,
  type ClassSlot,
  rhythmMoments,
  routineClass,
  USUAL_RHYTHM,
} from './timeline.ts';
export {
  CLASS_EVENT_FIELDS,
  CLASS_EVENT_OPTIONS,
  type ClassDeed,
  type ClassEvent,
  type ClassEventKind,
  type ClassFieldRule,
  type ClassHead,
  type ClassItem,
  type ClassMember,
  type SlotItem,
} from './events.ts';
export { classTime, type ClassLook, type ClassTime, type ClockSet, looked } from './clock.ts';
export {
  classItems,
  classOf,
  classSets,
  type ClassSet,
  type ClassState,
  type ClassSymptom,
  isOut,
  itemAt,
  type MemberState,
  memberMinutes,
  notSeen,
  workAt,
  type WorkNow,
} from './class.ts';
export { choicesOf, type LessInSlot, memberSheet, type MemberSheet, type SlotChoice, type WantedInSlot } from './sheet.ts';
