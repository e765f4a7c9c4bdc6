'use client';

import * as messages from '@/language/kit';
import { COLOURS, RECORDINGS, STABILIZATIONS } from '@/core/vocabulary/modes';
import type { Colour, RecordingMode, Stabilization } from '@/core/vocabulary/modes';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { combinationsOf, limitCovers, modesOf } from '@/core/camera/modeTable';
import type { CameraProfile, ProfileLimit, ProfileRule } from '@/core/camera/profile';
import { omit } from '@/core/units/omit';
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
    edit(messages.changeRule({ at: at + 1 }), (one) => ({
      ...one,
      rules: one.rules.map((rule, index) => (index === at ? { ...rule, ...change } : rule)),
    }));
  return (
    <section aria-labelledby="rules-title">
      <h3 id="rules-title">{messages.whatGoesTogether}</h3>
      <p className="quiet">{messages.everythingInOneRuleGoes({ count: modesOf(profile).length })}</p>
      <ol className={styles.rules}>
        {profile.rules.map((rule, at) => (
          <li key={at}>
            <Rule
              rule={rule}
              at={at}
              profile={profile}
              put={(change) => put(at, change)}
              onCopy={() =>
                edit(messages.copyARule, (one) => ({
                  ...one,
                  rules: [...one.rules.slice(0, at + 1), rule, ...one.rules.slice(at + 1)],
                }))
              }
              onRemove={() =>
                edit(messages.removeARule, (one) => ({
                  ...one,
                  rules: one.rules.filter((_, index) => index !== at),
                }))
              }
            />
          </li>
        ))}
      </ol>
      <h3>{messages.exceptions}</h3>
      <ul className={styles.rules}>
        {profile.limits.map((limit, at) => (
          <li key={at}>
            <Limit
              limit={limit}
              profile={profile}
              put={(change) =>
                edit(messages.changeAnException, (one) => ({
                  ...one,
                  limits: one.limits.map((other, index) => (index === at ? { ...other, ...change } : other)),
                }))
              }
              onRemove={() =>
                edit(messages.removeAnException, (one) => ({
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
          edit(messages.addAnExceptionWord, (one) => ({
            ...one,
            limits: [...one.limits, { says: messages.notAbove60Fps, where: { frameRateAbove: 60 } }],
          }))
        }
      >
        {messages.addAnException}
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
        <strong>{messages.rule({ at: at + 1 })}</strong> {ruleText(rule)}{' '}
        <span className="quiet numerals">
          {kept.length === given.length
            ? messages.modes({ count: kept.length })
            : messages.ofModes({ count: kept.length, count2: given.length })}
        </span>
      </summary>
      <p className={styles.ruleHead}>
        <Button type="text" onClick={onCopy} aria-label={messages.copyRule({ at: at + 1 })}>
          {messages.copy}
        </Button>
        <Button
          type="text"
          onClick={onRemove}
          aria-label={messages.removeRule({ at: at + 1 })}
          disabled={profile.rules.length === 1}
        >
          {messages.remove}
        </Button>
      </p>
      <div className={styles.fields}>
        <ListField
          label={messages.sizes}
          values={rule.resolutions}
          options={profile.resolutions.map(({ id }) => ({ value: id, label: id }))}
          onCommit={(resolutions) => put({ resolutions })}
        />
        <ListField
          label={messages.frameRates}
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
          label={messages.views}
          values={rule.views}
          options={profile.views.map(({ id }) => ({ value: id, label: viewLabel(id) }))}
          onCommit={(views) => put({ views })}
        />
        <ListField
          label={messages.stabilization}
          values={rule.stabilizations}
          options={labelled(STABILIZATIONS, STABILIZATION_LABEL)}
          onCommit={(list) => put({ stabilizations: list as Stabilization[] })}
        />
        <ListField
          label={messages.recording}
          values={rule.recordings}
          options={labelled(RECORDINGS, RECORDING_LABEL)}
          onCommit={(list) => put({ recordings: list as RecordingMode[] })}
        />
        <ListField
          label={messages.colour}
          values={rule.colours}
          options={labelled(colours, COLOUR_LABEL)}
          onCommit={(list) => put({ colours: list as Colour[] })}
        />
        <ListField
          label={messages.codecBitsAndMbitS}
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
    const others = omit(where, key);
    put({ where: values.length === 0 ? others : { ...others, [key]: values } });
  };
  return (
    <details className={styles.rule}>
      <summary>
        {limit.says} <span className="quiet numerals">{messages.takesModes({ taken })}</span>
      </summary>
      <p className={styles.ruleHead}>
        <Button type="text" onClick={onRemove} aria-label={messages.removeTheException({ says: limit.says })}>
          {messages.remove}
        </Button>
      </p>
      <div className={styles.fields}>
        <TextField
          label={messages.inWords}
          value={limit.says}
          maxLength={160}
          onCommit={(says) => put({ says })}
        />
        <NumberField
          label={messages.frameRatesAbove}
          unit={messages.fps}
          value={where.frameRateAbove}
          min={0}
          max={1000}
          placeholder={messages.any}
          onCommit={(frameRateAbove) => {
            const others = omit(where, 'frameRateAbove');
            put({ where: frameRateAbove === undefined ? others : { ...others, frameRateAbove } });
          }}
        />
        <AnyOf
          label={messages.sizes}
          values={where.resolutions}
          options={profile.resolutions.map(({ id }) => ({ value: id, label: id }))}
          onCommit={(list) => condition('resolutions', list)}
        />
        <AnyOf
          label={messages.views}
          values={where.views}
          options={profile.views.map(({ id }) => ({ value: id, label: viewLabel(id) }))}
          onCommit={(list) => condition('views', list)}
        />
        <AnyOf
          label={messages.stabilization}
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
      options={[{ value: ANY, label: messages.any }, ...options]}
      onCommit={(chosen) => {
        const added = chosen.filter((one) => !(values ?? [ANY]).includes(one));
        onCommit(added.includes(ANY) ? [] : chosen.filter((one) => one !== ANY));
      }}
    />
  );
}
