import * as z from 'zod';
import { VERDICTS } from '../vocabulary/verdicts';
import { MOST_TURNS } from './verdictTurns';

/** How often each verdict was given and taken back. */
export const TurnsSchema = z.partialRecord(z.enum(VERDICTS), z.int().min(1).max(MOST_TURNS));
