import { describe, expect, it } from 'vitest';
import { WordedError } from '@/words/whyText';
import { writeFaultText } from './writeFault';

describe('a write that failed', () => {
  it('says what to do when the storage is full, also when the store wraps the error', () => {
    const quota = Object.assign(new Error('x'), { name: 'QuotaExceededError' });
    for (const error of [quota, Object.assign(new Error('y'), { name: 'AbortError', inner: quota })])
      expect(writeFaultText(error)).toMatch(/storage is full.*Nothing was lost.*Export everything/);
  });

  it('says when storing is refused, and else what came', () => {
    expect(writeFaultText(Object.assign(new Error('z'), { name: 'DatabaseClosedError' }))).toMatch(
      /refuses to store/,
    );
    expect(writeFaultText(new WordedError('no luck'))).toContain('nothing was lost: no luck');
    // What a library says is none of the person's.
    expect(writeFaultText(new Error('undefined is not a function'))).not.toContain('undefined');
  });
});
