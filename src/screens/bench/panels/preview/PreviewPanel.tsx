'use client';

import * as messages from '@/language/bench/preview';
import { useCallback, useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import type { LightMoment } from '@/core/preview/take';
import type { Scenery } from '@/core/vocabulary/activities';
import { variantText } from '@/words/variantText';
import { shotName } from '@/words/shotName';
import type { ShotEditing } from '../../../data/useShotEditing';
import { downloadBlob } from '../../../files/download';
import { fileName } from '../../../files/fileName';
import { graphicsKind } from './graphics';
import { LookControls } from './LookControls';
import { Player } from './Player';
import styles from './preview.module.css';
import { settingsLine, SideFigures } from './SideFigures';
import { Speeds } from './Speeds';
import type { StageView } from './stage';
import { StageTools } from './StageTools';
import type { StageLook } from './StageTools';
import { stillSheet } from './stillSheet';
import { Strips } from './Strips';
import { Tones } from './Tones';
import { pictureAt, useFilms } from './useFilms';
import { useSides, useTakes } from './useSides';

/** Refined to this many pixels across: finer takes longer than it is worth without a card. */
const FINE_WIDTH = 512;

/** The shot as it would look, beside another way of filming it. */
export function PreviewPanel({ solution, editing }: { solution: Solution; editing: ShotEditing }): ReactNode {
  const { brief } = solution.space;
  const { playback } = brief;
  const [wanted, setWanted] = useState<string | null>(null);
  const [moment, setMoment] = useState<LightMoment>('run');
  const [slowdown, setSlowdown] = useState<number | null>(null);
  const [scene, setScene] = useState<Scenery | 'fits'>('fits');
  // Asked once: the browser tells what draws.
  const [kind] = useState(graphicsKind);
  const [looked, setLooked] = useState<StageLook>({
    layout: 'divide',
    divide: 0.5,
    marks: false,
    loupe: null,
    strokes: false,
    live: kind === 'card',
  });
  const [place, setPlace] = useState(0);
  const look = useCallback((change: Partial<StageLook>) => setLooked((old) => ({ ...old, ...change })), []);
  const setLayout = useCallback((layout: StageView['layout']) => look({ layout }), [look]);

  const { choices, chosen, variant, films: isFilmed, sides } = useSides(solution, wanted);
  const speeds = useMemo(
    () => [...new Set([playback.slowdown, ...playback.alsoSlowdowns, 1])].sort((a, b) => a - b),
    [playback],
  );
  const speed = slowdown !== null && speeds.includes(slowdown) ? slowdown : playback.slowdown;
  const films = useFilms(useTakes(sides, { slowdown: speed, moment, scene }), FINE_WIDTH);
  const view = useMemo<StageView>(() => {
    const { layout, divide, marks, loupe, strokes } = looked;
    const drawn = sides.map(({ sheet }) => ({ map: sheet.map, seconds: sheet.longestSeconds }));
    return { layout, divide, marks, loupe, strokes: strokes ? drawn : null };
  }, [looked, sides]);
  const pictures = films.films.map((film) => pictureAt(film, place));
  const names = useMemo(() => sides.map(({ name }) => name), [sides]);
  const name = shotName(editing.shot);
  const saveSheet = async (): Promise<void> => {
    const ready = sides.flatMap((side, at) => {
      const picture = pictures[at];
      return picture
        ? [{ name: side.name, settings: settingsLine(side, brief.filters), picture, lines: side.lines }]
        : [];
    });
    const blob = await stillSheet(name, ready);
    downloadBlob(`${fileName(name)}-stills.png`, blob);
  };

  return (
    <section aria-labelledby="preview-title" className={styles.panel}>
      <h2 id="preview-title">{messages.seeItBeforeYouRide}</h2>
      <p className="quiet">{messages.aMadeUpPlaceThrough}</p>
      <LookControls
        variants={choices}
        variant={chosen}
        onVariant={setWanted}
        moment={moment}
        onMoment={setMoment}
        speeds={speeds}
        speed={speed}
        onSpeed={setSlowdown}
        scene={scene}
        onScene={setScene}
        layout={sides.length > 1 ? looked.layout : null}
        onLayout={setLayout}
      />
      {variant && !isFilmed && (
        <p role="status">
          {messages.theCameraCannotFilmIt({ variant: variantText(variant, brief.filters) })}
        </p>
      )}
      <div className={styles.columns}>
        <div className={styles.side}>
          <Player
            films={films}
            names={names}
            view={view}
            shape={playback.deliver.height / playback.deliver.width}
            timelineFps={playback.timelineFps}
            onDivide={(divide) => look({ divide })}
            onLoupe={(loupe) => look({ loupe })}
            onPlace={setPlace}
            live={looked.live}
          />
          <StageTools
            looked={looked}
            onLook={look}
            divided={sides.length > 1 && looked.layout === 'divide'}
            kind={kind}
            films={films}
            onSave={pictures.some((picture) => picture) ? saveSheet : null}
          />
        </div>
        <div className={styles.side}>
          <SideFigures sides={sides} filters={brief.filters} />
          <div className={styles.twoTones}>
            {pictures.map((picture, at) =>
              picture ? <Tones key={at} name={at === 0 ? 'A' : 'B'} picture={picture} /> : null,
            )}
          </div>
        </div>
      </div>
      {films.wanted > 0 && films.drawn >= films.wanted && (
        <Strips films={films.films} fine={films.fine} names={names} place={place} />
      )}
      {sides[0] && (
        <Speeds sheet={sides[0].sheet} settings={sides[0].settings} brief={brief} editing={editing} />
      )}
    </section>
  );
}
