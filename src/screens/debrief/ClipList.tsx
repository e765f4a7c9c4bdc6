'use client';

import * as messages from '@/language/debrief';
import { Button, Progress, Select } from 'antd';
import type { ReactNode } from 'react';
import type { Clip } from '@/core/records/clip';
import { VirtualList } from '../ui/VirtualList';
import { useClipFiles } from './clipFiles';
import styles from './debrief.module.css';
import { clipName, isDoubtful, otherText, clipPlaces, verdictText, whenText } from './shown';
import type { DebriefProps } from './shown';

/** The day's clips in a list: each with its shot, to be put to another, what was found, and how far a look has come. */
export function ClipList(props: DebriefProps): ReactNode {
  return (
    <VirtualList
      items={props.clips}
      keyOf={({ id }) => id}
      rowHeight={ROW_HEIGHT}
      className={styles.list ?? ''}
    >
      {(clip, on) => (
        <li {...on} className={styles.row}>
          <Row {...props} clip={clip} />
        </li>
      )}
    </VirtualList>
  );
}

const ROW_HEIGHT = 76;

function Row({ clip, worked, zone, onChoose, onMove, onLook }: DebriefProps & { clip: Clip }): ReactNode {
  const name = clipName(clip);
  const [first] = clip.frames;
  const amiss = clip.measured.findings.length > 0;
  return (
    <>
      <button type="button" className={styles.open} onClick={() => onChoose(clip.id)}>
        {first ? (
          // A picture of the person's own, at hand already.
          <img src={first.jpeg} alt="" width={96} height={54} />
        ) : (
          <span className={styles.noPicture} aria-hidden />
        )}
        <span className={styles.name}>
          <b>{name}</b>
          <span className="numerals quiet">{whenText(clip, zone)}</span>
        </span>
      </button>
      <ClipPlace clip={clip} worked={worked} onMove={onMove} />
      <p className={styles.verdict} data-amiss={amiss}>
        {verdictText(clip, worked)}
      </p>
      <LookAgain clip={clip} onLook={onLook} />
    </>
  );
}

/** Which shot a clip is of, put there by the match or by hand; doubt is said. */
export function ClipPlace({
  clip,
  worked,
  onMove,
}: Pick<DebriefProps, 'worked' | 'onMove'> & { clip: Clip }): ReactNode {
  const places = clipPlaces(worked);
  const here = worked.parts.find(({ entryId, part }) => entryId === clip.entryId && part === clip.part);
  return (
    <div className={styles.place}>
      <Select
        aria-label={messages.shotOf({ name: clipName(clip) })}
        showSearch={{ optionFilterProp: 'label' }}
        popupMatchSelectWidth={false}
        value={here?.id ?? ''}
        options={places.map(({ value, label }) => ({ value, label }))}
        onSelect={(value) => {
          const part = places.find((one) => one.value === value)?.part;
          onMove(clip, part ? { entryId: part.entryId, part: part.part } : null);
        }}
      />
      {isDoubtful(clip) && <small className={styles.doubt}>{otherText(clip, worked)}</small>}
    </div>
  );
}

/** How far a look has come and the way to stop it, or the way to a closer one. */
export function LookAgain({ clip, onLook }: Pick<DebriefProps, 'onLook'> & { clip: Clip }): ReactNode {
  const look = useClipFiles((state) => state.looking.get(clip.id));
  const waiting = useClipFiles((state) => state.waiting.includes(clip.id));
  const file = useClipFiles((state) => state.files.get(clip.id));
  const name = clipName(clip);
  if (look)
    return (
      <div className={styles.look}>
        <Progress
          percent={Math.round(100 * look.share)}
          size="small"
          aria-label={messages.lookingAt({ name })}
        />
        <Button onClick={look.stop}>{messages.stop}</Button>
      </div>
    );
  if (waiting)
    return (
      <div className={styles.look}>
        <span className="quiet">{messages.waiting}</span>
        <Button
          onClick={() =>
            useClipFiles.setState((state) => ({ waiting: state.waiting.filter((id) => id !== clip.id) }))
          }
        >
          {messages.leaveOut}
        </Button>
      </div>
    );
  if (!file) return <p className={`${styles.look ?? ''} quiet`}>{lookedText(clip)}</p>;
  return (
    <div className={styles.look}>
      <span className="quiet">{lookedText(clip)}</span>
      {clip.looked === 'file' && clip.measured.unread === null && (
        <Button onClick={() => onLook(clip, 'quick')}>{messages.lookNow}</Button>
      )}
      {clip.looked === 'quick' && (
        <Button onClick={() => onLook(clip, 'whole')}>{messages.lookAtTheWhole}</Button>
      )}
    </div>
  );
}

function lookedText({ looked }: Clip): string {
  return messages.looked[looked];
}
