/** Two people saved the same thing; nothing is lost until the coach chooses. */
export function ConflictNote({
  what,
  takeTheirs,
  keepMine,
}: {
  readonly what: string;
  readonly takeTheirs: () => void;
  readonly keepMine: () => void;
}) {
  return (
    <div role="alert" className="mb-4 flex flex-wrap items-center gap-3 border-s-4 border-warning bg-warning/10 px-4 py-2.5">
      <p>A newer version of {what} was saved elsewhere, perhaps in another tab. Yours is kept here.</p>
      <button type="button" className="btn btn-sm" onClick={takeTheirs}>
        Take the newer one
      </button>
      <button type="button" className="btn btn-sm" onClick={keepMine}>
        Keep mine on top
      </button>
    </div>
  );
}
