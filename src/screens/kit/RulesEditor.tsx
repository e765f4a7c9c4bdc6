'use client';

import { COLOURS, RECORDINGS, STABILIZATIONS } from '@/core/vocabulary/modes';
import type { Colour, Recording, Stabilization } from '@/core/vocabulary/modes';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { combinationsOf, limitCovers, modesOf } from '@/core/camera/modeTable';
import type { CameraProfile, ProfileLimit, ProfileRule } from '@/core/camera/profile';
import { without } from '@/core/units/without';
import { COLOUR_LABEL, RECORDING_LABEL, STABILIZATION_LABEL, viewLabel } from '@/words/labels';
import { ListField, NumberField, TextField } from '../ui/Fields';
import { ruleText } from '@/words/cameraText';
import { encodingNames, encodingsFrom } from './encodingNames';
import type { EditProfile } from './useProfileDraft';
import styles from './kit.module.css';

const labelled = <T extends string>(
  ids: readonly T[],
  label: Record<T, string>,
): { value: T; label: string }[] => ids.map((value) => ({ value, label: label[value] }));

/** What goes together as rules, and the exceptions as limits, each with how many modes it gives or takes. */
export function RulesEditor({ profile, edit }: { profile: CameraProfile; edit: EditProfile }): ReactNode {
  const put = (at: number, change: Partial<ProfileRule>): void =>
    edit(`change rule ${at + 1}`, (one) => ({
      ...one,
      rules: one.rules.map((rule, index) => (index === at ? { ...rule, ...change } : rule)),
    }));
  return (
    <section aria-labelledby="rules-title">
      <h3 id="rules-title">What goes together</h3>
      <p className="quiet">
        Everything in one rule goes with everything else in it, less the exceptions below:{' '}
        {modesOf(profile).length} modes in all.
      </p>
      <ol className={styles.rules}>
        {profile.rules.map((rule, at) => (
          <li key={at}>
            <Rule
              rule={rule}
              at={at}
              profile={profile}
              put={(change) => put(at, change)}
              onCopy={() =>
                edit('copy a rule', (one) => ({
                  ...one,
                  rules: [...one.rules.slice(0, at + 1), rule, ...one.rules.slice(at + 1)],
                }))
              }
              onRemove={() =>
                edit('remove a rule', (one) => ({
                  ...one,
                  rules: one.rules.filter((_, index) => index !== at),
                }))
              }
            />
          </li>
        ))}
      </ol>
      <h3>Exceptions</h3>
      <ul className={styles.rules}>
        {profile.limits.map((limit, at) => (
          <li key={at}>
            <Limit
              limit={limit}
              profile={profile}
              put={(change) =>
                edit('change an exception', (one) => ({
                  ...one,
                  limits: one.limits.map((other, index) => (index === at ? { ...other, ...change } : other)),
                }))
              }
              onRemove={() =>
                edit('remove an exception', (one) => ({
                  ...one,
                  limits: one.limits.filter((_, index) => index !== at),
                }))
              }
            />
          </li>
        ))}
      </ul>
      <Button
        onClick={() =>
          edit('add an exception', (one) => ({
            ...one,
            limits: [...one.limits, { says: 'not above 60 fps', where: { frameRateAbove: 60 } }],
          }))
        }
      >
        Add an exception
      </Button>
    </section>
  );
}

function Rule({
  rule,
  at,
  profile,
  put,
  onCopy,
  onRemove,
}: {
  rule: ProfileRule;
  at: number;
  profile: CameraProfile;
  put: (change: Partial<ProfileRule>) => void;
  onCopy: () => void;
  onRemove: () => void;
}): ReactNode {
  const given = [...combinationsOf(rule)];
  const kept = given.filter((wish) => !profile.limits.some((limit) => limitCovers(limit, wish)));
  const colours = COLOURS.filter((colour) => profile.iso[colour]);
  return (
    <details className={styles.rule}>
      <summary>
        <strong>Rule {at + 1}</strong> {ruleText(rule)}{' '}
        <span className="quiet numerals">
          {kept.length === given.length ? `${kept.length} modes` : `${kept.length} of ${given.length} modes`}
        </span>
      </summary>
      <p className={styles.ruleHead}>
        <Button type="text" onClick={onCopy} aria-label={`Copy rule ${at + 1}`}>
          Copy
        </Button>
        <Button
          type="text"
          onClick={onRemove}
          aria-label={`Remove rule ${at + 1}`}
          disabled={profile.rules.length === 1}
        >
          Remove
        </Button>
      </p>
      <div className={styles.fields}>
        <ListField
          label="Sizes"
          values={rule.resolutions}
          options={profile.resolutions.map(({ id }) => ({ value: id, label: id }))}
          onCommit={(resolutions) => put({ resolutions })}
        />
        <ListField
          label="Frame rates"
          free
          values={rule.frameRates.map(String)}
          options={[24, 25, 30, 50, 60, 100, 120, 200, 240].map((rate) => ({
            value: String(rate),
            label: String(rate),
          }))}
          onCommit={(rates) =>
            put({
              frameRates: rates
                .map(Number)
                .filter((rate) => rate > 0)
                .sort((a, b) => a - b),
            })
          }
        />
        <ListField
          label="Views"
          values={rule.views}
          options={profile.views.map(({ id }) => ({ value: id, label: viewLabel(id) }))}
          onCommit={(views) => put({ views })}
        />
        <ListField
          label="Stabilization"
          values={rule.stabilizations}
          options={labelled(STABILIZATIONS, STABILIZATION_LABEL)}
          onCommit={(list) => put({ stabilizations: list as Stabilization[] })}
        />
        <ListField
          label="Recording"
          values={rule.recordings}
          options={labelled(RECORDINGS, RECORDING_LABEL)}
          onCommit={(list) => put({ recordings: list as Recording[] })}
        />
        <ListField
          label="Colour"
          values={rule.colours}
          options={labelled(colours, COLOUR_LABEL)}
          onCommit={(list) => put({ colours: list as Colour[] })}
        />
        <ListField
          label="Codec, bits and Mbit/s"
          free
          values={encodingNames(rule.encodings)}
          options={encodingNames(profile.rules.flatMap(({ encodings }) => encodings)).map((value) => ({
            value,
            label: value,
          }))}
          onCommit={(names) => {
            const encodings = encodingsFrom(names);
            if (encodings) put({ encodings });
          }}
        />
      </div>
    </details>
  );
}

function Limit({
  limit,
  profile,
  put,
  onRemove,
}: {
  limit: ProfileLimit;
  profile: CameraProfile;
  put: (change: Partial<ProfileLimit>) => void;
  onRemove: () => void;
}): ReactNode {
  const { where } = limit;
  const taken = profile.rules
    .flatMap((rule) => [...combinationsOf(rule)])
    .filter((wish) => limitCovers(limit, wish)).length;
  const condition = (key: 'resolutions' | 'views' | 'stabilizations', values: readonly string[]): void => {
    const others = without(where, key);
    put({ where: values.length === 0 ? others : { ...others, [key]: values } });
  };
  return (
    <details className={styles.rule}>
      <summary>
        {limit.says} <span className="quiet numerals">takes {taken} modes</span>
      </summary>
      <p className={styles.ruleHead}>
        <Button type="text" onClick={onRemove} aria-label={`Remove the exception: ${limit.says}`}>
          Remove
        </Button>
      </p>
      <div className={styles.fields}>
        <TextField label="In words" value={limit.says} maxLength={160} onCommit={(says) => put({ says })} />
        <NumberField
          label="Frame rates above"
          unit="fps"
          value={where.frameRateAbove}
          min={0}
          max={1000}
          placeholder="any"
          onCommit={(frameRateAbove) => {
            const others = without(where, 'frameRateAbove');
            put({ where: frameRateAbove === undefined ? others : { ...others, frameRateAbove } });
          }}
        />
        <AnyOf
          label="Sizes"
          values={where.resolutions}
          options={profile.resolutions.map(({ id }) => ({ value: id, label: id }))}
          onCommit={(list) => condition('resolutions', list)}
        />
        <AnyOf
          label="Views"
          values={where.views}
          options={profile.views.map(({ id }) => ({ value: id, label: viewLabel(id) }))}
          onCommit={(list) => condition('views', list)}
        />
        <AnyOf
          label="Stabilization"
          values={where.stabilizations}
          options={labelled(STABILIZATIONS, STABILIZATION_LABEL)}
          onCommit={(list) => condition('stabilizations', list)}
        />
      </div>
    </details>
  );
}

const ANY = '__any';

/** A condition that may be left open. */
function AnyOf({
  label,
  values,
  options,
  onCommit,
}: {
  label: string;
  values: readonly string[] | undefined;
  options: readonly { value: string; label: string }[];
  onCommit: (values: string[]) => void;
}): ReactNode {
  return (
    <ListField
      label={label}
      values={values ?? [ANY]}
      options={[{ value: ANY, label: 'any' }, ...options]}
      onCommit={(chosen) => {
        const added = chosen.filter((one) => !(values ?? [ANY]).includes(one));
        onCommit(added.includes(ANY) ? [] : chosen.filter((one) => one !== ANY));
      }}
    />
  );
}
