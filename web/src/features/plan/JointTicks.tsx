import { type Joint, JOINTS } from '@myokinet/core/anatomy';

/** Ticks for the joints that an event loads. */
export function JointTicks({
  joints,
  name,
  change,
}: {
  readonly joints: readonly Joint[];
  readonly name: string;
  readonly change: (joints: Joint[]) => void;
}) {
  return (
    <span className="flex flex-wrap gap-x-2">
      {JOINTS.filter((j) => j !== 'trunk' && j !== 'neck').map((joint) => (
        <label key={joint} className="flex cursor-pointer items-center gap-1 text-sm">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            aria-label={`${name || 'The event'} loads the ${joint}`}
            checked={joints.includes(joint)}
            onChange={(e) => change(e.target.checked ? [...joints, joint] : joints.filter((j) => j !== joint))}
          />
          {joint}
        </label>
      ))}
    </span>
  );
}
