'use client';

import * as messages from '@/language/ui';
import { useEffect, useRef } from 'react';
import type { ReactNode } from 'react';
import styles from './ui.module.css';
import { WordedError } from '@/words/whyText';

/** Larger than this across, a picture is made smaller before it is looked at. */
const MOST_ACROSS = 1600;

/**
 * What this machine's camera sees, one picture after the other to whoever looks, each when the one before it was dealt
 * with; `everyMs` between two at least.
 */
export function LiveCamera({
  onPicture,
  onFail,
  everyMs,
}: {
  onPicture: (picture: ImageData) => Promise<void>;
  /** There is no camera, or it was refused. */
  onFail: () => void;
  everyMs: number;
}): ReactNode {
  const video = useRef<HTMLVideoElement>(null);
  const told = useRef({ onPicture, onFail });
  useEffect(() => {
    told.current = { onPicture, onFail };
  });
  useEffect(() => {
    let stream: MediaStream | null = null;
    let ended = false;
    const look = async (): Promise<void> => {
      const element = video.current;
      if (ended || !element) return;
      const began = performance.now();
      if (element.videoWidth > 0)
        await told.current.onPicture(pictureOf(element, element.videoWidth, element.videoHeight));
      setTimeout(() => void look(), Math.max(0, everyMs - (performance.now() - began)));
    };
    const begin = async (): Promise<void> => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
      } catch {
        told.current.onFail();
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
  }, [everyMs]);
  return (
    <video
      ref={video}
      muted
      playsInline
      className={styles.live ?? ''}
      aria-label={messages.whatThisCameraSees}
    />
  );
}

/** The pixels of anything that can be drawn, made smaller where they are many. */
export function pictureOf(source: CanvasImageSource, width: number, height: number): ImageData {
  const scale = Math.min(1, MOST_ACROSS / Math.max(width, height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width * scale));
  canvas.height = Math.max(1, Math.round(height * scale));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new WordedError(messages.noCanvas);
  context.drawImage(source, 0, 0, canvas.width, canvas.height);
  return context.getImageData(0, 0, canvas.width, canvas.height);
}
