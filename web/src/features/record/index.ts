export { MorningForm } from './MorningForm.tsx';
export { ReportSymptom } from './ReportSymptom.tsx';
export { quietSymptom, SymptomFields, type SymptomValues } from './SymptomFields.tsx';
export { TakeBack } from './TakeBack.tsx';
export { recordEndpoints, useRecordQuery } from './endpoints.ts';
