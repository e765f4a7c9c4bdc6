/** As long as the name of a shot may be, letters. */
export const LONGEST_NAME = 120;
/** As long as the name of a thing of the kit may be, letters. */
export const LONGEST_THING_NAME = 80;
/** As long as the name of a set-up may be: it is read on the camera's own screen. */
export const LONGEST_SETUP_NAME = 40;
