export { EmergencyOfMany } from './EmergencyOfMany.tsx';
export { EmergencyButton } from './EmergencyButton.tsx';
export { EmergencyCareForm } from './EmergencyCareForm.tsx';
export { pressedHere, sendWaitingEmergencies } from './onDevice.ts';
