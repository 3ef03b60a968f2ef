/** Parts of the record that cannot be read: each said, none hidden, the rest untouched. Nothing where all can be read. */
export function UnreadableNote({ sentences }: { readonly sentences: readonly string[] }) {
  if (sentences.length === 0) return null;
  return (
    <div role="alert" className="my-3 border-s-4 border-warning bg-warning/10 px-4 py-2.5">
      <ul>
        {sentences.map((sentence, i) => (
          <li key={`${i} ${sentence}`}>{sentence}</li>
        ))}
      </ul>
      <p className="aside text-sm">It stays on record as it is. Everything else here stands without it.</p>
    </div>
  );
}
