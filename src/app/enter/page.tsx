import { EnterPage } from '@/ui/start/EnterPage';

interface Props {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

/** A page of this server: what begins with two slashes, of either kind, would lead to another one. */
const isOwn = (to: unknown): to is string => typeof to === 'string' && /^\/(?![/\\])/.test(to);

export default async function Enter({ searchParams }: Props) {
  const { to } = await searchParams;
  return <EnterPage to={isOwn(to) ? to : '/'} />;
}
