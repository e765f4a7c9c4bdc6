'use client';

import * as messages from '@/language/kit';
import { Button } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { CameraProfileSchema } from '@/core/camera/profile';
import type { CameraProfile } from '@/core/camera/profile';
import { modesOf } from '@/core/camera/modeTable';
import { checkFile } from '@/core/schema/checkFile';
import type { Checked, Fault } from '@/core/schema/fault';
import { parseJson } from '@/formats/json';
import { download } from '../files/download';
import { fileName } from '../files/fileName';
import { askFiles } from '@/workers/files';
import { FaultList } from '../ui/FaultList';
import { pickAnyFile } from '../files/pickFile';
import type { ProfileDraft } from './useProfileDraft';
import styles from './kit.module.css';

/** The mode table as a sheet and the whole camera as JSON, out and in. A file with one fault changes nothing. */
export function CameraFiles({
  profile,
  take,
}: {
  profile: CameraProfile;
  take: ProfileDraft['take'];
}): ReactNode {
  const [refused, setRefused] = useState<{ name: string; faults: Fault[] } | null>(null);
  // Said beside the buttons, to stay: the map above redraws meanwhile, which can outlast a passing message.
  const [taken, setTaken] = useState<string | null>(null);
  const name = fileName(profile.name);
  const takeFile = (file: string, read: Checked<CameraProfile>, label: string): void => {
    setTaken(null);
    if (!read.ok) {
      setRefused({ name: file, faults: read.faults });
      return;
    }
    setRefused(null);
    // The camera stays the one it is in the kit, whatever the file calls it.
    void take(label, { ...read.value, id: profile.id }).then(() => {
      setTaken(messages.tookModesFromUndoTakes({ count: modesOf(read.value).length, file }));
    });
  };
  return (
    <section aria-labelledby="files-title">
      <h3 id="files-title">{messages.files}</h3>
      <div className={styles.actions}>
        <Button
          onClick={() =>
            void import('@/formats/modeSheet/write').then(({ writeModeSheet }) => {
              download(`${name}-modes.csv`, writeModeSheet(profile), 'text/csv');
            })
          }
        >
          {messages.modesToASheetCSV}
        </Button>
        <Button
          onClick={() =>
            pickAnyFile(
              '.csv,text/csv',
              (file) =>
                void askFiles<Checked<CameraProfile>>(async (worker) => worker.readModes(file, profile)).then(
                  (read) => {
                    takeFile(file.name, read, messages.importASheetOfModes);
                  },
                ),
            )
          }
        >
          {messages.modesFromASheet}
        </Button>
        <Button onClick={() => download(`${name}.json`, JSON.stringify(profile, null, 2))}>
          {messages.cameraToJSON}
        </Button>
        <Button
          onClick={() =>
            pickAnyFile(
              '.json,application/json',
              (file) =>
                void file.text().then((text) => {
                  const json = parseJson(text);
                  takeFile(
                    file.name,
                    json.ok ? checkFile(CameraProfileSchema, json.value) : json,
                    messages.importACamera,
                  );
                }),
            )
          }
        >
          {messages.cameraFromJSON}
        </Button>
      </div>
      <p role="status">{taken}</p>
      {refused && (
        <div role="alert" className={styles.faults}>
          <p>
            {messages.nothingWasTakenFromFault({ refused: refused.name, count: refused.faults.length })}
            <Button type="link" onClick={() => setRefused(null)}>
              {messages.close}
            </Button>
          </p>
          <FaultList faults={refused.faults} />
        </div>
      )}
    </section>
  );
}
