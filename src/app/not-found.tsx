import Link from 'next/link';
import { PageTitle } from '@/ui/parts/PageTitle';

export default function NotFound() {
  return (
    <main className="start" id="main">
      <PageTitle />
      <h1>Nothing is here</h1>
      <p>The address names a project or scene that is not in this store. It may have been deleted.</p>
      <Link href="/">To the projects</Link>
    </main>
  );
}
