import type { BoundFunctions, queries } from '@testing-library/react';

/** A part of the page, asked as the page is. */
export type Region = BoundFunctions<typeof queries>;
