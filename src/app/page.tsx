import { cookies } from 'next/headers';
import { needsPassphrase } from '@/server/access';
import { demoShown, projectCards } from '@/server/services/cards';
import { listDeleted } from '@/server/services/projects';
import { stored } from '@/server/services/stored';
import { StartPage } from '@/ui/start/StartPage';
import { StoreFault } from '@/ui/start/StoreFault';
import { readTheme, THEME_COOKIE } from '@/ui/theme/theme';

export default async function Start() {
  const theme = readTheme((await cookies()).get(THEME_COOKIE)?.value);
  const read = stored(() => {
    const projects = projectCards();
    return { projects, deleted: listDeleted(), shown: demoShown(projects) };
  });
  if ('fault' in read) return <StoreFault title="The store cannot be used" words={read.fault} address="/" />;
  return <StartPage {...read.value} theme={theme} guarded={needsPassphrase()} />;
}
