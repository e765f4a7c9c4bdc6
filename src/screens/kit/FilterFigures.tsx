'use client';

import { Checkbox } from 'antd';
import type { ReactNode } from 'react';
import type { Filter } from '@/core/filters/kit';
import { FilterSchema } from '@/core/filters/filterSchema';
import { without } from '@/core/units/without';
import { filterText } from '@/words/settingText';
import { ChoiceField, ListField, NumberField } from '../ui/Fields';
import { useOwnThings } from '../data/kit';

const FILTER_KINDS: readonly { value: Filter['kind']; label: string }[] = [
  { value: 'nd', label: 'neutral density' },
  { value: 'polarizer', label: 'polarizer' },
  { value: 'variable', label: 'variable' },
  { value: 'haze', label: 'haze' },
  { value: 'cover', label: 'extra cover glass' },
];

/** What a filter is, what it was found to be, and what it may be put in front of. */
export function FilterFigures({ filter, put }: { filter: Filter; put: (next: Filter) => void }): ReactNode {
  const { id } = filter;
  const others = useOwnThings().filters.filter((other) => other.id !== id);
  const take = (next: unknown): void => {
    const checked = FilterSchema.safeParse(next);
    if (checked.success) put(checked.data);
  };
  return (
    <>
      <ChoiceField
        label="Kind"
        value={filter.kind}
        options={FILTER_KINDS}
        onCommit={(kind) =>
          take(
            kind === 'variable'
              ? { id, kind, stopsMin: 2, stopsMax: 5 }
              : { id, kind, stops: kind === 'nd' ? 4 : undefined },
          )
        }
      />
      {filter.kind === 'variable' ? (
        <>
          <NumberField
            label="Lightest usable"
            unit="stops"
            step={0.1}
            value={filter.stopsMin}
            min={0}
            max={filter.stopsMax}
            onCommit={(v) => take({ ...filter, stopsMin: v })}
          />
          <NumberField
            label="Darkest usable"
            unit="stops"
            step={0.1}
            value={filter.stopsMax}
            min={filter.stopsMin}
            max={20}
            onCommit={(v) => take({ ...filter, stopsMax: v })}
          />
        </>
      ) : (
        <>
          <NumberField
            label="By its label"
            unit="stops"
            step={0.1}
            value={filter.stops}
            min={0}
            max={20}
            onCommit={(v) => take({ ...filter, stops: v })}
          />
          <NumberField
            label="Measured"
            unit="stops"
            step={0.1}
            value={filter.measuredStops}
            min={0}
            max={20}
            placeholder="not yet"
            onCommit={(v) =>
              take(v === undefined ? without(filter, 'measuredStops') : { ...filter, measuredStops: v })
            }
          />
        </>
      )}
      {others.length > 0 && (
        <ListField
          label="May be put in front of"
          values={filter.stacksOn ?? []}
          options={others.map((other) => ({ value: other.id, label: nameOf(other) }))}
          mayBeEmpty
          onCommit={(ids) =>
            take(ids.length === 0 ? without(filter, 'stacksOn') : { ...filter, stacksOn: ids })
          }
        />
      )}
      <Checkbox
        checked={filter.opensSeal ?? false}
        onChange={(event) =>
          take(event.target.checked ? { ...filter, opensSeal: true } : without(filter, 'opensSeal'))
        }
      >
        Goes on in place of the cover glass: sealing is lost
      </Checkbox>
    </>
  );
}

function nameOf(filter: Filter): string {
  return filter.kind === 'variable'
    ? `variable ${filter.stopsMin}–${filter.stopsMax}`
    : filterText({ ids: [filter.id], stops: filter.stops }, [filter]);
}
