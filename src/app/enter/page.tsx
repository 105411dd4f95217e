import { EnterPage } from '@/ui/start/EnterPage';

export default function Enter() {
  return <EnterPage />;
}
