'use client';

import * as messages from '@/language/bench/tradeOff';
import { Slider } from 'antd';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { lightTradeOff, shutterTradeOff } from '@/core/compare/tradeOff';
import type { ShutterPlace } from '@/core/compare/tradeOff';
import type { Solution } from '@/core/answer/solve';
import { item } from '@/core/units/items';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { TERMS } from '@/core/loss/table';
import type { TermId } from '@/core/vocabulary/terms';
import { TERM_LABEL } from '@/words/labels';
import { viewLabel } from '@/words/labels';
import { markText } from '@/words/tradeOffText';
import { filterText } from '@/words/settingText';
import type { ShotEditing } from '../../../data/useShotEditing';
import { pinnedTo } from '../../answer/pins';
import { LightChart } from './LightChart';
import { ShutterChart } from './ShutterChart';
import { TermLinks } from '../../../ui/TermLinks';
import styles from './tradeOff.module.css';

/** What every shutter would cost in the chosen mode, and what every filter gives over the light. */
export function TradeOffPanel({
  solution,
  editing,
}: {
  solution: Solution;
  editing: ShotEditing;
}): ReactNode {
  const { space, candidate, settings } = solution;
  const { brief } = space;
  const shutters = useMemo(() => shutterTradeOff(space, candidate), [space, candidate]);
  const lights = useMemo(() => lightTradeOff(space, candidate), [space, candidate]);
  const { places, marks } = shutters;
  const at = nearestPlace(places, settings.shutterSeconds);
  const here = item(places, at);
  const least = places.reduce((best, place) => (place.score < best.score ? place : best));
  const move = (to: number): void => {
    const { seconds } = item(places, Math.min(places.length - 1, Math.max(0, to)));
    editing.preview(messages.moveTheShutter, (shot) =>
      pinnedTo(shot, 'shutterSeconds', { shutterSeconds: seconds, shutterMode: 'fixed' }),
    );
  };
  const told = (place: ShutterPlace): string =>
    messages.sLoss({
      seconds: shutterFraction(place.seconds),
      score: tenths(place.score),
      filter: filterText(place.filter, brief.filters),
    });
  return (
    <section aria-labelledby="tradeoff-title" className={styles.panel}>
      <h2 id="tradeoff-title">{messages.whatTheShutterTrades}</h2>
      <p className="quiet">
        {messages.inTheModeOfThe({
          width: settings.resolution.width,
          height: settings.resolution.height,
          frameRate: trimmed(settings.frameRate, 3),
          id: viewLabel(settings.view.id),
        })}
      </p>
      <ShutterChart
        places={places}
        marks={marks.map((mark) => ({
          seconds: mark.seconds,
          code: mark.what.code,
          text: markText(mark, brief.filters),
        }))}
        at={at}
        auto={settings.shutterMode === 'auto'}
        onMove={move}
        onDone={() => editing.commit(messages.moveTheShutter)}
      />
      <div className={styles.slide}>
        <span aria-hidden>{messages.shutter}</span>
        <Slider
          className={styles.slider ?? ''}
          min={0}
          max={places.length - 1}
          value={at}
          tooltip={{ open: false }}
          ariaLabelForHandle={messages.shutter}
          ariaValueTextFormatterForHandle={(place) => told(item(places, place))}
          onChange={move}
        />
        <output className="numerals">{told(here)}</output>
      </div>
      <p role="status">
        {settings.shutterMode === 'auto'
          ? messages.theAnswerLetsTheShutter
          : here.score <= least.score + 0.005
            ? messages.noFixedShutterOfThis
            : messages.theLeastLossIsAt({ least: told(least) })}
        {worstText(here)}
      </p>
      <TermLinks terms={worstOf(here)} />
      <ul className={styles.marks}>
        {marks.map((mark, index) => (
          <li key={index} data-code={mark.what.code}>
            {markText(mark, brief.filters)}
          </li>
        ))}
      </ul>
      <h2>{messages.whatEachFilterGives}</h2>
      <p className="quiet">
        {messages.underSAndShorterAnd({
          shutterSeconds: shutterFraction(settings.shutterSeconds),
          isAuto: settings.shutterMode === 'auto',
          min: settings.iso.min,
          max: settings.iso.max,
        })}
      </p>
      <LightChart tradeOff={lights} light={space.light} chosen={candidate.filter} kit={brief.filters} />
    </section>
  );
}

function nearestPlace(places: readonly ShutterPlace[], seconds: number): number {
  let best = 0;
  places.forEach((place, at) => {
    if (
      Math.abs(Math.log(place.seconds / seconds)) < Math.abs(Math.log(item(places, best).seconds / seconds))
    )
      best = at;
  });
  return best;
}

/** The three terms that cost most here. */
function worstOf({ loss }: ShutterPlace): TermId[] {
  return TERMS.filter((term) => loss[term] >= 0.1)
    .sort((a, b) => loss[b] - loss[a])
    .slice(0, 3);
}

function worstText(place: ShutterPlace): string {
  const worst = worstOf(place);
  return worst.length === 0
    ? messages.nothingCostsMuchHere
    : messages.hereItCosts({
        worst: worst.map((term) => `${TERM_LABEL[term]} ${tenths(place.loss[term])}`).join(', '),
      });
}
