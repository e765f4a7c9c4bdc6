'use client';

import { Button } from 'antd';
import type { ButtonProps, DropdownProps, MenuProps } from 'antd';
import { MoreHorizontal } from 'lucide-react';
import type { ReactNode } from 'react';
import { MenuUnder } from './MenuUnder';

/** What else can be done here, under a button of three dots. */
export function MoreMenu({
  label,
  items,
  type = 'text',
  placement = 'bottomRight',
}: {
  /** What the button is called, as it is read aloud. */
  label: string;
  items: NonNullable<MenuProps['items']>;
  type?: NonNullable<ButtonProps['type']>;
  placement?: NonNullable<DropdownProps['placement']>;
}): ReactNode {
  return (
    <MenuUnder menu={{ items }} placement={placement}>
      <Button
        type={type}
        icon={<MoreHorizontal size={18} aria-hidden />}
        aria-label={label}
        aria-haspopup="menu"
      />
    </MenuUnder>
  );
}
