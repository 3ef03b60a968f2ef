import { LIMITS } from '@myokinet/core/contracts';

/** Free words beside the figures. */
export function NoteField({ value, change }: { readonly value: string; readonly change: (note: string) => void }) {
  return (
    <label className="mt-2 block">
      <span className="font-semibold">Note</span>
      <textarea className="textarea mt-1 w-full" rows={2} maxLength={LIMITS.note} value={value} onChange={(e) => change(e.target.value)} />
    </label>
  );
}
