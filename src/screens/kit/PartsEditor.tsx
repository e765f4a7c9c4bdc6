'use client';

import * as messages from '@/language/kit';
import { STABILIZATIONS } from '@/core/vocabulary/modes';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import type { CameraProfile } from '@/core/camera/profile';
import { renamedPart, withoutPart } from '@/core/camera/parts';
import { PROJECTIONS, verticalDeg, viewAfterCropDeg } from '@/core/optics/projection';
import { omit } from '@/core/units/omit';
import { trimmed } from '@/core/units/format';
import { PROJECTION_LABEL } from '@/words/cameraText';
import { STABILIZATION_LABEL, viewLabel } from '@/words/labels';
import { ChoiceField, NumberField, TextField } from '../ui/Fields';
import type { EditProfile } from './useProfileDraft';
import styles from './kit.module.css';

/** The sizes, views and holds that rules speak of. */
export function PartsEditor({ profile, edit }: { profile: CameraProfile; edit: EditProfile }): ReactNode {
  return (
    <>
      <Views profile={profile} edit={edit} />
      <Sizes profile={profile} edit={edit} />
      <Holds profile={profile} edit={edit} />
    </>
  );
}

/** A name that no part has yet. */
function freeName(taken: readonly { id: string }[], stem: string): string {
  for (let count = 1; ; count++) {
    const name = count === 1 ? stem : `${stem} ${count}`;
    if (!taken.some(({ id }) => id === name)) return name;
  }
}

function Views({ profile, edit }: { profile: CameraProfile; edit: EditProfile }): ReactNode {
  const put = (id: string, change: Partial<CameraProfile['views'][number]>): void =>
    edit(messages.changeTheView({ id: viewLabel(id) }), (one) => ({
      ...one,
      views: one.views.map((view) => (view.id === id ? { ...view, ...change } : view)),
    }));
  return (
    <section aria-labelledby="views-title">
      <h3 id="views-title">{messages.views}</h3>
      <ul className={styles.parts}>
        {profile.views.map((view) => (
          <li key={view.id} className={styles.fields}>
            <TextField
              label={messages.name}
              value={view.id}
              maxLength={60}
              onCommit={(name) =>
                edit(messages.renameAView, (one) => renamedPart(one, 'views', view.id, name))
              }
            />
            <NumberField
              label={messages.across}
              unit="°"
              value={view.horizontalDeg}
              min={2}
              max={179}
              onCommit={(horizontalDeg) => {
                if (horizontalDeg !== undefined) put(view.id, { horizontalDeg });
              }}
            />
            <ChoiceField
              label={messages.projection}
              value={view.projection}
              options={PROJECTIONS.map((value) => ({ value, label: PROJECTION_LABEL[value] }))}
              onCommit={(projection) => put(view.id, { projection })}
            />
            <NumberField
              label={messages.lensOfItsOwn}
              unit={messages.unitMm}
              value={view.focalMm}
              min={0.5}
              max={300}
              step={0.5}
              placeholder={messages.usual}
              onCommit={(focalMm) =>
                edit(messages.changeALens, (one) => ({
                  ...one,
                  views: one.views.map((other) => {
                    if (other.id !== view.id) return other;
                    const rest = omit(other, 'focalMm');
                    return focalMm === undefined ? rest : { ...rest, focalMm };
                  }),
                }))
              }
            />
            <p className={styles.worked}>
              {messages.uprightIn169In({
                view: trimmed(verticalDeg(view, 16, 9), 0),
                view2: trimmed(verticalDeg(view, 4, 3), 0),
              })}
            </p>
            <Button
              type="text"
              aria-label={messages.removeTheView({ id: viewLabel(view.id) })}
              onClick={() => edit(messages.removeAView, (one) => withoutPart(one, 'views', view.id))}
            >
              {messages.remove}
            </Button>
          </li>
        ))}
      </ul>
      <Button
        onClick={() =>
          edit(messages.addAViewWord, (one) => ({
            ...one,
            views: [
              ...one.views,
              {
                id: freeName(one.views, messages.newView),
                horizontalDeg: 90,
                projection: 'straight',
                fromSphere: false,
              },
            ],
          }))
        }
      >
        {messages.addAView}
      </Button>
    </section>
  );
}

function Sizes({ profile, edit }: { profile: CameraProfile; edit: EditProfile }): ReactNode {
  return (
    <section aria-labelledby="sizes-title">
      <h3 id="sizes-title">{messages.sizes}</h3>
      <ul className={styles.parts}>
        {profile.resolutions.map((size) => (
          <li key={size.id} className={styles.fields}>
            <TextField
              label={messages.name}
              value={size.id}
              maxLength={60}
              onCommit={(name) =>
                edit(messages.renameASize, (one) => renamedPart(one, 'resolutions', size.id, name))
              }
            />
            {(['width', 'height'] as const).map((side) => (
              <NumberField
                key={side}
                label={side === 'width' ? messages.width : messages.height}
                unit={messages.unitPx}
                value={size[side]}
                min={120}
                max={16384}
                onCommit={(value) => {
                  if (value !== undefined)
                    edit(messages.changeASize, (one) => ({
                      ...one,
                      resolutions: one.resolutions.map((other) =>
                        other.id === size.id ? { ...other, [side]: Math.round(value) } : other,
                      ),
                    }));
                }}
              />
            ))}
            <Button
              type="text"
              aria-label={messages.removeId({ id: size.id })}
              onClick={() => edit(messages.removeASize, (one) => withoutPart(one, 'resolutions', size.id))}
            >
              {messages.remove}
            </Button>
          </li>
        ))}
      </ul>
      <Button
        onClick={() =>
          edit(messages.addASizeWord, (one) => ({
            ...one,
            resolutions: [
              ...one.resolutions,
              { id: freeName(one.resolutions, messages.newSize), width: 1920, height: 1080 },
            ],
          }))
        }
      >
        {messages.addASize}
      </Button>
    </section>
  );
}

function Holds({ profile, edit }: { profile: CameraProfile; edit: EditProfile }): ReactNode {
  const [widest] = [...profile.views].sort((a, b) => b.horizontalDeg - a.horizontalDeg);
  return (
    <section aria-labelledby="holds-title">
      <h3 id="holds-title">{messages.holds}</h3>
      <ul className={styles.parts}>
        {STABILIZATIONS.map((hold) => {
          if (hold === 'off') return null;
          const means = profile.stabilizations[hold];
          const name = STABILIZATION_LABEL[hold];
          return (
            <li key={hold} className={styles.fields}>
              <NumberField
                label={messages.cropOnEachSide({ name })}
                unit={messages.ofWidth}
                value={means ? Math.round(means.cropPerSide * 1000) / 10 : undefined}
                min={0}
                max={40}
                step={0.5}
                placeholder={messages.notThere}
                onCommit={(value) =>
                  edit(messages.change({ what: name }), (one) => {
                    const { [hold]: old, ...others } = one.stabilizations;
                    if (value !== undefined)
                      return {
                        ...one,
                        stabilizations: { ...others, [hold]: { ...old, cropPerSide: value / 100 } },
                      };
                    return { ...one, stabilizations: others };
                  })
                }
              />
              {means && widest && (
                <p className={styles.worked}>
                  {messages.leavesOfTakesUpTo({
                    horizontalDeg: trimmed(
                      viewAfterCropDeg(widest.horizontalDeg, 1 - 2 * means.cropPerSide, widest.projection),
                      0,
                    ),
                    id: viewLabel(widest.id),
                    swingDeg: trimmed(means.swingDeg ?? means.cropPerSide * widest.horizontalDeg, 1),
                  })}
                </p>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
