import { describe, expect, it } from 'vitest';
import { WordedError, whyText } from './whyText';

describe('why something failed', () => {
  it('is told in words of our own, whoever threw it', () => {
    expect(whyText(new WordedError('the list answered 404'))).toBe('the list answered 404');
    // As an error comes out of a worker: its name and its words alone.
    expect(whyText(Object.assign(new Error('it took too long'), { name: 'WordedError' }))).toBe(
      'it took too long',
    );
    expect(whyText(new DOMException('raw', 'NotReadableError'))).toContain('pick it again');
    expect(whyText(new RangeError('Array buffer allocation failed'))).toContain('too large');
    expect(whyText(new TypeError('Failed to fetch'))).toContain('network');
    for (const raw of [new TypeError('timestamp must be a number.'), 'raw', null, { message: 'raw' }])
      expect(whyText(raw)).toBe('something in it could not be worked out');
  });
});
