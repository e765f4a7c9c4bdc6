import * as z from 'zod';
import { finds, wants } from '../schema/fault';

/** A filter a person owns, as files tell it. What it does to the light stands in `filters/`. */
const id = z.string().min(1).max(40);
const stops = z.number().min(0).max(20);

const shared = {
  id,
  /** What two readings found it to be; the label is only what it was sold as. */
  measuredStops: stops.optional(),
  /** Ids of the filters it may be put in front of; left out, it stands alone. */
  stacksOn: z.array(id).max(12).optional(),
  /** It goes on in place of the camera's own cover glass, whose sealing is then gone. */
  opensSeal: z.boolean().optional(),
};

export const FilterSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...shared, kind: z.literal('nd'), stops }),
  z.strictObject({ ...shared, kind: z.literal('polarizer'), stops: stops.default(1.5) }),
  z
    .strictObject({ ...shared, kind: z.literal('variable'), stopsMin: stops, stopsMax: stops })
    .refine(
      (filter) => filter.stopsMin <= filter.stopsMax,
      finds({ code: 'atLeastKey', key: 'stopsMin' }, ['stopsMax']),
    )
    .refine((filter) => filter.measuredStops === undefined, {
      path: ['measuredStops'],
      error: wants('noMeasureOfVariable'),
    }),
  z.strictObject({ ...shared, kind: z.literal('haze'), stops: stops.default(0.2) }),
  z.strictObject({ ...shared, kind: z.literal('cover'), stops: stops.default(0.1) }),
]);

export type Filter = z.output<typeof FilterSchema>;
