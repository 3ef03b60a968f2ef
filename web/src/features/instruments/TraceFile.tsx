import { TRACE_FILE_BYTES, type TraceTable } from '@myokinet/core/interchange';
import type { Measure } from '@myokinet/core/measuring';
import type { Samples, TraceQuantity } from '@myokinet/core/traces';
import { useState } from 'react';
import { FileDrop } from '../../kit/FileDrop.tsx';
import { TraceChooser } from './TraceChooser.tsx';
import { openTraceFileAside } from './traces.ts';

const MEGA = 1e6;

export interface OpenTrace {
  readonly samples: Samples;
  readonly quantity: TraceQuantity;
  readonly from: string;
  readonly simulated: boolean;
  readonly ofClip?: boolean;
}

/** A trace that some other device wrote: opened, said what is what in it, read. */
export function TraceFile({ measure, read }: { readonly measure: Measure; readonly read: (trace: OpenTrace) => void }) {
  const [problem, setProblem] = useState('');
  const [reading, setReading] = useState(false);
  const [opened, setOpened] = useState<{ readonly table: TraceTable; readonly name: string } | undefined>();
  const open = async (file: File) => {
    if (file.size > TRACE_FILE_BYTES) {
      setProblem(`The file has ${Math.round(file.size / MEGA)} MB; the limit is ${Math.round(TRACE_FILE_BYTES / MEGA)} MB.`);
      return;
    }
    setReading(true);
    setProblem('');
    try {
      setOpened({ table: await openTraceFileAside(file), name: file.name.slice(0, 50) });
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'The file cannot be read.');
    }
    setReading(false);
  };
  if (opened)
    return (
      <TraceChooser
        {...opened}
        measure={measure}
        read={(chosen) => read({ ...chosen, from: opened.name, simulated: opened.table.simulated, ofClip: opened.table.ofClip })}
        close={() => setOpened(undefined)}
      />
    );
  return (
    <FileDrop
      label="Drop a trace here or choose one: a text of columns, time and what was measured."
      accept=".csv,.txt,.tsv,.log,text/csv,text/plain"
      open={([file]) => file && void open(file)}
      problem={problem}
    >
      {reading && <p role="status">Reading the file…</p>}
    </FileDrop>
  );
}
