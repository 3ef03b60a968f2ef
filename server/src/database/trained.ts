import { PREPARATION_LIMITS } from '@myokinet/core/routines';

/** Whether a session counts as one: a preparation does not while it is light, so that nothing hard hides in it. */
export const isTrained = (session = ''): string => {
  const { effort, minutes } = PREPARATION_LIMITS;
  return `(${session}preparation IS NULL OR ${session}effort > ${effort} OR ${session}minutes > ${minutes})`;
};
