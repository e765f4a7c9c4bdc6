'use client';

import * as messages from '@/language/camera';
import { Button, Input } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { readCode } from '@/workers/codes';
import { pickAnyFile } from '../files/pickFile';
import { LiveCamera, pictureOf } from '../ui/LiveCamera';
import { useToast } from '../ui/toast';
import styles from './camera.module.css';

/** Between two looks of the camera, milliseconds. */
const LOOK_MS = 400;

/** Three ways to a code: this machine's camera, a picture of it, its text. */
export function CodeReader({ onText, busy }: { onText: (text: string) => void; busy: boolean }): ReactNode {
  const { complain } = useToast();
  const [pasted, setPasted] = useState('');
  const [looking, setLooking] = useState(false);
  const fromFile = (file: File): void => {
    pixelsOf(file)
      .then(readCode)
      .then((code) => {
        if (code === null) complain(messages.noCodeCouldBeRead({ file: file.name }));
        else onText(code.text);
      })
      .catch(() => complain(messages.isNoPictureThisBrowser({ file: file.name })));
  };
  return (
    <div className={styles.panel}>
      <div className={styles.buttons}>
        <Button disabled={busy} onClick={() => setLooking(!looking)} aria-pressed={looking}>
          {looking ? messages.stopLooking : messages.lookWithThisCamera}
        </Button>
        <Button disabled={busy} onClick={() => pickAnyFile('image/*', fromFile)}>
          {messages.fromAPicture}
        </Button>
      </div>
      {looking && !busy && (
        <LiveCamera
          everyMs={LOOK_MS}
          onPicture={async (picture) => {
            const code = await readCode(picture);
            if (!code) return;
            setLooking(false);
            onText(code.text);
          }}
          onFail={() => {
            setLooking(false);
            complain(messages.thisBrowserGivesNoCamera);
          }}
        />
      )}
      <form
        className={styles.paste}
        onSubmit={(event) => {
          event.preventDefault();
          if (pasted.trim() !== '') onText(pasted);
        }}
      >
        <Input
          aria-label={messages.textOfACode}
          placeholder={messages.orPasteItsTextHere}
          value={pasted}
          disabled={busy}
          onChange={(event) => setPasted(event.target.value)}
        />
        <Button htmlType="submit" disabled={busy || pasted.trim() === ''}>
          {messages.readIt}
        </Button>
      </form>
    </div>
  );
}

async function pixelsOf(file: Blob): Promise<ImageData> {
  const picture = await createImageBitmap(file);
  const pixels = pictureOf(picture, picture.width, picture.height);
  picture.close();
  return pixels;
}
