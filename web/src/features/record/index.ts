export { MorningForm } from './MorningForm.tsx';
export { ReportSymptom } from './ReportSymptom.tsx';
export { quietSymptom, SymptomFields, type SymptomValues } from './SymptomFields.tsx';
export { feltValues } from './feltValues.ts';
export { useSymptomContext } from './useSymptomContext.ts';
export { TakeBack } from './TakeBack.tsx';
export { recordEndpoints, useRecordQuery } from './endpoints.ts';
