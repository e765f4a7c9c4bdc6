'use client';

import { LONGEST_THING_NAME } from '@/core/records/names';
import * as messages from '@/language/kit';
import { ARCHETYPE_LABEL } from '@/words/archetypeText';
import { ARCHETYPE_IDS } from '@/core/camera/archetypes';
import { Button, Checkbox } from 'antd';
import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { cameraFrom, copiedThing, thingName, newThing, THING_KINDS } from '@/core/records/kitItem';
import type { KitItem, ThingKind } from '@/core/records/kitItem';
import { THING_LABEL } from '@/words/cameraText';
import { copyName, newThingName } from '@/words/newNames';
import { Empty } from '../ui/Empty';
import { MenuUnder } from '../ui/MenuUnder';
import { useKit } from '../data/kit';
import { useRepository } from '../data/repository';
import { CameraDetail } from './CameraDetail';
import { LearnedOfThing, LearnedPage } from './learned/LearnedPage';
import { WorthPage } from './worth/WorthPage';
import { FiveQuestions } from './FiveQuestions';
import { ThingForm } from './ThingForm';
import styles from './kit.module.css';

/** Kit: what a person owns. One thing at a time is open; the address holds which. */
export function KitScreen(): ReactNode {
  const kit = useKit();
  const repository = useRepository();
  const router = useRouter();
  const openId = useSearchParams().get('item');
  // In the address as a thing is that is not yet there.
  const asking = openId === 'five';
  const learned = openId === 'learned';
  const worth = openId === 'worth';
  const [away, setAway] = useState(false);
  if (!kit) return null;
  const shown = kit.filter(({ archived, id }) => away || !archived || id === openId);
  // One just added is in the address a moment before it is in the list: no other is opened meanwhile.
  const open = openId === null ? shown[0] : kit.find(({ id }) => id === openId);
  const go = (id: string): void => router.push(`/kit?item=${encodeURIComponent(id)}`);
  const add = (what: ThingKind): void =>
    void repository
      ?.addKit((id) => newThing(what, id, newThingName(what)), messages.addA({ one: THING_LABEL[what].one }))
      .then(go);
  const cameraMenu = {
    items: [
      { key: 'five', label: messages.fromFive, onClick: () => router.push('/kit?item=five') },
      ...ARCHETYPE_IDS.map((archetype) => ({
        key: archetype,
        label: messages.likeA({ archetype: ARCHETYPE_LABEL[archetype] }),
        onClick: () =>
          void repository
            ?.addKit(
              (id) =>
                cameraFrom(archetype, id, messages.archetype({ archetype: ARCHETYPE_LABEL[archetype] })),
              messages.addACamera,
            )
            .then(go),
      })),
    ],
  };
  return (
    <>
      <h1>{messages.kit}</h1>
      <div
        className={styles.kit}
        data-chosen={asking || learned || worth || (openId !== null && open !== undefined)}
      >
        <nav aria-label={messages.thingsInTheKit} className={styles.list}>
          <Link href="/kit?item=learned" aria-current={learned ? 'page' : undefined}>
            {messages.learnedFigures}
          </Link>
          <Link href="/kit?item=worth" aria-current={worth ? 'page' : undefined}>
            {messages.whatToGet}
          </Link>
          {THING_KINDS.map((what) => (
            <section key={what} aria-labelledby={`things-${what}`}>
              <div className={styles.kind}>
                <h2 id={`things-${what}`}>{THING_LABEL[what].many}</h2>
                {what === 'camera' ? (
                  <MenuUnder menu={cameraMenu}>
                    <Button type="text" aria-label={messages.addACameraTitle} aria-haspopup="menu">
                      {messages.add}
                    </Button>
                  </MenuUnder>
                ) : (
                  <Button
                    type="text"
                    aria-label={messages.addA2({ one: THING_LABEL[what].one })}
                    onClick={() => add(what)}
                  >
                    {messages.add}
                  </Button>
                )}
              </div>
              <ul>
                {shown
                  .filter(({ thing }) => thing.what === what)
                  .map((item) => (
                    <li key={item.id}>
                      <button
                        type="button"
                        aria-current={item.id === open?.id ? 'true' : undefined}
                        onClick={() => go(item.id)}
                      >
                        {thingName(item.thing)}
                        {item.archived && <span className="quiet">{messages.putAway}</span>}
                      </button>
                    </li>
                  ))}
              </ul>
            </section>
          ))}
          <Checkbox checked={away} onChange={(event) => setAway(event.target.checked)}>
            {messages.showWhatIsPutAway}
          </Checkbox>
        </nav>
        {asking ? (
          <FiveQuestions onMade={go} />
        ) : learned ? (
          <LearnedPage />
        ) : worth ? (
          <WorthPage />
        ) : open ? (
          <Detail key={open.id} item={open} onOpen={go} />
        ) : kit.length > 0 ? (
          <p className="quiet">{messages.noLongerInTheKit}</p>
        ) : (
          <Empty title={messages.nothingInTheKitYet} text={messages.addACameraLikeOne} />
        )}
      </div>
    </>
  );
}

function Detail({ item, onOpen }: { item: KitItem; onOpen: (id: string) => void }): ReactNode {
  const repository = useRepository();
  const router = useRouter();
  const { thing } = item;
  const what = THING_LABEL[thing.what].one;
  return (
    <article className={styles.detail} aria-label={thingName(thing)}>
      <Link href="/kit" className={styles.back}>
        {messages.allThingsInTheKit}
      </Link>
      <div className={styles.actions}>
        <Button
          onClick={() =>
            void repository
              ?.addKit(
                (id) => copiedThing(thing, id, copyName(thingName(thing), LONGEST_THING_NAME)),
                messages.copyA({ what }),
              )
              .then(onOpen)
          }
        >
          {messages.copy}
        </Button>
        <Button
          onClick={() =>
            void repository?.changeKit(
              item.id,
              item.archived ? messages.takeAOutAgain({ what }) : messages.putAAway({ what }),
              (one) => ({
                ...one,
                archived: !one.archived,
              }),
            )
          }
        >
          {item.archived ? messages.takeOutAgain : messages.putAwayTitle}
        </Button>
        <Button
          danger
          type="text"
          onClick={() =>
            void repository?.removeKit(item.id).then(() => {
              router.push('/kit');
            })
          }
        >
          {messages.remove}
        </Button>
      </div>
      {thing.what === 'camera' ? (
        <CameraDetail item={item} profile={thing.profile} />
      ) : (
        <ThingForm item={item} thing={thing} />
      )}
      <LearnedOfThing thing={thing} />
    </article>
  );
}
