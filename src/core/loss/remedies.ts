/** The changes that may be tried against a loss; each is applied and solved again in `answer/helps.ts`. */
export const HELP_CODES = [
  'addFilter',
  'letShutterRun',
  'raiseCeiling',
  'logColour',
  'splitRun',
  'exposeForBright',
  'exposeForDark',
] as const;
export type HelpCode = (typeof HELP_CODES)[number];
