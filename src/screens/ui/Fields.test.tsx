import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { ChoiceField, ClockField, NumberField, TextField } from './Fields';
import { WordedError } from '@/words/whyText';

describe('a field of a number', () => {
  it('commits on Enter and when it is left, once for what is new', async () => {
    const commit = vi.fn();
    const user = userEvent.setup();
    render(<NumberField label="Speed" unit="m/s" value={4} min={0} max={60} onCommit={commit} />);
    const field = screen.getByRole('spinbutton', { name: 'Speed' });
    await user.clear(field);
    await user.type(field, '7');
    expect(commit).not.toHaveBeenCalled();
    await user.keyboard('{Enter}');
    expect(commit).toHaveBeenCalledExactlyOnceWith(7);
  });

  it('commits the nearest it may be when what was typed is out of bounds, left or by Enter', async () => {
    const commit = vi.fn();
    const user = userEvent.setup();
    render(<NumberField label="Speed" value={4} min={0} max={60} onCommit={commit} />);
    const field = screen.getByRole('spinbutton', { name: 'Speed' });
    await user.clear(field);
    await user.type(field, '999');
    await user.tab();
    expect(commit).toHaveBeenCalledExactlyOnceWith(60);
    await user.clear(field);
    await user.type(field, '-5{Enter}');
    expect(commit).toHaveBeenLastCalledWith(0);
  });

  it('is not emptied, unless empty means something', async () => {
    const commit = vi.fn();
    const user = userEvent.setup();
    const { rerender } = render(<NumberField label="Speed" value={4} min={0} max={60} onCommit={commit} />);
    await user.clear(screen.getByRole('spinbutton', { name: 'Speed' }));
    await user.tab();
    expect(commit).not.toHaveBeenCalled();
    expect(screen.getByRole('spinbutton', { name: 'Speed' })).toHaveProperty('value', '4');

    rerender(<NumberField label="Speed" value={4} min={0} max={60} placeholder="usual" onCommit={commit} />);
    await user.clear(screen.getByRole('spinbutton', { name: 'Speed' }));
    await user.tab();
    expect(commit).toHaveBeenCalledExactlyOnceWith(undefined);
  });

  it('says under it why it was not written, and keeps what was typed', async () => {
    const user = userEvent.setup();
    render(
      <NumberField
        label="Speed"
        value={4}
        min={0}
        max={60}
        onCommit={() => Promise.reject(new WordedError('no room'))}
      />,
    );
    const field = screen.getByRole('spinbutton', { name: 'Speed' });
    await user.clear(field);
    await user.type(field, '9{Enter}');
    expect((await screen.findByRole('alert')).textContent).toContain('no room');
    expect(field).toHaveProperty('value', '9');
  });
});

describe('a field of text', () => {
  it('is named by its label and commits a new name', async () => {
    const commit = vi.fn();
    const user = userEvent.setup();
    render(<TextField label="Name" value="Rook" maxLength={40} onCommit={commit} />);
    const field = screen.getByRole('textbox', { name: 'Name' });
    await user.clear(field);
    await user.type(field, 'Pika');
    await user.tab();
    expect(commit).toHaveBeenCalledExactlyOnceWith('Pika');
  });
});

describe('a field of the clock', () => {
  it('takes a whole time when it is left, and nothing half typed', async () => {
    const commit = vi.fn();
    const user = userEvent.setup();
    render(<ClockField label="Starts" kind="time" value="10:10" onCommit={commit} />);
    const field = screen.getByLabelText('Starts');
    await user.clear(field);
    await user.tab();
    expect(commit).not.toHaveBeenCalled();
    expect(field).toHaveProperty('value', '10:10');
    await user.clear(field);
    await user.type(field, '11:45');
    await user.tab();
    expect(commit).toHaveBeenCalledExactlyOnceWith('11:45');
  });

  it('takes no date out of the centuries that a sun is known for', async () => {
    const commit = vi.fn();
    const user = userEvent.setup();
    render(<ClockField label="Date" kind="date" value="2026-10-03" onCommit={commit} />);
    const field = screen.getByLabelText('Date');
    await user.clear(field);
    await user.type(field, '1026-10-03');
    await user.tab();
    expect(commit).not.toHaveBeenCalled();
    await user.clear(field);
    await user.type(field, '2026-10-04');
    await user.tab();
    expect(commit).toHaveBeenCalledExactlyOnceWith('2026-10-04');
  });
});

describe('a field of a choice', () => {
  it('offers its options and commits the one taken', async () => {
    const commit = vi.fn();
    const user = userEvent.setup();
    render(
      <ChoiceField
        label="Sky"
        value="clear"
        options={[
          { value: 'clear', label: 'clear' },
          { value: 'haze', label: 'thin haze' },
        ]}
        onCommit={commit}
      />,
    );
    await user.click(screen.getByRole('combobox', { name: 'Sky' }));
    await user.click(await screen.findByText('thin haze'));
    expect(commit).toHaveBeenCalledTimes(1);
    expect(commit.mock.calls[0]![0]).toBe('haze');
  });
});
