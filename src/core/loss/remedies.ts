/** The changes that may be tried against a loss; each is applied and solved again in `answer/helps.ts`. */
export type HelpCode =
  | 'addFilter'
  | 'letShutterRun'
  | 'raiseCeiling'
  | 'logColour'
  | 'splitRun'
  | 'exposeForBright'
  | 'exposeForDark';
