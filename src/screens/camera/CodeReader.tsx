'use client';

import * as messages from '@/language/camera';
import { Button, Input } from 'antd';
import { useEffect, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { readCode } from '@/workers/codes';
import { pickAnyFile } from '../files/pickFile';
import { useToast } from '../ui/toast';
import styles from './camera.module.css';

/** Larger than this across, a picture is made smaller before it is read. */
const MOST_ACROSS = 1600;
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
      .then((text) => {
        if (text === null) complain(messages.noCodeCouldBeRead({ file: file.name }));
        else onText(text);
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
        <Looking
          onText={(text) => {
            setLooking(false);
            onText(text);
          }}
          onFail={(why) => {
            setLooking(false);
            complain(why);
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

function Looking({
  onText,
  onFail,
}: {
  onText: (text: string) => void;
  onFail: (why: string) => void;
}): ReactNode {
  const video = useRef<HTMLVideoElement>(null);
  const told = useRef({ onText, onFail });
  useEffect(() => {
    told.current = { onText, onFail };
  });
  useEffect(() => {
    let stream: MediaStream | null = null;
    let ended = false;
    const look = async (): Promise<void> => {
      const element = video.current;
      if (ended || !element) return;
      if (element.videoWidth > 0) {
        const text = await readCode(drawn(element, element.videoWidth, element.videoHeight));
        if (text !== null) {
          told.current.onText(text);
          return;
        }
      }
      setTimeout(() => void look(), LOOK_MS);
    };
    const begin = async (): Promise<void> => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
      } catch {
        told.current.onFail(messages.thisBrowserGivesNoCamera);
        return;
      }
      if (ended || !video.current) stream.getTracks().forEach((track) => track.stop());
      else {
        video.current.srcObject = stream;
        await video.current.play();
        await look();
      }
    };
    void begin();
    return () => {
      ended = true;
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, []);
  return (
    <video ref={video} muted playsInline className={styles.video} aria-label={messages.whatThisCameraSees} />
  );
}

async function pixelsOf(file: Blob): Promise<ImageData> {
  const picture = await createImageBitmap(file);
  const pixels = drawn(picture, picture.width, picture.height);
  picture.close();
  return pixels;
}

function drawn(source: CanvasImageSource, width: number, height: number): ImageData {
  const scale = Math.min(1, MOST_ACROSS / Math.max(width, height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width * scale));
  canvas.height = Math.max(1, Math.round(height * scale));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error(messages.noCanvas);
  context.drawImage(source, 0, 0, canvas.width, canvas.height);
  return context.getImageData(0, 0, canvas.width, canvas.height);
}
