import * as messages from '@/language/camera';
import { Phrase } from '../ui/Phrase';
import type { ReactNode } from 'react';
import { usableGb } from '@/core/camera/card';
import { shiftedIso } from '@/core/day/schedule';
import { shutterFraction, trimmed } from '@/core/units/format';
import type { CameraSimulator } from '@/simulators/camera/camera';
import { RECORDING_LABEL, STABILIZATION_LABEL, viewLabel } from '@/words/labels';
import { durationText } from '@/words/settingText';
import styles from './camera.module.css';

/** What the stand-in shows on its own small screen. */
export function SmallScreen({ state }: { state: CameraSimulator }): ReactNode {
  const { setup, running, profile, card, cell } = state;
  if (!state.screenOn)
    return (
      <div className={styles.screen} data-off="true">
        <p>{cell.leftWh <= 0 ? messages.flat : messages.screenOffTooWarm}</p>
        {running && <p>{messages.recordsOn}</p>}
      </div>
    );
  const settings = setup?.settings;
  const shutter = running ? running.shutterSeconds : settings?.shutterSeconds;
  return (
    <div className={styles.screen} data-running={running !== null}>
      <p className={styles.top}>
        <b>{setup?.name ?? messages.noSetUp}</b>
        <span className="numerals">{clockOf(state)}</span>
      </p>
      {settings ? (
        <dl className="numerals">
          <div>
            <dt>{RECORDING_LABEL[settings.recording]}</dt>
            <dd>
              {messages.heightAndFrameRate({
                height: settings.resolution.height,
                frameRate: trimmed(settings.frameRate, 2),
              })}
            </dd>
          </div>
          <div>
            <dt>{messages.shutter}</dt>
            <dd>
              {shutter === undefined ? '' : messages.shutterShutter({ shutter: shutterFraction(shutter) })}
              {settings.shutterMode === 'auto' ? messages.auto : ''}
            </dd>
          </div>
          <div>
            <dt>{messages.iso}</dt>
            <dd>{running ? running.iso : `${settings.iso.min}–${settings.iso.max}`}</dd>
          </div>
          <div>
            <dt>{messages.view}</dt>
            <dd>
              {viewLabel(settings.view.id)}, {STABILIZATION_LABEL[settings.stabilization]}
            </dd>
          </div>
        </dl>
      ) : (
        <p className={styles.wait}>{messages.showMeACode}</p>
      )}
      <p className={styles.rec} aria-live="off">
        {running ? (
          <>
            <Phrase
              of={messages.recording}
              parts={[<span className="numerals">{durationText(running.seconds)}</span>]}
            />
            {Math.abs(running.offStops) > 0.1 && (
              <b>
                {messages.stopsTooBright({
                  offStops: trimmed(Math.abs(running.offStops), 1),
                  hasOffStops: running.offStops > 0,
                })}
              </b>
            )}
          </>
        ) : state.startsIn !== null ? (
          <>{messages.startsInS({ startsIn: Math.ceil(state.startsIn) })}</>
        ) : (
          messages.ready
        )}
      </p>
      <dl className={`${styles.gauges ?? ''} numerals`}>
        <Gauge
          name={messages.card}
          share={1 - card.usedGb / usableGb(card.capacityGb)}
          text={messages.capacityGb({ capacityGb: trimmed(usableGb(card.capacityGb) - card.usedGb, 1) })}
        />
        <Gauge
          name={messages.cell}
          share={cell.leftWh / cell.fullWh}
          text={`${trimmed((100 * cell.leftWh) / cell.fullWh, 0)} %`}
        />
        <Gauge
          name={messages.heat}
          share={Math.max(0, Math.min(1, state.celsius / profile.heat.shutdownC))}
          text={messages.celsius({ celsius: trimmed(state.celsius, 0) })}
          warn={state.celsius >= profile.heat.warnC}
        />
      </dl>
    </div>
  );
}

/** Its own clock, at the offset it was set with. */
function clockOf({ clockMs, setup }: CameraSimulator): string {
  const set = setup?.clock;
  if (clockMs === null || !set) return messages.clockNotSet;
  return shiftedIso(set, clockMs - Date.parse(set)).slice(11, 19);
}

function Gauge({
  name,
  share,
  text,
  warn = false,
}: {
  name: string;
  share: number;
  text: string;
  warn?: boolean;
}): ReactNode {
  return (
    <div data-warn={warn}>
      <dt>{name}</dt>
      <dd>
        <span className={styles.gauge} aria-hidden>
          <span style={{ width: `${Math.max(0, Math.min(100, 100 * share))}%` }} />
        </span>
        {text}
        {warn && messages.hot}
      </dd>
    </div>
  );
}
