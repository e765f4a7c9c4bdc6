import * as messages from '@/language/words/why';

/** An error that says what went wrong in words for the person who reads it. */
export class WordedError extends Error {
  override name = 'WordedError';
}

/** What the browser's own errors mean to a person, by their name. */
const BY_NAME: Readonly<Record<string, string>> = {
  QuotaExceededError: messages.noRoom,
  NotFoundError: messages.gone,
  NotReadableError: messages.gone,
  NotAllowedError: messages.notAllowed,
  SecurityError: messages.notAllowed,
  AbortError: messages.brokenOff,
  RangeError: messages.tooLarge,
  NetworkError: messages.nothingAnswered,
};

/** Why something failed, in words: a library's or the browser's own are for those who wrote them, and say nothing to anybody else. */
export function whyText(error: unknown): string {
  if (!(error instanceof Error || error instanceof DOMException)) return messages.notWorkedOut;
  if (error.name === 'WordedError') return error.message;
  if (error.name === 'TypeError' && /fetch/i.test(error.message)) return messages.nothingAnswered;
  return BY_NAME[error.name] ?? messages.notWorkedOut;
}
