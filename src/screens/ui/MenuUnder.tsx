'use client';

import { Dropdown } from 'antd';
import type { DropdownProps } from 'antd';
import { useRef, useState } from 'react';
import type { ReactNode } from 'react';

type Menu = NonNullable<DropdownProps['menu']>;
const NOTHING: Menu = { items: [] };

/** A menu under the button it belongs to, opened by click or Enter; closing it gives the focus back to the button. */
export function MenuUnder({
  menu,
  placement,
  startOpen = false,
  children,
}: {
  /** Or what makes it, once it is opened. */
  menu: Menu | (() => Menu);
  placement?: NonNullable<DropdownProps['placement']>;
  startOpen?: boolean;
  children: ReactNode;
}): ReactNode {
  const [open, setOpen] = useState(startOpen);
  const place = useRef<HTMLSpanElement>(null);
  const turn = (next: boolean): void => {
    setOpen(next);
    if (next) return;
    // Only when the closing left the focus nowhere: a click elsewhere keeps it there.
    setTimeout(() => {
      const active = document.activeElement;
      if (active === null || active === document.body || active.closest('[role="menu"]'))
        place.current?.querySelector('button')?.focus();
    }, 50);
  };
  return (
    <span ref={place} style={{ display: 'contents' }}>
      <Dropdown
        trigger={['click']}
        autoFocus
        menu={typeof menu !== 'function' ? menu : open ? menu() : NOTHING}
        open={open}
        onOpenChange={turn}
        {...(placement ? { placement } : {})}
      >
        {children}
      </Dropdown>
    </span>
  );
}
