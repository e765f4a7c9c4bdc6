'use client';

import * as messages from '@/language/instrument';
import { Button } from 'antd';
import { useRouter } from 'next/navigation';
import type { ReactNode } from 'react';
import { useIncoming } from '../files/incoming';
import { pickPhotographed } from '../files/pickFile';
import { placeUrl } from '../routes';
import type { Target } from './targets';
import { Foot } from '../ui/Foot';
import shared from '../ui/narrowPlace.module.css';

/** The light by a photograph taken on the spot: what its camera chose says how bright it was. */
export function LightTab({ target: { of } }: { target: Target }): ReactNode {
  const router = useRouter();
  const drop = useIncoming((state) => state.drop);
  if (!('shotId' in of)) return <p role="status">{messages.lightIsOfAShot}</p>;
  return (
    <section className={shared.part} aria-label={messages.light}>
      <p className="quiet">{messages.lightHow}</p>
      <Foot>
        <Button
          type="primary"
          size="large"
          onClick={() =>
            pickPhotographed((file) => {
              drop([file]);
              router.push(`${placeUrl('/bench', of.shotId)}&part=readings`);
            })
          }
        >
          {messages.takeAPhotograph}
        </Button>
      </Foot>
    </section>
  );
}
