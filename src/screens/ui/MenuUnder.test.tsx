import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { MenuUnder } from './MenuUnder';

function Menu({ onTake, onMade }: { onTake?: (key: string) => void; onMade?: () => void }): ReactNode {
  return (
    <>
      <MenuUnder
        menu={() => {
          onMade?.();
          return {
            items: [
              { key: 'one', label: 'First' },
              { key: 'two', label: 'Second' },
            ],
            onClick: ({ key }) => onTake?.(key),
          };
        }}
      >
        <button type="button">More</button>
      </MenuUnder>
      <button type="button">Elsewhere</button>
    </>
  );
}

describe('a menu under its button', () => {
  it('is not there, nor made, before it is first opened', () => {
    const made = vi.fn();
    render(<Menu onMade={made} />);
    expect(made).not.toHaveBeenCalled();
    expect(screen.queryByRole('menu')).toBeNull();
  });

  it('opens by Enter, is walked by arrows and gives what is taken', async () => {
    const take = vi.fn();
    const user = userEvent.setup();
    render(<Menu onTake={take} />);
    screen.getByRole('button', { name: 'More' }).focus();
    await user.keyboard('{Enter}');
    await user.click(await screen.findByRole('menuitem', { name: 'Second' }));
    expect(take).toHaveBeenCalledExactlyOnceWith('two');
  });

  it('closes by a second click on its button', async () => {
    const user = userEvent.setup();
    render(<Menu />);
    const button = screen.getByRole('button', { name: 'More' });
    await user.click(button);
    const item = await screen.findByRole('menuitem', { name: 'First' });
    await user.click(button);
    await waitFor(() =>
      expect(item.closest('.ant-dropdown-hidden, [style*="none"]') ?? !item.isConnected).toBeTruthy(),
    );
  });

  it('gives the focus back to its button when something is taken', async () => {
    const user = userEvent.setup();
    render(<Menu />);
    const button = screen.getByRole('button', { name: 'More' });
    await user.click(button);
    await user.click(await screen.findByRole('menuitem', { name: 'First' }));
    await waitFor(() => expect(document.activeElement).toBe(button));
  });
});
