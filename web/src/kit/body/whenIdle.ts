type Task = () => void;

const waiting: Task[] = [];
let running = false;

const later: (run: Task) => void =
  typeof requestIdleCallback === 'function' ? (run) => void requestIdleCallback(run, { timeout: 500 }) : (run) => void setTimeout(run, 0);

/** Does a piece of work when nothing else is to be done, one piece at a time, so that no list of figures holds the page up. */
export function whenIdle(work: Task): Promise<void> {
  return new Promise((resolve, reject) => {
    waiting.push(() => {
      try {
        work();
        resolve();
      } catch (error) {
        reject(error instanceof Error ? error : new Error(String(error)));
      }
    });
    if (!running) next();
  });
}

function next(): void {
  const task = waiting.shift();
  running = task !== undefined;
  if (!task) return;
  later(() => {
    task();
    next();
  });
}
