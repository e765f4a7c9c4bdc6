import { useRef, useState } from 'react';
import { writeFaultText } from '../data/writeFault';

/** Takes a value; what is given back settles when it is written, and rejects when it could not be. */
export type Commit<V> = (value: V) => unknown;

interface Typed<V> {
  /** What stands in the field and is not written yet; undefined: what is kept. */
  typed: V | undefined;
  /** The same for one who acts on it: a field that rights what was typed says so in the event in which it is left. */
  now: () => V | undefined;
  type: (value: V) => void;
  /** Back to what is kept. */
  leave: () => void;
  /** Writes what was typed: it stays in the field until it is written, and when it is refused. */
  give: (commit: () => unknown) => void;
  /** Why it was not written. */
  refused: string | null;
}

/** What a person types into a field, until it is kept. */
export function useTyped<V>(): Typed<V> {
  const [typed, setTyped] = useState<V | undefined>(undefined);
  const [refused, setRefused] = useState<string | null>(null);
  const latest = useRef<V | undefined>(undefined);
  const stand = (value: V | undefined): void => {
    latest.current = value;
    setTyped(value);
  };
  const leave = (): void => {
    stand(undefined);
    setRefused(null);
  };
  return {
    typed,
    now: () => latest.current,
    type: (value) => {
      stand(value);
      setRefused(null);
    },
    leave,
    give: (commit) => {
      const value = latest.current;
      const given = commit();
      if (!(given instanceof Promise)) leave();
      else
        given.then(
          () => {
            // Typed on meanwhile: that is still to be written.
            if (latest.current === value) stand(undefined);
          },
          (error: unknown) => setRefused(writeFaultText(error)),
        );
    },
    refused,
  };
}

/** A field of text: what stands in it, and what it does when it is typed in and left. */
interface TypedText {
  value: string;
  status: 'error' | '';
  onType: (value: string) => void;
  /** Writes what was typed where it is acceptable and new; else back to what is kept. */
  onLeave: () => void;
  refused: string | null;
}

/** `accept` gives what is to be written of what was typed, or `null` where that cannot be. */
export function useTypedText(
  kept: string,
  accept: (typed: string) => string | null,
  onCommit: Commit<string>,
): TypedText {
  const { typed, now, type, leave, give, refused } = useTyped<string>();
  return {
    value: typed ?? kept,
    status: refused === null ? '' : 'error',
    onType: type,
    onLeave: () => {
      const last = now();
      const next = last === undefined ? null : accept(last);
      if (next === null || next === kept) leave();
      else give(() => onCommit(next));
    },
    refused,
  };
}

/** A name without blanks around it; an empty one cannot be. */
export function namedText(typed: string): string | null {
  const name = typed.trim();
  return name === '' ? null : name;
}
