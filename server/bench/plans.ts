import loadGlpk from 'glpk.js/node';
import loadHighs from 'highs';
import { proposeByRules, reviewPlan } from '@myokinet/core/planning';
import { type Program, solveByHighs, solveStaged } from '@myokinet/core/solver';
import { blockProgram } from '../../core/src/planning/block/program.ts';
import { chosenSessions } from '../../core/src/planning/block/read.ts';
import { scoreOf } from '../../core/src/planning/block/score.ts';
import { blockTask } from '../../core/src/planning/block/task.ts';
import { candidatesFor } from '../../core/src/planning/candidates.ts';
import { madeUpTrainee } from '../../core/src/planning/madeUpTrainee.ts';
import { forGlpk } from '../../core/src/solver/forGlpk.ts';

const clock = () => performance.now();

const TRAINEES = 30;
const SECONDS = 5;
const GAP = 0.01;
const SECOND_SOLVER = { trainees: 5, seconds: 20 } as const;

/** Four weeks of four sessions for generated trainees: how soon there is a plan, how near the best, and what the proposal by rules is worth. */
export async function planMany(): Promise<readonly string[]> {
  const highs = await loadHighs();
  const runs = Array.from({ length: TRAINEES }, (_, i) => {
    const input = madeUpTrainee(`bench ${i}`);
    const candidates = candidatesFor({ ...input, equipment: input.brief.equipment.gym }).allowed.length;
    const began = performance.now();
    const { program } = blockProgram(blockTask(input));
    const built = (performance.now() - began) / 1000;
    let first: number | undefined;
    const { seconds, gap = Number.NaN } = solveStaged(highs, program, { seconds: SECONDS, gap: GAP }, clock, ({ values, seconds: at }) => {
      if (values) first ??= at;
    });
    return { candidates, first: built + (first ?? Number.NaN), seconds: built + seconds, gap };
  });
  const of = (pick: (run: (typeof runs)[number]) => number) => runs.map(pick).sort((a, b) => a - b);
  const spread = (values: readonly number[], show: (v: number) => string) =>
    `${show(values[0] ?? 0)} / ${show(values[Math.floor(values.length / 2)] ?? 0)} / ${show(values[Math.floor(values.length * 0.9)] ?? 0)} / ${show(values.at(-1) ?? 0)}`;
  const seconds = (v: number) => `${v.toFixed(2)} s`;
  const percent = (v: number) => `${(v * 100).toFixed(2)}%`;
  return [
    `Planner, ${TRAINEES} generated trainees, 4 weeks of 4 sessions, the work of ${SECONDS} s (least / median / nine in ten / most)`,
    `  candidate drills           ${spread(
      of((r) => r.candidates),
      String,
    )}`,
    `  first usable plan after    ${spread(
      of((r) => r.first),
      seconds,
    )}`,
    `  done after                 ${spread(
      of((r) => r.seconds),
      seconds,
    )}`,
    `  gap to the bound           ${spread(
      of((r) => r.gap),
      percent,
    )}`,
    `  gap at most ${percent(GAP)}          ${runs.filter((r) => r.gap <= GAP + 1e-9).length} of ${TRAINEES}`,
    rulesLine(highs, spread, percent),
    ...(await secondSolver(highs)),
  ];
}

type Spread = (values: readonly number[], show: (v: number) => string) => string;

/** One week by the solver against one by rules, where the rules keep the limit of growth. */
function rulesLine(highs: Awaited<ReturnType<typeof loadHighs>>, spread: Spread, percent: (v: number) => string): string {
  const gains: number[] = [];
  let broken = 0;
  for (let i = 0; gains.length < TRAINEES; i++) {
    const input = madeUpTrainee(`rules ${i}`, { weeks: 1, deloadEvery: 0 });
    const task = blockTask(input);
    const block = blockProgram(task);
    const rules = proposeByRules({
      ...input,
      trainingDays: input.brief.days.map((d) => d.weekday),
      sessionMinutes: input.brief.days[0]?.minutes ?? 0,
      equipment: input.brief.equipment.gym,
      lastWeekDose: input.buildOn?.dose ?? 0,
      newId: () => 'id',
    });
    if (reviewPlan(rules.sessions, input).some((f) => f.sentence.startsWith('The week loads the hands'))) {
      broken++;
      continue;
    }
    const { values } = solveStaged(highs, block.program, { seconds: 2, gap: 0.002 }, clock);
    if (!values) continue;
    const sessions = chosenSessions(task, block, values).flatMap((s) => {
      const slot = task.slots[s.slot];
      return slot ? [{ day: slot.day, items: s.items }] : [];
    });
    gains.push(scoreOf(task, sessions).objective / scoreOf(task, rules.sessions).objective - 1);
  }
  gains.sort((a, b) => a - b);
  return `  better than by rules       ${spread(gains, percent)} (one week; ${broken} further proposals by rules broke the limit of growth)`;
}

/** The same one-week programmes by the two solvers, each on its own. */
async function secondSolver(highs: Awaited<ReturnType<typeof loadHighs>>): Promise<readonly string[]> {
  const glpk = await loadGlpk();
  const lines: string[] = [];
  for (let i = 0; i < SECOND_SOLVER.trainees; i++) {
    const { program } = blockProgram(blockTask(madeUpTrainee(`bench ${i}`, { weeks: 1 })));
    const mine = timed(() => solveByHighs(highs, program, { seconds: SECOND_SOLVER.seconds, gap: GAP }, clock).objective ?? Number.NaN);
    const staged = timed(() => solveStaged(highs, program, { seconds: SECONDS, gap: GAP }, clock).objective ?? Number.NaN);
    const began = performance.now();
    const other = await glpk.solve(forGlpk(glpk, program as Program), {
      msglev: glpk.GLP_MSG_OFF,
      presol: true,
      mipgap: GAP,
      tmlim: SECOND_SOLVER.seconds,
    });
    const theirs = (performance.now() - began) / 1000;
    const done = theirs < SECOND_SOLVER.seconds ? '' : ', not finished';
    lines.push(
      `  one week, trainee ${i}: in stages ${staged.seconds.toFixed(2)} s, HiGHS alone ${mine.seconds.toFixed(2)} s, GLPK ${theirs.toFixed(2)} s${done} (${(theirs / staged.seconds).toFixed(1)} times); worth ${staged.value.toFixed(1)}, ${mine.value.toFixed(1)}, ${other.result.z.toFixed(1)}`,
    );
  }
  return lines;
}

function timed(run: () => number): { readonly value: number; readonly seconds: number } {
  const began = performance.now();
  const value = run();
  return { value, seconds: (performance.now() - began) / 1000 };
}
