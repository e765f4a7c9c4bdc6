'use client';

import * as messages from '@/language/kit';
import { Button } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import type { CameraProfile } from '@/core/camera/profile';
import { tableFindingsOf } from '@/core/camera/tableFindings';
import type { ModeWishes } from '@/core/camera/wishes';
import { faultText } from '@/words/faultText';
import type { KitItem } from '@/core/records/kitItem';
import { tableFindingText } from '@/words/cameraText';
import { TextField } from '../ui/Fields';
import { ModeMap } from '../ui/modeMap/ModeMap';
import { CameraFacts } from './CameraFacts';
import { CameraFiles } from './CameraFiles';
import { PartsEditor } from './PartsEditor';
import { RulesEditor } from './RulesEditor';
import { Setups } from './Setups';
import { useProfileDraft } from './useProfileDraft';
import styles from './kit.module.css';

/** One camera: what it can do as a map, and everything that makes it so. */
export function CameraDetail({ item, profile }: { item: KitItem; profile: CameraProfile }): ReactNode {
  const { draft, faults, edit, take, revert } = useProfileDraft(item, profile);
  const [wishes, setWishes] = useState<ModeWishes>({ recording: 'video' });
  const findings = tableFindingsOf(profile);
  return (
    <>
      <h2 className={styles.name}>{draft.name}</h2>
      <div className={styles.identity}>
        <TextField
          label={messages.name}
          value={draft.name}
          maxLength={80}
          onCommit={(name) => edit(messages.renameACamera, (one) => ({ ...one, name }))}
        />
        <TextField
          label={messages.whatItIs}
          value={draft.summary === '' ? ' ' : draft.summary}
          maxLength={300}
          onCommit={(summary) => edit(messages.describeACamera, (one) => ({ ...one, summary }))}
        />
      </div>
      {faults.length > 0 && (
        <div role="alert" className={styles.faults}>
          <p>
            {messages.notKeptYetThisWould}
            <Button type="link" onClick={revert}>
              {messages.goBackToWhatIs}
            </Button>
          </p>
          <ul>
            {faults.slice(0, 8).map((fault) => (
              <li key={faultText(fault)}>{faultText(fault)}</li>
            ))}
          </ul>
        </div>
      )}
      <section aria-labelledby="map-title">
        <h3 id="map-title">{messages.modeMap}</h3>
        <ModeMap profile={profile} wishes={wishes} onWishes={setWishes} />
      </section>
      <Setups item={item} />
      <section aria-labelledby="findings-title">
        <h3 id="findings-title">{messages.lookedOver}</h3>
        {findings.length === 0 ? (
          <p className="quiet">{messages.noOverlapsGapsImpossibleCrops}</p>
        ) : (
          <ul className={styles.findings}>
            {findings.map((finding, at) => (
              <li key={`${finding.code} ${at}`}>{tableFindingText(finding, profile)}</li>
            ))}
          </ul>
        )}
      </section>
      <RulesEditor profile={draft} edit={edit} />
      <PartsEditor profile={draft} edit={edit} />
      <section aria-labelledby="facts-title">
        <h3 id="facts-title">{messages.theCameraItself}</h3>
        <div className={styles.fields}>
          <CameraFacts profile={draft} edit={edit} />
        </div>
      </section>
      <CameraFiles profile={profile} take={take} />
    </>
  );
}
