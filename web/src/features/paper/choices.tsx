interface ChoiceProps {
  readonly label: string;
  readonly options: Readonly<Record<string, string>>;
  readonly value: string;
  readonly set: (value: string) => void;
}

/** One of several, with what it is about above it. */
export function Choice({ label, options, value, set }: ChoiceProps) {
  return (
    <label className="flex flex-col text-sm">
      {label}
      <select className="select select-sm w-auto text-base" value={value} onChange={(e) => set(e.target.value)}>
        {Object.entries(options).map(([id, name]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}

export function Tick({ label, on, set }: { readonly label: string; readonly on: boolean; readonly set: (on: boolean) => void }) {
  return (
    <label className="flex min-h-8 items-center gap-2">
      <input type="checkbox" className="checkbox checkbox-sm" checked={on} onChange={(e) => set(e.target.checked)} />
      {label}
    </label>
  );
}
