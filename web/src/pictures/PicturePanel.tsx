export function PicturePanel(_props: any) {
  return <p>soon</p>;
}
