'use client';

import * as messages from '@/language/handover';
import { Button, Checkbox } from 'antd';
import { useLiveQuery } from 'dexie-react-hooks';
import { useSearchParams } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { ReactNode } from 'react';
import { CODES_PER_SECOND, secondsToCross, sending } from '@/formats/handover/crossing';
import type { Sending } from '@/formats/handover/crossing';
import { PARCEL_OF, parcelOf, straysOf } from '@/formats/handover/parcel';
import { durationText } from '@/words/settingText';
import { useOutings } from '../data/outings';
import { useRepository, useShots } from '../data/repository';
import { fileName } from '../files/fileName';
import { handOut } from '../files/handOut';
import { Empty } from '../ui/Empty';
import { ChoiceField } from '../ui/Fields';
import { useToast } from '../ui/toast';
import { MovingCode } from './MovingCode';
import { offersOf } from './wanted';
import type { Offer } from './wanted';
import shared from '../ui/narrowPlace.module.css';
import styles from './handover.module.css';
import { whyText } from '@/words/whyText';

/** Codes that a camera misses while one waits, of all: by experience with a hand that shakes. */
const USUALLY_MISSED = 1 / 3;

/** What goes to another device: which, how large it is, and the two ways. */
export function Give(): ReactNode {
  const outings = useOutings();
  const shots = useShots();
  const query = useSearchParams();
  const [chosen, setChosen] = useState<string | null>(null);
  const [clips, setClips] = useState(false);
  if (!outings || !shots) return null;
  const offers = offersOf(outings, shots);
  const open = offers.find(({ key }) => key === (chosen ?? query.get('what'))) ?? offers[0];
  if (!open) return <Empty title={messages.nothingYet} text={messages.nothingYetText} />;
  const hasClips = open.wanted.what === 'outing' || open.wanted.what === 'everything';
  return (
    <div className={shared.part}>
      <ChoiceField
        label={messages.what}
        value={open.key}
        options={offers.map(({ key, label }) => ({ value: key, label }))}
        onCommit={setChosen}
      />
      {hasClips && (
        <Checkbox checked={clips} onChange={({ target }) => setClips(target.checked)}>
          {messages.withClips}
        </Checkbox>
      )}
      <Giving key={`${open.key} ${String(clips)}`} offer={open} clips={clips && hasClips} />
    </div>
  );
}

function Giving({ offer, clips }: { offer: Offer; clips: boolean }): ReactNode {
  const repository = useRepository();
  const { say, complain } = useToast();
  const [now] = useState(() => new Date().toISOString());
  // What is changed while the codes are shown goes over as well.
  const parcel = useLiveQuery(async () => {
    if (!repository) return undefined;
    const kept = await repository.queries.together(...PARCEL_OF[offer.wanted.what]);
    return { text: parcelOf(offer.wanted, kept, { clips, now }), strays: straysOf(offer.wanted, kept) };
  }, [repository, offer.key, clips, now]);
  const text = parcel?.text;
  const sent = useSending(text ?? null);
  if (text === undefined || sent === undefined) return <p className="quiet">{messages.packing}</p>;
  if (text === null) return <p role="status">{messages.isGone}</p>;
  const name = fileName(offer.label);
  return (
    <>
      {parcel && parcel.strays > 0 && <p role="alert">{messages.namesRemoved({ count: parcel.strays })}</p>}
      {sent ? (
        <>
          <p>
            {messages.size({
              kb: Math.max(1, Math.round(sent.total / 1000)),
              codes: sent.blocks,
              time: durationText(Math.ceil(secondsToCross(sent, CODES_PER_SECOND[0], USUALLY_MISSED))),
            })}
          </p>
          <MovingCode sent={sent} label={offer.label} />
        </>
      ) : (
        <p role="status">{messages.tooLargeForCodes}</p>
      )}
      <section className={styles.ways} aria-label={messages.asAFile}>
        <h2>{messages.asAFile}</h2>
        <p className="quiet">{messages.asAFileText}</p>
        <Button
          onClick={() => {
            handOut(name, text)
              .then((way) => {
                if (way === 'saved') say(messages.savedAsAFile);
              })
              .catch((error: unknown) => complain(messages.notSent({ error: whyText(error) })));
          }}
        >
          {messages.sendTheFile}
        </Button>
      </section>
    </>
  );
}

/** A text packed to be shown as codes, the one before it until then; `null`: too large for that; `undefined` while the first is packed. */
function useSending(text: string | null): Sending | null | undefined {
  const [packed, setPacked] = useState<Sending | null>();
  useEffect(() => {
    let over = false;
    void (text === null ? Promise.resolve(null) : sending(text)).then((sent) => {
      if (!over && text !== null) setPacked(sent);
    });
    return () => {
      over = true;
    };
  }, [text]);
  return packed;
}
