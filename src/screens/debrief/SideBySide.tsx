'use client';

import * as messages from '@/language/debrief';
import { Button, Select, Slider } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import type { Clip } from '@/core/records/clip';
import { tenths, trimmed } from '@/core/units/format';
import { clipMeasures } from '@/words/clipMeasures';
import { FINDING_LABEL } from '@/words/findingLabel';
import { useClipFiles } from './clipFiles';
import styles from './sideBySide.module.css';
import { clipName } from './shown';
import { nearestFrame } from './Strip';
import { lengthOf, useOffset } from './useOffset';
import type { Offset } from './useOffset';

/** A clip beside another of the day, on one time: which of two cameras, or of two tries, came out better. */
export function SideBySide({ clip, clips }: { clip: Clip; clips: readonly Clip[] }): ReactNode {
  const [otherId, setOther] = useState<string | null>(null);
  const others = clips.filter(({ id }) => id !== clip.id);
  const other = others.find(({ id }) => id === otherId);
  if (others.length === 0) return null;
  return (
    <section aria-label={messages.besideAnother} className={styles.section}>
      <div className={styles.head}>
        <h3>{messages.besideAnother}</h3>
        <Select
          aria-label={messages.besideWhich}
          placeholder={messages.besideWhich}
          showSearch={{ optionFilterProp: 'label' }}
          popupMatchSelectWidth={false}
          {...(other ? { value: other.id } : {})}
          options={others.map((one) => ({ value: one.id, label: clipName(one) }))}
          onSelect={setOther}
          allowClear
          onClear={() => setOther(null)}
        />
      </div>
      {other && <Both key={other.id} first={clip} second={other} />}
    </section>
  );
}

function Both({ first, second }: { first: Clip; second: Clip }): ReactNode {
  const offset = useOffset(first, second);
  const { seconds: later } = offset;
  const from = Math.min(0, later);
  const to = Math.max(lengthOf(first), later + lengthOf(second));
  const [chosen, setAt] = useState<number | null>(null);
  // Where both have begun, until another moment is chosen.
  const at = chosen ?? Math.max(0, later);
  const films = useRef(new Map<string, HTMLVideoElement>());
  const [playing, setPlaying] = useState(false);
  const go = (seconds: number): void => {
    setAt(seconds);
    for (const [id, film] of films.current)
      film.currentTime = Math.max(0, seconds - (id === second.id ? later : 0));
  };
  const play = (): void => {
    for (const [id, film] of films.current) {
      const own = at - (id === second.id ? later : 0);
      if (playing) film.pause();
      else if (own >= 0 && own < film.duration) {
        film.currentTime = own;
        // Paused before it has begun is no fault.
        film.play().catch(() => undefined);
      }
    }
    setPlaying(!playing);
  };
  const keep = (id: string) => (film: HTMLVideoElement | null) => {
    if (film) films.current.set(id, film);
    else films.current.delete(id);
  };
  const hasFilm = useClipFiles((state) => state.files.has(first.id) && state.files.has(second.id));
  return (
    <>
      <p role="status">{offset.listening ? messages.listening : offsetText(offset)}</p>
      <div className={styles.both}>
        {[first, second].map((clip) => (
          <figure key={clip.id}>
            <Picture
              clip={clip}
              {...(playing && clip === first ? { onTime: setAt } : {})}
              atSeconds={at - (clip === second ? later : 0)}
              keep={keep(clip.id)}
              onEnd={() => setPlaying(false)}
            />
            <figcaption>
              <b>{clipName(clip)}</b>{' '}
              <span className={styles.found}>
                {clip.measured.findings.map(({ code }) => FINDING_LABEL[code]).join(', ')}
              </span>
              <p className="numerals">{clipMeasures(clip)}</p>
            </figcaption>
          </figure>
        ))}
      </div>
      <div className={styles.time}>
        {hasFilm && <Button onClick={play}>{playing ? messages.pause : messages.playBoth}</Button>}
        <Slider
          className={styles.slider ?? ''}
          min={from}
          max={to}
          step={0.04}
          value={at}
          onChange={go}
          tooltip={{ formatter: (value) => messages.seconds({ seconds: tenths(value ?? 0) }) }}
          ariaLabelForHandle={messages.timeOfBoth}
        />
      </div>
    </>
  );
}

/** The clip itself where its file is at hand, else the nearest of its small pictures. */
function Picture({
  clip,
  atSeconds,
  keep,
  onTime,
  onEnd,
}: {
  clip: Clip;
  atSeconds: number;
  keep: (film: HTMLVideoElement | null) => void;
  /** While it plays. */
  onTime?: (seconds: number) => void;
  onEnd: () => void;
}): ReactNode {
  const file = useClipFiles((state) => state.files.get(clip.id));
  const url = useMemo(() => (file ? URL.createObjectURL(file) : null), [file]);
  useEffect(
    () => () => {
      if (url !== null) URL.revokeObjectURL(url);
    },
    [url],
  );
  const outside = atSeconds < 0 || atSeconds > lengthOf(clip);
  if (url !== null)
    return (
      <video
        ref={keep}
        src={url}
        muted
        playsInline
        preload="auto"
        data-outside={outside}
        aria-label={clipName(clip)}
        onTimeUpdate={({ currentTarget }) => onTime?.(currentTarget.currentTime)}
        onEnded={onEnd}
      />
    );
  const near = nearestFrame(clip.frames, atSeconds);
  return near ? <img src={near.jpeg} alt="" data-outside={outside} /> : <span className={styles.none} />;
}

function offsetText({ by, seconds: later }: Offset): string {
  const seconds = trimmed(Math.abs(later), by === 'sound' ? 2 : 0);
  if (by === 'nothing') return messages.bothFromTheirBeginning;
  if (by === 'apart') return messages.filmedApart;
  if (by === 'clock') return messages.offsetByClock({ seconds, isLater: later >= 0 });
  return messages.offsetBySound({ seconds, isLater: later >= 0 });
}
