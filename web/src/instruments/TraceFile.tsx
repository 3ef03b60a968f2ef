import { TRACE_FILE_BYTES } from '@myokinet/core/interchange';
import type { Samples } from '@myokinet/core/traces';
import { useId, useState } from 'react';
import { readTraceFileAside } from '../workers/traces.ts';

/** A trace that some other device wrote. */
export function TraceFile({ read }: { readonly read: (samples: Samples, from: string) => void }) {
  const id = useId();
  const [problem, setProblem] = useState('');
  const [reading, setReading] = useState(false);
  const open = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > TRACE_FILE_BYTES) {
      setProblem(`The file has ${Math.round(file.size / 1e6)} MB; the limit is ${Math.round(TRACE_FILE_BYTES / 1e6)} MB.`);
      return;
    }
    try {
      setReading(true);
      read(await readTraceFileAside(file), file.name.slice(0, 50));
    } catch (error) {
      setReading(false);
      setProblem(error instanceof Error ? error.message : 'The file cannot be read.');
    }
  };
  return (
    <div
      className="mt-2 border border-dashed border-base-300 p-4"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        void open(e.dataTransfer.files[0]);
      }}
    >
      <label htmlFor={id} className="block">
        Drop a trace here or choose one: two columns, time in seconds and angle in degrees.
      </label>
      <input
        id={id}
        type="file"
        accept=".csv,.txt,text/csv"
        className="file-input file-input-sm mt-2"
        onChange={(e) => void open(e.target.files?.[0])}
      />
      {reading && <p role="status">Reading the file…</p>}
      {problem && (
        <p role="alert" className="mt-1 text-error">
          {problem}
        </p>
      )}
    </div>
  );
}
