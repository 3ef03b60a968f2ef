import { fittedTo, type LibraryContent, openLibrary } from '@myokinet/core/library';
import { type BlockInput, type PlanProposal, proposePlan, type SearchProgress } from '@myokinet/core/planning';
import { solveStaged } from '@myokinet/core/solver';
import type { KnownBody } from '@myokinet/core/statics';
import { expose } from 'comlink';
import loadHighs from 'highs';
import wasmUrl from 'highs/runtime?url';
import { newId } from '../../client/newId.ts';

/** What is to be planned, as it crosses to the worker: the library as content, to be fitted to the body there. */
export interface PlanRequest {
  readonly input: Omit<BlockInput, 'library'>;
  readonly content: LibraryContent;
  readonly body: KnownBody;
  readonly seconds: number;
  readonly gap: number;
}

const highs = loadHighs({ locateFile: () => wasmUrl });

const planner = {
  propose: async (
    { input, content, body, seconds, gap }: PlanRequest,
    onProgress: (progress: SearchProgress) => void,
  ): Promise<PlanProposal> => {
    const solver = await highs;
    return proposePlan(
      { ...input, library: fittedTo(openLibrary(content), body) },
      (program, options, told) => Promise.resolve(solveStaged(solver, program, options, () => performance.now(), told)),
      { seconds, gap, newId, onProgress },
    );
  },
};
export type Planner = typeof planner;

expose(planner);
