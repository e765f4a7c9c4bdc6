import * as messages from '@/language/ui';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { usePreference } from '../data/repository';

/** Between paper and the theme that can be read in the sun. */
export function GlareButton(): ReactNode {
  const [theme, setTheme] = usePreference('theme');
  return (
    <Button onClick={() => setTheme(theme === 'glare' ? 'paper' : 'glare')} aria-pressed={theme === 'glare'}>
      {messages.glare}
    </Button>
  );
}
