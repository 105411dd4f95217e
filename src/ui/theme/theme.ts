export const THEMES = ['system', 'light', 'dark'] as const;
export type Theme = (typeof THEMES)[number];
export const THEME_COOKIE = 'coulee-theme';

export const readTheme = (text: string | undefined): Theme => THEMES.find((t) => t === text) ?? 'system';
