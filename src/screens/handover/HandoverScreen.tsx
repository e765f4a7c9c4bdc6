'use client';

import * as messages from '@/language/handover';
import { useRouter, useSearchParams } from 'next/navigation';
import type { ReactNode } from 'react';
import { ABOVE_FOOT } from '../ui/Foot';
import { PlaceTabs } from '../ui/PlaceTabs';
import { Give } from './Give';
import { TakeIn } from './TakeIn';
import shared from '../ui/narrowPlace.module.css';

const PARTS = [
  { id: 'give', label: messages.give },
  { id: 'take', label: messages.take },
] as const;

/** Hand over: what is planned or noted here to another device, and what comes from one; no server keeps anything. */
export function HandoverScreen(): ReactNode {
  const router = useRouter();
  const open = useSearchParams().get('part') === 'take' ? 'take' : 'give';
  return (
    <div className={`${shared.place ?? ''} ${ABOVE_FOOT}`}>
      <h1>{messages.handover}</h1>
      <PlaceTabs
        label={messages.parts}
        tabs={PARTS}
        open={open}
        onOpen={(part) => router.replace(part === 'take' ? '/handover?part=take' : '/handover')}
      >
        {open === 'take' ? <TakeIn /> : <Give />}
      </PlaceTabs>
    </div>
  );
}
