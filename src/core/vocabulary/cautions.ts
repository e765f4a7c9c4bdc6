/** The usual cautions, by mount and activity. They defer to local rules and licensed practice. */
export const CAUTIONS = [
  'neverOperateDriving',
  'windscreenClear',
  'secondTether',
  'cleanSuction',
  'snag',
  'letGoInFall',
  'droneRules',
  'waterSeals',
  'sealOpen',
  'jumpImpacts',
  'eyeProtection',
  'ropeFree',
  'hotOnSkin',
  'othersFilmed',
  'sags',
  'dew',
] as const;
export type Caution = (typeof CAUTIONS)[number];
