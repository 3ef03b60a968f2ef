/** A page that is still on its way; it says so only when that takes a moment. */
export function Waiting() {
  return (
    <p role="status" className="aside animate-[appear_0s_300ms_both] p-6">
      Loading…
    </p>
  );
}
