'use client';

import * as messages from '@/language/shell';
import { Button } from 'antd';
import type { ButtonProps } from 'antd';
import { Menu } from 'lucide-react';
import type { ReactNode } from 'react';

export function MenuButton(props: ButtonProps): ReactNode {
  return (
    <Button
      {...props}
      type="text"
      icon={<Menu size={18} aria-hidden />}
      aria-label={messages.menu}
      aria-haspopup="menu"
    />
  );
}
