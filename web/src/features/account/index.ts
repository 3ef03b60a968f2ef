export { CopyAlarm } from './CopyAlarm.tsx';
export { MeMenu } from './MeMenu.tsx';
