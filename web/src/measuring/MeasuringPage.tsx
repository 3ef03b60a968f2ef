export function MeasuringPage(_props: object) {
  return <p>soon</p>;
}
