export function PicturesPage(_props: object) {
  return <p>soon</p>;
}
