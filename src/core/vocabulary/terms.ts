/**
 * The ways in which a viewer sees a picture go wrong, in the order of the charts, and what a school wishes for and does not
 * get. Each is worked out by its module in `loss/terms/`.
 */
export const TERM_IDS = [
  'over',
  'under',
  'noise',
  'drift',
  'filter',
  'angle',
  'smear',
  'subjectBlur',
  'strobing',
  'flicker',
  'stutter',
  'cadence',
  'resolution',
  'viewNarrow',
  'viewWide',
  'steadiness',
  'tilt',
  'editCrop',
  'bitRate',
  'card',
  'colour',
  'wish',
] as const;
export type TermId = (typeof TERM_IDS)[number];
