import Link from 'next/link';
import { PageTitle } from '../parts/PageTitle';

interface Props {
  title: string;
  words: string;
  /** of the present page, to try again */
  address: string;
  /** of the raw documents of a project that cannot be read */
  raw?: string;
}

/** What is shown when a page cannot be made for the store’s sake: what is wrong, and the way out. */
export function StoreFault({ title, words, address, raw }: Props) {
  return (
    <main className="start" id="main">
      <PageTitle />
      <h1>{title}</h1>
      <p className="problem" role="alert">
        {words}
      </p>
      <p>{raw ? 'Other projects are not touched by it.' : 'What was saved before is not touched by it.'}</p>
      <p className="ways-out">
        <a className="btn btn-primary" href={address}>
          Try again
        </a>
        {raw && <a href={raw}>Save its documents as a file</a>}
        {address !== '/' && <Link href="/">To the projects</Link>}
      </p>
    </main>
  );
}
