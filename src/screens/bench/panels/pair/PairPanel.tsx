'use client';

import * as messages from '@/language/bench/pair';
import { CAMERA_HANDS, PAIR_KINDS, TURN_WAYS } from '@/core/vocabulary/pairs';
import { Button } from 'antd';
import Link from 'next/link';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { joinOf } from '@/core/preview/joinOf';
import type { PreviewTake } from '@/core/preview/take';
import { cameraCount } from '@/core/records/secondAngles';
import type { Pair, Shot } from '@/core/records/shot';
import { omit } from '@/core/units/omit';
import { pairSheet, wantedBlurPct } from '@/core/together/pairSheet';
import { withHalvesSet } from '@/core/together/setHalves';
import type { Outcome, Solution } from '@/core/answer/solve';
import { trimmed } from '@/core/units/format';
import { CARD_KEYS } from '@/words/cardKeys';
import { HAND_LABEL, PAIR_LABEL, PAIR_MEANS, TURN_LABEL, viewLabel } from '@/words/labels';
import { demandText, turnSentence } from '@/words/pairText';
import { partName } from '@/words/shotName';
import { ChoiceField, NumberField, TextField } from '../../../ui/Fields';
import { placeUrl } from '../../../routes';
import { SettingStrip } from '../../../ui/SettingStrip';
import { useCarriedParts } from '../../../data/useCarriedParts';
import { useToast } from '../../../ui/toast';
import type { ShotEditing } from '../../../data/useShotEditing';
import { MatchRow, MatchTable } from '../match/MatchTable';
import { Player } from '../preview/Player';
import { joinedFilms, useFilms } from '../preview/useFilms';
import { options } from '../../brief/wordControls';
import styles from './pair.module.css';

/** Two shots that join: what they must share, what each must do, and the join itself, drawn. */
export function PairPanel({ id, whole }: { id: string; whole: ShotEditing }): ReactNode {
  const { shot } = whole;
  const { pair } = shot;
  if (!pair)
    return (
      <section aria-labelledby="pair-title" className={styles.panel}>
        <h2 id="pair-title">{messages.aShotThatJoinsAnother}</h2>
        <p>{messages.aTransitionIsTwoShots}</p>
        <ul className={styles.kinds}>
          {PAIR_KINDS.map((kind) => (
            <li key={kind}>
              <Button
                onClick={() =>
                  whole.commit(messages.makeItAPair, (one) => joinedBy({ ...one, pair: newPair(one, kind) }))
                }
              >
                {PAIR_LABEL[kind]}
              </Button>
              <span>{PAIR_MEANS[kind]}</span>
            </li>
          ))}
        </ul>
      </section>
    );
  return <PairOpen id={id} whole={whole} pair={pair} />;
}

function newPair(shot: Shot, kind: Pair['kind']): Pair {
  const { camera, mount, motion, filters } = shot;
  const second = Object.fromEntries(
    Object.entries({ camera, mount, motion, filters }).filter(([, value]) => value !== undefined),
  ) as Pair['second'];
  return { kind, turn: 'right', second };
}

/** Both halves set as the join needs, where their cameras can. */
const joinedBy = (shot: Shot): Shot => withHalvesSet(shot) ?? shot;

function PairOpen({ id, whole, pair }: { id: string; whole: ShotEditing; pair: Pair }): ReactNode {
  const { shot } = whole;
  const { complain, say } = useToast();
  const secondAt = cameraCount(shot);
  const parts = useCarriedParts(shot, [0, secondAt]);
  const outcomes = parts.map(({ outcome }) => outcome);
  const [first, second] = outcomes.map(solutionOf);
  const change = (label: string, more: Partial<Pair>): void =>
    whole.commit(label, (one) => (one.pair ? { ...one, pair: { ...one.pair, ...more } } : one));
  const alike = (): void => {
    const set = withHalvesSet(shot);
    if (!set) {
      complain(messages.theseTwoCamerasShareNo);
      return;
    }
    whole.commit(messages.setBothHalvesAlike, (one) => withHalvesSet(one) ?? one);
    say(messages.bothHalvesHoldTheSame);
  };
  return (
    <section aria-labelledby="pair-title" className={styles.panel}>
      <h2 id="pair-title">{messages.twoHalvesThatJoin}</h2>
      <div className={styles.fields}>
        <ChoiceField
          label={messages.join}
          value={pair.kind}
          options={options(PAIR_KINDS, PAIR_LABEL)}
          onCommit={(kind) =>
            whole.commit(messages.joinAnotherWay, (one) =>
              one.pair ? joinedBy({ ...one, pair: { ...one.pair, kind } }) : one,
            )
          }
        />
        {pair.kind === 'whip' && (
          <ChoiceField
            label={messages.turning}
            value={pair.turn ?? 'right'}
            options={options(TURN_WAYS, TURN_LABEL)}
            onCommit={(turn) => change(messages.turnAnotherWay, { turn })}
          />
        )}
        <ChoiceField
          label={messages.cameraIn}
          value={pair.hand ?? 'none'}
          options={options(CAMERA_HANDS, HAND_LABEL)}
          onCommit={(hand) => change(messages.takeTheOtherHand, { hand })}
        />
        {(pair.kind === 'whip' || pair.kind === 'falling') && (
          <NumberField
            label={messages.blurAtTheJoin}
            unit={messages.ofTheWidth}
            value={wantedBlurPct(pair)}
            min={1}
            max={100}
            onCommit={(blurPct = 10) => change(messages.wantAnotherBlur, { blurPct })}
          />
        )}
        <TextField
          label={messages.nameOfTheSecondHalf}
          value={pair.second.name ?? messages.secondHalf}
          maxLength={120}
          onCommit={(name) => change(messages.renameTheSecondHalf, { second: { ...pair.second, name } })}
        />
      </div>
      <p className="quiet">{messages.handDirectionAndSpeedStay({ kind: PAIR_MEANS[pair.kind] })}</p>
      <ul className={styles.halves}>
        {[0, secondAt].map((at, half) => {
          const solution = half === 0 ? first : second;
          return (
            <li key={at}>
              <div className={styles.head}>
                <strong>{half === 0 ? messages.firstHalf : partName(shot, at)}</strong>
                <Link href={placeUrl('/bench', id, at)}>{messages.setOnTheBench}</Link>
              </div>
              {solution ? (
                <SettingStrip
                  keys={CARD_KEYS}
                  settings={solution.settings}
                  kit={solution.space.brief.filters}
                />
              ) : (
                <p role="alert">{messages.noAnswerWithThesePins}</p>
              )}
            </li>
          );
        })}
      </ul>
      {first && second && (
        <Checks pair={pair} first={first} second={second} onAlike={alike} name={partName(shot, secondAt)} />
      )}
      <p>
        <Button
          type="text"
          danger
          onClick={() => whole.commit(messages.partThePair, (one) => omit(one, 'pair'))}
        >
          {messages.partThePairKeepOnly}
        </Button>
      </p>
    </section>
  );
}

function solutionOf(outcome: Outcome): Solution | null {
  return outcome.solved ? outcome.solution : null;
}

function Checks({
  pair,
  first,
  second,
  name,
  onAlike,
}: {
  pair: Pair;
  first: Solution;
  second: Solution;
  name: string;
  onAlike: () => void;
}): ReactNode {
  const sheet = useMemo(() => pairSheet(pair, first, second), [pair, first, second]);
  const wish = JSON.stringify(joinOf(pair, sheet, first, second));
  const takes = useMemo(() => JSON.parse(wish) as [PreviewTake, PreviewTake], [wish]);
  const films = useFilms(takes, 480);
  const film = useMemo(() => joinedFilms(films), [films]);
  const sentence = turnSentence(pair, sheet, wantedBlurPct(pair));
  const { deliver, timelineFps } = first.space.brief.playback;
  const halves = [
    { name: messages.firstHalf, settings: first.settings, kit: first.space.brief.filters },
    { name, settings: second.settings, kit: second.space.brief.filters },
  ];
  return (
    <div className={styles.columns}>
      <div className={styles.panel}>
        <p role="status" className={sheet.joins ? undefined : styles.amiss}>
          <b>{sheet.joins ? messages.theHalvesJoin : messages.theyDoNotJoinYet}</b> {sentence}
        </p>
        <MatchTable
          cameras={halves}
          playback={first.space.brief.playback}
          caption={messages.whatBothHalvesMustShare}
        >
          <MatchRow
            must
            name={messages.viewFlows}
            values={sheet.view.ids.map(
              (view, at) => `${viewLabel(view)} ${trimmed(sheet.view.degrees[at === 0 ? 0 : 1], 0)}°`,
            )}
            so={sheet.view.same ? messages.flowsOn : messages.theLinesBendAnotherWay}
            same={sheet.view.same}
            of={halves}
          />
        </MatchTable>
        <ul className={styles.demands}>
          {sheet.demands.map((demand) => (
            <li key={demand.what} data-held={demand.held.every(Boolean)}>
              <b>{demand.held.every(Boolean) ? messages.given : messages.notGiven}</b>{' '}
              {demandText(demand, sheet)}
            </li>
          ))}
        </ul>
        <p>
          <Button type="primary" onClick={onAlike} disabled={sheet.joins}>
            {sheet.joins ? messages.bothHalvesAreAlike : messages.setBothHalvesAlikeTitle}
          </Button>
        </p>
      </div>
      <div className={styles.panel}>
        <h3>{messages.theJoin}</h3>
        <Player
          films={film}
          names={[messages.firstHalfThen({ name })]}
          view={PLAIN}
          shape={deliver.height / deliver.width}
          timelineFps={timelineFps}
          onDivide={() => undefined}
          onLoupe={() => undefined}
          onPlace={() => undefined}
          live={false}
        />
        <p className="quiet">{messages.theLastSecondOfThe}</p>
      </div>
    </div>
  );
}

const PLAIN = { layout: 'divide', divide: 1, marks: false, strokes: null, loupe: null } as const;
