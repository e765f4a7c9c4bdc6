'use client';

import * as messages from '@/language/bench/preview';
import type { Scenery } from '@/core/vocabulary/activities';
import { Button } from 'antd';
import { useCallback, useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import type { LightMoment, Take } from '@/core/preview/take';
import { takeOf } from '@/core/preview/takeOf';
import type { Candidate } from '@/core/search/candidate';
import { motionSheet } from '@/core/compare/motionSheet';
import { variantsOf, solveVariant } from '@/core/compare/variants';
import { settingsOf } from '@/core/search/settingsOf';
import type { Solution } from '@/core/answer/solve';
import type { Space } from '@/core/search/space';
import { motionLines } from '@/words/motionText';
import { variantKey, variantText } from '@/words/variantText';
import { downloadBlob } from '../../../files/download';
import { fileName } from '../../../files/fileName';
import { useToast } from '../../../ui/toast';
import type { ShotEditing } from '../../../data/useShotEditing';
import { cardKind } from './card';
import { LookControls } from './LookControls';
import { Player } from './Player';
import { settingsLine, SideFigures } from './SideFigures';
import type { Side } from './SideFigures';
import styles from './preview.module.css';
import { Speeds } from './Speeds';
import type { StageView } from './stage';
import { Strips } from './Strips';
import { stillSheet } from './stillSheet';
import { Tones } from './Tones';
import { pictureAt, useFilms } from './useFilms';

const FILM_SECONDS = 2;
/** Refined to this many pixels across: finer takes longer than it is worth without a card. */
const FINE_WIDTH = 512;
/** Looked at first, where the answer differs from it. */
const FIRST_VARIANTS = ['angle-180', 'short', 'school-film', 'school-crisp'];
const NO_VARIANT = 'none';

/** The shot as it would look, beside another way of filming it. */
export function PreviewPanel({ solution, editing }: { solution: Solution; editing: ShotEditing }): ReactNode {
  const { space, candidate } = solution;
  const { brief } = space;
  const variants = useMemo(() => variantsOf(solution), [solution]);
  const [wanted, setWanted] = useState<string | null>(null);
  const [moment, setMoment] = useState<LightMoment>('run');
  const [slowdown, setSlowdown] = useState<number | null>(null);
  const [scene, setScene] = useState<Scenery | 'fits'>('fits');
  const [view, setView] = useState<Pick<StageView, 'layout' | 'divide' | 'marks' | 'loupe'>>({
    layout: 'divide',
    divide: 0.5,
    marks: false,
    loupe: null,
  });
  const [strokes, setStrokes] = useState(false);
  // Asked once: the browser tells what draws.
  const [kind] = useState(cardKind);
  const [byCard, setByCard] = useState(kind === 'card');
  const [place, setPlace] = useState(0);
  const toast = useToast();

  const keys = variants.map(variantKey);
  const usual = FIRST_VARIANTS.find((key) => keys.includes(key)) ?? keys[0] ?? NO_VARIANT;
  const key = wanted !== null && (wanted === NO_VARIANT || keys.includes(wanted)) ? wanted : usual;
  const variant = variants.find((one) => variantKey(one) === key) ?? null;
  const beside = useMemo(() => (variant ? solveVariant(solution, variant) : null), [solution, variant]);

  const speeds = useMemo(() => {
    const { slowdown: slowest, alsoSlowdowns } = brief.playback;
    return [...new Set([slowest, ...alsoSlowdowns, 1])].sort((a, b) => a - b);
  }, [brief.playback]);
  const choices = useMemo(
    () => [
      ...variants.map((one) => ({ value: variantKey(one), label: variantText(one, brief.filters) })),
      { value: NO_VARIANT, label: messages.nothing },
    ],
    [variants, brief.filters],
  );
  const setLayout = useCallback((layout: StageView['layout']) => setView((old) => ({ ...old, layout })), []);
  const speed = slowdown !== null && speeds.includes(slowdown) ? slowdown : brief.playback.slowdown;

  const sides = useMemo(() => {
    const side = (name: string, its: Space, one: Candidate): Side => {
      const sheet = motionSheet(its, one);
      return {
        name,
        settings: settingsOf(its, one),
        sheet,
        lines: motionLines(sheet),
        space: its,
        candidate: one,
      };
    };
    return [
      side(messages.theAnswer, space, candidate),
      ...(beside && variant
        ? [side(variantText(variant, brief.filters), beside.space, beside.candidate)]
        : []),
    ];
  }, [space, candidate, beside, variant, brief.filters]);

  // Written out, so that a new answer with the same pictures draws nothing again.
  const wish = useMemo(
    () =>
      JSON.stringify(
        sides.map((side) =>
          takeOf(side.space, side.candidate, {
            slowdown: speed,
            moment,
            filmSeconds: FILM_SECONDS,
            ...(scene === 'fits' ? {} : { scene }),
          }),
        ),
      ),
    [sides, speed, moment, scene],
  );
  const takes = useMemo(() => JSON.parse(wish) as Take[], [wish]);
  const films = useFilms(takes, FINE_WIDTH);
  const whole = useMemo<StageView>(
    () => ({
      ...view,
      strokes: strokes ? sides.map(({ sheet }) => ({ map: sheet.map, seconds: sheet.longestSeconds })) : null,
    }),
    [view, strokes, sides],
  );
  const pictures = films.films.map((film) => pictureAt(film, place));
  const names = useMemo(() => sides.map(({ name }) => name), [sides]);
  const exportSheet = async (): Promise<void> => {
    const ready = sides.flatMap((side, at) => {
      const picture = pictures[at];
      return picture
        ? [{ name: side.name, settings: settingsLine(side, brief.filters), picture, lines: side.lines }]
        : [];
    });
    const blob = await stillSheet(brief.name, ready);
    downloadBlob(`${fileName(brief.name)}-stills.png`, blob);
  };

  return (
    <section aria-labelledby="preview-title" className={styles.panel}>
      <h2 id="preview-title">{messages.seeItBeforeYouRide}</h2>
      <p className="quiet">{messages.aMadeUpPlaceThrough}</p>
      <LookControls
        variants={choices}
        variant={key}
        onVariant={setWanted}
        moment={moment}
        onMoment={setMoment}
        speeds={speeds}
        speed={speed}
        onSpeed={setSlowdown}
        scene={scene}
        onScene={setScene}
        layout={sides.length > 1 ? view.layout : null}
        onLayout={setLayout}
      />
      {variant && !beside && (
        <p role="status">
          {messages.theCameraCannotFilmIt({ variant: variantText(variant, brief.filters) })}
        </p>
      )}
      <div className={styles.columns}>
        <div className={styles.side}>
          <Player
            films={films}
            names={names}
            view={whole}
            shape={brief.playback.deliver.height / brief.playback.deliver.width}
            timelineFps={brief.playback.timelineFps}
            onDivide={(divide) => setView((old) => ({ ...old, divide }))}
            onLoupe={(loupe) => setView((old) => ({ ...old, loupe }))}
            onPlace={setPlace}
            byCard={byCard}
          />
          {sides.length > 1 && view.layout === 'divide' && (
            <Slide
              label={messages.divide}
              value={view.divide}
              onChange={(divide) => setView((old) => ({ ...old, divide }))}
            />
          )}
          <div className={styles.toggles}>
            <Toggle
              on={view.marks}
              onClick={() => setView((old) => ({ ...old, marks: !old.marks }))}
              label={messages.markBurntOutAndCrushed}
            />
            <Toggle on={strokes} onClick={() => setStrokes(!strokes)} label={messages.drawTheBlur} />
            <Toggle
              on={view.loupe !== null}
              onClick={() => setView((old) => ({ ...old, loupe: old.loupe ? null : { x: 0.5, y: 0.5 } }))}
              label={messages.loupe}
            />
            {kind !== 'none' && (
              <Toggle
                on={byCard}
                onClick={() => setByCard(!byCard)}
                label={kind === 'card' ? messages.drawLiveOnTheGraphics : messages.drawLive}
              />
            )}
            <Button
              disabled={pictures.every((picture) => !picture)}
              onClick={() => {
                exportSheet().catch((error: unknown) => {
                  toast.complain(error instanceof Error ? error.message : String(error));
                });
              }}
            >
              {messages.saveASheetOfBoth}
            </Button>
          </div>
          {view.loupe && (
            <div className={styles.fields}>
              {(['x', 'y'] as const).map((axis) => (
                <Slide
                  key={axis}
                  label={axis === 'x' ? messages.loupeAcross : messages.loupeDown}
                  value={view.loupe?.[axis] ?? 0.5}
                  onChange={(share) =>
                    setView((old) => ({
                      ...old,
                      loupe: { ...(old.loupe ?? { x: 0.5, y: 0.5 }), [axis]: share },
                    }))
                  }
                />
              ))}
            </div>
          )}
          <p
            className={styles.progress}
            role="status"
            data-fine={films.fine}
            data-first={films.firstMs ?? ''}
            data-loop={films.loopMs ?? ''}
          >
            {films.failed !== null
              ? messages.thePicturesCouldNotBe({ failed: films.failed })
              : films.wanted === 0
                ? messages.starting
                : films.drawn < films.wanted
                  ? messages.drawingFrameOf({ drawn: films.drawn, wanted: films.wanted })
                  : films.fine
                    ? messages.drawn
                    : messages.drawnBeingRefined}
          </p>
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

function Toggle({ on, label, onClick }: { on: boolean; label: string; onClick: () => void }): ReactNode {
  return (
    <Button aria-pressed={on} onClick={onClick}>
      {label}
    </Button>
  );
}

function Slide({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange: (share: number) => void;
}): ReactNode {
  return (
    <label className={styles.transport}>
      {label}
      <input
        type="range"
        className={styles.range}
        min={0}
        max={1}
        step={0.01}
        value={value}
        onChange={(event) => onChange(Number(event.target.value))}
      />
    </label>
  );
}
