import * as messages from '@/language/kit';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import type { KitItem } from '@/core/records/kitItem';
import { LONGEST_SETUP_NAME } from '@/core/records/names';
import { setupsOf, withoutSetup, withSetup } from '@/core/records/slots';
import { CARD_KEYS } from '@/words/cardKeys';
import { TextField } from '../ui/Fields';
import { useRepository } from '../data/repository';
import { SettingStrip } from '../ui/SettingStrip';
import styles from './kit.module.css';

/** Stored in the camera is everything but the glass before it. */
const STORED = CARD_KEYS.filter((key) => key !== 'filter');

/** What the slots of a camera hold. */
export function Setups({ item }: { item: KitItem }): ReactNode {
  const repository = useRepository();
  const setups = setupsOf(item.thing);
  return (
    <section aria-labelledby="setups-title">
      <h3 id="setups-title">{messages.setUps}</h3>
      {setups.length === 0 ? (
        <p className="quiet">{messages.noSetUpsKept}</p>
      ) : (
        <ol className={styles.setups}>
          {setups.map((setup) => (
            <li key={setup.slot}>
              <div className={styles.fields}>
                <TextField
                  label={messages.slotNumber({ slot: setup.slot })}
                  value={setup.name}
                  maxLength={LONGEST_SETUP_NAME}
                  onCommit={(name) =>
                    repository?.changeKit(item.id, messages.renameASetUp, (one) => ({
                      ...one,
                      thing: withSetup(one.thing, { ...setup, name }),
                    }))
                  }
                />
                {setup.intervalSeconds !== undefined && (
                  <p className={styles.worked}>
                    {messages.aPictureEvery({ seconds: setup.intervalSeconds })}
                  </p>
                )}
                <Button
                  type="text"
                  aria-label={messages.removeSetUp({ name: setup.name })}
                  onClick={() =>
                    void repository?.changeKit(item.id, messages.removeASetUp, (one) => ({
                      ...one,
                      thing: withoutSetup(one.thing, setup.slot),
                    }))
                  }
                >
                  {messages.remove}
                </Button>
              </div>
              <SettingStrip keys={STORED} settings={setup.settings} kit={[]} />
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
