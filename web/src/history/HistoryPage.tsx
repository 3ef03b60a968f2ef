export function HistoryPage(_props: object) {
  return <p>soon</p>;
}
