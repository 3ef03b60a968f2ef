export { bent, programBuilder, without, type Program, type Row, type Terms } from './program.ts';
export { type Solution, type Solve, type SolveOptions, type SolveProgress } from './solve.ts';
export { solveByHighs } from './highs.ts';
export { solveStaged } from './staged.ts';
