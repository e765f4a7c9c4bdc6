import * as messages from '@/language/bench/cameras';
import type { ReactNode } from 'react';
import type { Brief } from '@/core/brief/brief';
import { matchSheetOf, mayDiffer } from '@/core/together/matchSheet';
import type { Settings } from '@/core/records/settings';
import { matchText, mayDifferText } from '@/words/matchText';
import { settingText } from '@/words/settingText';
import { usePreference } from '../../../data/repository';
import styles from './match.module.css';

/** One of the cameras, or halves, that are held beside each other. */
export interface Matched {
  name: string;
  settings: Settings;
  kit: Brief['filters'];
}

/** Every setting that can differ, side by side: what must be equal to cut together, and what is only seen. */
export function MatchTable({
  cameras,
  playback,
  caption,
  children,
}: {
  cameras: readonly Matched[];
  playback: Brief['playback'];
  caption: string;
  /** Further rows of what must be equal. */
  children?: ReactNode;
}): ReactNode {
  const [notation] = usePreference('filterNotation');
  const settings = cameras.map((one) => one.settings);
  return (
    <table className={styles.sheet}>
      <caption className="unseen">{caption}</caption>
      <thead>
        <tr>
          <th scope="col">{messages.toCutTogether}</th>
          {cameras.map(({ name }, at) => (
            <th key={at} scope="col">
              {name}
            </th>
          ))}
          <th scope="col">{messages.so}</th>
        </tr>
      </thead>
      <tbody>
        {matchSheetOf(settings, playback).map((item) => {
          const { name, values, so } = matchText(item);
          return (
            <MatchRow
              key={item.what}
              must
              name={name}
              values={values}
              so={so}
              same={item.same}
              of={cameras}
            />
          );
        })}
        {children}
      </tbody>
      <tbody>
        <tr>
          <th scope="rowgroup" colSpan={cameras.length + 2} className={styles.group}>
            {messages.mayDiffer}
          </th>
        </tr>
        {mayDiffer(settings).map((item) => (
          <MatchRow
            key={item.what}
            {...mayDifferText(item)}
            values={cameras.map((one) => settingText(item.what, one.settings, one.kit, notation))}
            same={item.same}
            of={cameras}
          />
        ))}
      </tbody>
    </table>
  );
}

/** `must`: where it differs the cameras do not cut together. */
export function MatchRow({
  name,
  values,
  so,
  same,
  must = false,
  of,
}: {
  name: string;
  values: readonly string[];
  so: string;
  same: boolean;
  must?: boolean;
  of: readonly Pick<Matched, 'name'>[];
}): ReactNode {
  return (
    <tr data-same={same} data-must={must}>
      <th scope="row">{name}</th>
      {values.map((value, at) => (
        <td key={at} className="numerals" data-camera={of[at]?.name}>
          {value}
        </td>
      ))}
      <td>{so}</td>
    </tr>
  );
}
