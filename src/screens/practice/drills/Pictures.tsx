'use client';

import * as messages from '@/language/practice/drills';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import type { Drill, DrillChoice } from '@/core/drill/drill';
import type { PreviewTake } from '@/core/preview/take';
import { drillAnswerText } from '@/words/drillText';
import { useFilms } from '../../bench/panels/preview/useFilms';
import { usePreference } from '../../data/repository';
import { useReducedMotion } from '../../ui/useMediaQuery';
import { FilmCanvas, useFilmPlace } from '../FilmCanvas';
import styles from './drills.module.css';

const WIDTH = 480;

/** Short films of one shot, each under its name, in step. */
export function Pictures({
  takes,
  names,
  timelineFps,
}: {
  takes: readonly PreviewTake[];
  names: readonly string[];
  timelineFps: number;
}): ReactNode {
  const { films, drawn, wanted, failed } = useFilms(takes, WIDTH);
  const calm = useReducedMotion();
  const [wants, setWants] = useState<boolean | null>(null);
  const playing = wants ?? !calm;
  const whole = wanted > 0 && drawn >= wanted;
  const place = useFilmPlace(films, playing && whole, timelineFps);
  return (
    <div className={styles.pictures} data-several={takes.length > 1}>
      {takes.map((take, at) => (
        <figure key={names[at]}>
          <FilmCanvas film={films[at]} place={place} shape={take.shape} />
          <figcaption>{names[at]}</figcaption>
        </figure>
      ))}
      <p className={styles.playing}>
        {failed !== null ? (
          <span role="alert">{messages.notDrawn({ why: failed })}</span>
        ) : whole ? (
          <Button size="small" type="text" onClick={() => setWants(!playing)}>
            {playing ? messages.freeze : messages.play}
          </Button>
        ) : (
          <span className="quiet">{messages.drawing({ drawn, wanted })}</span>
        )}
      </p>
    </div>
  );
}

/** What would have come back from the answer that was given, beside the best. */
export function PictureBack({
  drill,
  chosen,
  best,
}: {
  drill: Drill;
  chosen: DrillChoice;
  best: DrillChoice;
}): ReactNode {
  const [notation] = usePreference('filterNotation');
  const shown = useMemo(() => {
    const sides = chosen === best ? [best] : [chosen, best];
    return sides.flatMap(({ film }) => film?.take ?? []);
  }, [chosen, best]);
  if (shown.length === 0) return null;
  const named = (which: string, { answer }: DrillChoice): string =>
    messages.sideIs({ which, answer: drillAnswerText(answer, drill, notation) });
  const names =
    shown.length === 1
      ? [named(messages.best, best)]
      : [named(messages.yours, chosen), named(messages.best, best)];
  return <Pictures takes={shown} names={names} timelineFps={drill.brief.playback.timelineFps} />;
}
