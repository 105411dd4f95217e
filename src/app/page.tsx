import { cookies } from 'next/headers';
import { projectCards } from '@/server/services/cards';
import { listDeleted } from '@/server/services/projects';
import { StartPage } from '@/ui/start/StartPage';
import { readTheme, THEME_COOKIE } from '@/ui/theme/theme';

export default async function Start() {
  const theme = readTheme((await cookies()).get(THEME_COOKIE)?.value);
  return <StartPage projects={projectCards()} deleted={listDeleted()} theme={theme} />;
}
