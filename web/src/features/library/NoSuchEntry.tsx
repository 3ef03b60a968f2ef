import { Link } from 'react-router';
import { Empty } from '../../kit/Empty.tsx';

export function NoSuchEntry({ what, back }: { readonly what: 'drill' | 'ladder'; readonly back: string }) {
  return (
    <Empty title={`There is no such ${what}`}>
      <p>It may have been written on another device and not saved.</p>
      <Link className="btn btn-primary mt-3" to={back}>
        {what === 'drill' ? 'All drills' : 'All ladders'}
      </Link>
    </Empty>
  );
}
