import type { LaunchRule } from '@/core/project/launch-limits';

export const RULE_WORDS: Record<LaunchRule, string> = {
  flash: 'Flash',
  jump: 'Jump',
  'bar-change': 'A bar comes or goes',
  'held-too-long': 'Held too long',
  'fade-cut-short': 'Fade cut short',
  'outside-stage': 'Not drawn by the system',
  'icon-masked': 'Icon cut by its circle',
};
