import { type ReactNode, useId } from 'react';

export interface FileDropProps {
  readonly label: string;
  /** File kinds, as an input takes them. */
  readonly accept: string;
  readonly open: (files: readonly File[]) => void;
  readonly multiple?: boolean;
  /** Why the last file was refused. */
  readonly problem: string;
  readonly children?: ReactNode;
}

/** A place to drop a file, or to choose one. */
export function FileDrop({ label, accept, open, multiple = false, problem, children }: FileDropProps) {
  const id = useId();
  const take = (files: FileList | null) => {
    const chosen = [...(files ?? [])];
    if (chosen.length > 0) open(multiple ? chosen : chosen.slice(0, 1));
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
        multiple={multiple}
        className="file-input mt-2 w-full max-w-sm"
        onChange={(e) => {
          take(e.target.files);
          // The same file may be chosen again.
          e.target.value = '';
        }}
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
