import { useCaseloadQuery } from '../caseload/index.ts';

/** Nobody, or one of the studio’s trainees. */
export function TraineeChoice({
  label,
  value,
  set,
}: {
  readonly label: string;
  readonly value: string;
  readonly set: (id: string) => void;
}) {
  const { data: caseload = [] } = useCaseloadQuery();
  return (
    <label className="flex items-center gap-2">
      {label}
      <select className="select select-sm w-auto min-w-44" value={value} onChange={(e) => set(e.target.value)}>
        <option value="">nobody chosen</option>
        {caseload
          .toSorted((a, b) => a.name.localeCompare(b.name))
          .map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
      </select>
    </label>
  );
}
