/** The changes that may be tried against a loss; each is applied and solved again in `answer/remedies.ts`. */
export type RemedyCode =
  | 'addFilter'
  | 'letShutterRun'
  | 'raiseCeiling'
  | 'logColour'
  | 'splitRun'
  | 'exposeForBright'
  | 'exposeForDark';
