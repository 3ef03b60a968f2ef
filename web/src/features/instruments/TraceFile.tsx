import { TRACE_FILE_BYTES } from '@myokinet/core/interchange';
import type { Samples } from '@myokinet/core/traces';
import { useState } from 'react';
import { FileDrop } from '../../kit/FileDrop.tsx';
import { readTraceFileAside } from './traces.ts';

const MEGA = 1e6;

/** A trace that some other device wrote. */
export function TraceFile({ read }: { readonly read: (samples: Samples, from: string) => void }) {
  const [problem, setProblem] = useState('');
  const [reading, setReading] = useState(false);
  const open = async (file: File) => {
    if (file.size > TRACE_FILE_BYTES) {
      setProblem(`The file has ${Math.round(file.size / MEGA)} MB; the limit is ${Math.round(TRACE_FILE_BYTES / MEGA)} MB.`);
      return;
    }
    setReading(true);
    try {
      read(await readTraceFileAside(file), file.name.slice(0, 50));
    } catch (error) {
      setReading(false);
      setProblem(error instanceof Error ? error.message : 'The file cannot be read.');
    }
  };
  return (
    <FileDrop
      label="Drop a trace here or choose one: two columns, time in seconds and angle in degrees."
      accept=".csv,.txt,text/csv"
      open={(file) => void open(file)}
      problem={problem}
    >
      {reading && <p role="status">Reading the file…</p>}
    </FileDrop>
  );
}
