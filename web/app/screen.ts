/** How this screen looks: it belongs to the screen in front of the gardener, not to the garden. */
import { remembering } from '../storage/browser';
import { THEMES, type ThemeName } from './theme';

const THEME_KEY = 'cabanon.theme';

export function themeNow(): ThemeName {
  const stored = remembering.get(THEME_KEY);
  return THEMES.find((t) => t.value === stored)?.value ?? 'day';
}

export function setTheme(theme: ThemeName): void {
  remembering.set(THEME_KEY, theme);
  document.documentElement.dataset['theme'] = theme;
}
