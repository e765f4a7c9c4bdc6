'use client';

import { Dropdown } from 'antd';
import type { DropdownProps } from 'antd';
import { useEffect, useImperativeHandle, useRef, useState } from 'react';
import type { ReactNode, Ref, RefObject } from 'react';

type Menu = NonNullable<DropdownProps['menu']>;
const NOTHING: Menu = { items: [] };

/**
 * A menu under the button it belongs to, opened by click or Enter; closing it gives the focus back to the button. Until it
 * is first opened there is nothing but the button: a screen of twenty menus costs no more than its buttons.
 */
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
  /** The button. */
  children: ReactNode;
}): ReactNode {
  const [open, setOpen] = useState(startOpen);
  const [used, setUsed] = useState(startOpen);
  const place = useRef<HTMLSpanElement>(null);
  const closing = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => () => clearTimeout(closing.current), []);
  const turn = (next: boolean): void => {
    setOpen(next);
    setUsed(true);
    if (next) return;
    // Only when the closing left the focus nowhere: a click elsewhere keeps it there.
    clearTimeout(closing.current);
    closing.current = setTimeout(() => {
      const active = document.activeElement;
      if (active === null || active === document.body || active.closest('[role="menu"]'))
        place.current?.querySelector('button')?.focus();
    }, 50);
  };
  return (
    <>
      <span ref={place} style={{ display: 'contents' }} onClick={() => turn(!open)}>
        {children}
      </span>
      {used && (
        <Dropdown
          trigger={['click']}
          autoFocus
          menu={typeof menu !== 'function' ? menu : open ? menu() : NOTHING}
          open={open}
          onOpenChange={turn}
          {...(placement ? { placement } : {})}
        >
          <Beside button={place} />
        </Dropdown>
      )}
    </>
  );
}

/** Draws nothing, and says where the menu goes: what asks for its element is given the button. */
function Beside({ button, ref }: { button: RefObject<HTMLElement | null>; ref?: Ref<unknown> }): ReactNode {
  useImperativeHandle(ref, () => ({ nativeElement: button.current?.querySelector('button') }), [button]);
  return null;
}
