import { SCOPES } from './scopes.ts';

export interface ScopeFieldProps {
  readonly scope: string;
  readonly change: (scope: string) => void;
}

/** Which checks are to be taken. */
export function ScopeField({ scope, change }: ScopeFieldProps) {
  return (
    <label className="flex items-center gap-2">
      <span className="aside">Checks for</span>
      <select className="select select-sm w-44" value={scope} onChange={(e) => change(e.target.value)}>
        {!(scope in SCOPES) && <option value={scope}>The chosen {scope.split(',').length}</option>}
        {Object.entries(SCOPES).map(([value, label]) => (
          <option key={value} value={value}>
            {label}
          </option>
        ))}
      </select>
    </label>
  );
}
