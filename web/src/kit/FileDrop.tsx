import { type ReactNode, useId } from 'react';

export interface FileDropProps {
  readonly label: string;
  /** File kinds, as an input takes them. */
  readonly accept: string;
  readonly open: (file: File) => void;
  /** Why the last file was refused. */
  readonly problem: string;
  readonly children?: ReactNode;
}

/** A place to drop a file, or to choose one. */
export function FileDrop({ label, accept, open, problem, children }: FileDropProps) {
  const id = useId();
  const take = (files: FileList | null) => {
    const file = files?.[0];
    if (file) open(file);
  };
  return (
    <div
      className="mt-2 border border-dashed border-base-300 p-4"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        take(e.dataTransfer.files);
      }}
    >
      <label htmlFor={id} className="block">
        {label}
      </label>
      <input
        id={id}
        type="file"
        accept={accept}
        className="file-input file-input-sm mt-2 w-full max-w-sm"
        onChange={(e) => take(e.target.files)}
      />
      {problem && (
        <p role="alert" className="mt-1 text-error">
          {problem}
        </p>
      )}
      {children}
    </div>
  );
}
