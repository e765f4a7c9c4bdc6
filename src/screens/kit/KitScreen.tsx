'use client';

import { ARCHETYPE_LABEL } from '@/words/archetypeText';
import { ARCHETYPE_IDS } from '@/core/camera/archetypes';
import { Button, Checkbox } from 'antd';
import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { cameraFrom, copiedThing, nameOf, newThing, THING_KINDS } from '@/core/records/kitItem';
import type { KitItem, ThingKind } from '@/core/records/kitItem';
import { THING_LABEL } from '@/words/cameraText';
import { Empty } from '../ui/Empty';
import { MenuUnder } from '../ui/MenuUnder';
import { useKit } from '../data/kit';
import { useRepository } from '../data/repository';
import { CameraDetail } from './CameraDetail';
import { ThingForm } from './ThingForm';
import styles from './kit.module.css';

/** Kit: what a person owns. One thing at a time is open; the address holds which. */
export function KitScreen(): ReactNode {
  const kit = useKit();
  const repository = useRepository();
  const router = useRouter();
  const openId = useSearchParams().get('item');
  const [away, setAway] = useState(false);
  if (!kit) return null;
  const shown = kit.filter(({ archived, id }) => away || !archived || id === openId);
  const open = kit.find(({ id }) => id === openId) ?? shown[0];
  const go = (id: string): void => router.push(`/kit?item=${encodeURIComponent(id)}`);
  const add = (what: ThingKind): void =>
    void repository?.addKit((id) => newThing(what, id), `add a ${THING_LABEL[what].one}`).then(go);
  const cameraMenu = {
    items: ARCHETYPE_IDS.map((archetype) => ({
      key: archetype,
      label: `like a ${ARCHETYPE_LABEL[archetype]}`,
      onClick: () =>
        void repository
          ?.addKit((id) => cameraFrom(archetype, id, `My ${ARCHETYPE_LABEL[archetype]}`), 'add a camera')
          .then(go),
    })),
  };
  return (
    <>
      <h1>Kit</h1>
      <div className={styles.kit} data-chosen={openId !== null}>
        <nav aria-label="Things in the kit" className={styles.list}>
          {THING_KINDS.map((what) => (
            <section key={what} aria-labelledby={`things-${what}`}>
              <div className={styles.kind}>
                <h2 id={`things-${what}`}>{THING_LABEL[what].many}</h2>
                {what === 'camera' ? (
                  <MenuUnder menu={cameraMenu}>
                    <Button type="text" aria-label="Add a camera" aria-haspopup="menu">
                      Add
                    </Button>
                  </MenuUnder>
                ) : (
                  <Button type="text" aria-label={`Add a ${THING_LABEL[what].one}`} onClick={() => add(what)}>
                    Add
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
                        {nameOf(item.thing)}
                        {item.archived && <span className="quiet"> · put away</span>}
                      </button>
                    </li>
                  ))}
              </ul>
            </section>
          ))}
          <Checkbox checked={away} onChange={(event) => setAway(event.target.checked)}>
            Show what is put away
          </Checkbox>
        </nav>
        {open ? (
          <Detail key={open.id} item={open} onOpen={go} />
        ) : (
          <Empty
            title="Nothing in the kit yet"
            text="Add a camera like one of those that ship; shots can then take it, with its own modes."
          />
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
    <article className={styles.detail} aria-label={nameOf(thing)}>
      <Link href="/kit" className={styles.back}>
        All things in the kit
      </Link>
      <div className={styles.actions}>
        <Button
          onClick={() =>
            void repository?.addKit((id) => copiedThing(thing, id), `copy a ${what}`).then(onOpen)
          }
        >
          Copy
        </Button>
        <Button
          onClick={() =>
            void repository?.changeKit(
              item.id,
              item.archived ? `take a ${what} out again` : `put a ${what} away`,
              (one) => ({
                ...one,
                archived: !one.archived,
              }),
            )
          }
        >
          {item.archived ? 'Take out again' : 'Put away'}
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
          Remove
        </Button>
      </div>
      {thing.what === 'camera' ? (
        <CameraDetail item={item} profile={thing.profile} />
      ) : (
        <ThingForm item={item} thing={thing} />
      )}
    </article>
  );
}
