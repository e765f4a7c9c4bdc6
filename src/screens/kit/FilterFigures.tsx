'use client';

import * as messages from '@/language/kit';
import { Checkbox } from 'antd';
import type { ReactNode } from 'react';
import type { Filter } from '@/core/filters/kit';
import { FilterSchema } from '@/core/filters/filterSchema';
import { omit } from '@/core/units/omit';
import { FILTER_KIND_LABEL } from '@/words/labels';
import { filterText } from '@/words/settingText';
import { ChoiceField, ListField, NumberField } from '../ui/Fields';
import { useOwnThings } from '../data/kit';

const FILTER_KINDS = (['nd', 'polarizer', 'variable', 'haze', 'cover'] as const).map((value) => ({
  value,
  label: FILTER_KIND_LABEL[value],
}));

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
        label={messages.kind}
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
            label={messages.lightestUsable}
            unit={messages.stops}
            step={0.1}
            value={filter.stopsMin}
            min={0}
            max={filter.stopsMax}
            onCommit={(v) => take({ ...filter, stopsMin: v })}
          />
          <NumberField
            label={messages.darkestUsable}
            unit={messages.stops}
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
            label={messages.byItsLabel}
            unit={messages.stops}
            step={0.1}
            value={filter.stops}
            min={0}
            max={20}
            onCommit={(v) => take({ ...filter, stops: v })}
          />
          <NumberField
            label={messages.measured}
            unit={messages.stops}
            step={0.1}
            value={filter.measuredStops}
            min={0}
            max={20}
            placeholder={messages.notYet}
            onCommit={(v) =>
              take(v === undefined ? omit(filter, 'measuredStops') : { ...filter, measuredStops: v })
            }
          />
        </>
      )}
      {others.length > 0 && (
        <ListField
          label={messages.mayBePutInFront}
          values={filter.stacksOn ?? []}
          options={others.map((other) => ({ value: other.id, label: nameOf(other) }))}
          mayBeEmpty
          onCommit={(ids) => take(ids.length === 0 ? omit(filter, 'stacksOn') : { ...filter, stacksOn: ids })}
        />
      )}
      <Checkbox
        checked={filter.opensSeal ?? false}
        onChange={(event) =>
          take(event.target.checked ? { ...filter, opensSeal: true } : omit(filter, 'opensSeal'))
        }
      >
        {messages.goesOnInPlaceOf}
      </Checkbox>
    </>
  );
}

function nameOf(filter: Filter): string {
  return filter.kind === 'variable'
    ? messages.variable2({ stopsMin: filter.stopsMin, stopsMax: filter.stopsMax })
    : filterText({ ids: [filter.id], stops: filter.stops }, [filter]);
}
