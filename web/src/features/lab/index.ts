export { SetUpLine } from './SetUpLine.tsx';
