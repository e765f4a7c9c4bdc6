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

/** Every term but the school's wishes: what a person may weigh. */
export const WEIGHED_TERMS = TERM_IDS.filter((id) => id !== 'wish');

/** What two moving pictures side by side show, so that a choice between them tells something of its weight. */
export const SEEN_TERMS = [
  'over',
  'under',
  'noise',
  'angle',
  'smear',
  'subjectBlur',
  'strobing',
  'stutter',
  'viewNarrow',
  'viewWide',
  'steadiness',
] as const satisfies readonly TermId[];
export type SeenTerm = (typeof SEEN_TERMS)[number];
