import type { Outing, OutingDay } from '@/core/records/outing';
import type { DayAtWork } from '../data/workedDay';
import type { DayEditing } from './useDayEditing';

/** The day that is open, as every part of the place is given it. */
export interface OpenOuting {
  outing: Outing;
  day: OutingDay;
  worked: DayAtWork;
  editing: DayEditing;
}
