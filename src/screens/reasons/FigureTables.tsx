import * as messages from '@/language/reasons';
import type { ReactNode } from 'react';
import { trimmed } from '@/core/units/format';
import { GROUNDS, MOUNT_KINDS, MOUNTS } from '@/core/vocabulary/mounts';
import { SCENE_NAMES, SCENES } from '@/core/vocabulary/scenes';
import { capital } from '@/words/sentences';
import { GROUND_LABEL, MOUNT_LABEL, SCENE_LABEL } from '@/words/labels';
import { evText } from '@/words/settingText';
import styles from './reasons.module.css';

/** Tables of starting estimates that answers stand on: the light of scenes and the shake of mounts. */
export function FigureTables(): ReactNode {
  return (
    <>
      <table className={styles.table}>
        <caption>{messages.figures.scenesCaption}</caption>
        <thead>
          <tr>
            <th scope="col">{messages.figures.scene}</th>
            <th scope="col">{messages.figures.ev}</th>
          </tr>
        </thead>
        <tbody>
          {SCENE_NAMES.map((name) => {
            const { evMin, evMax } = SCENES[name];
            return (
              <tr key={name}>
                <th scope="row">{capital(SCENE_LABEL[name])}</th>
                <td className="numerals">
                  {evMin === evMax
                    ? evText(evMin)
                    : messages.figures.evFromTo({ from: evText(evMin), to: evText(evMax) })}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <div className={styles.wide}>
        <table className={styles.table}>
          <caption>{messages.figures.mountsCaption}</caption>
          <thead>
            <tr>
              <th scope="col">{messages.figures.mount}</th>
              {GROUNDS.map((ground) => (
                <th key={ground} scope="col">
                  {messages.figures.ground({ ground: GROUND_LABEL[ground] })}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {MOUNT_KINDS.map((kind) => (
              <tr key={kind}>
                <th scope="row">{capital(MOUNT_LABEL[kind])}</th>
                {GROUNDS.map((ground) => (
                  <td key={ground} className="numerals">
                    {trimmed(MOUNTS[kind].shake[ground], 1)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}
