/** Licensed professionals whose word may open a caution, by role; never by name. */
export const PROFESSIONAL_ROLES = [
  'general practitioner',
  'specialist doctor',
  'surgeon',
  'physiotherapist',
  'midwife or obstetrician',
] as const;
export type ProfessionalRole = (typeof PROFESSIONAL_ROLES)[number];
