export { OutcomeForm } from './OutcomeForm.tsx';
