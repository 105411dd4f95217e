'use client';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { THEME_COOKIE, THEMES, type Theme } from '../theme/theme';

const YEAR = 365 * 24 * 3600;

/** The look of Coulee itself: as the system says, light, or dark. Not the appearance of the screens. */
export function ThemeSwitch({ start }: { start: Theme }) {
  const [theme, setTheme] = useState(start);
  const next = THEMES[(THEMES.indexOf(theme) + 1) % THEMES.length]!;
  const choose = () => {
    setTheme(next);
    document.cookie = `${THEME_COOKIE}=${next}; path=/; max-age=${YEAR}; samesite=strict`;
    if (next === 'system') delete document.documentElement.dataset.theme;
    else document.documentElement.dataset.theme = next;
  };
  return (
    <Button
      variant="bar"
      size="sm"
      onClick={choose}
      aria-label={`Theme: ${theme}`}
      title={`The look of this page: ${theme}. Next: ${next}`}
    >
      ◐
    </Button>
  );
}
