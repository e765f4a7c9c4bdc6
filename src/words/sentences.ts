/** A reason in words: one line to read at a glance, and the arithmetic behind it. */
export interface ReasonText {
  text: string;
  steps: string[];
  /** The end of the text that is enough under a tile, where the whole is long. */
  short?: string;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

export function decapitalized(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}
