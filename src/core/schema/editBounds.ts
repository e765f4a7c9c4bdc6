/** A device counts its edits so far under one name; then it takes another. */
export const MOST_COUNT = 1_000_000_000;
/** Devices named by one record: a person has a few, each of which takes a new name now and then. */
export const MOST_DEVICES = 256;
