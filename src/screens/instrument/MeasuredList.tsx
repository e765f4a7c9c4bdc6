'use client';

import * as messages from '@/language/instrument';
import { Button } from 'antd';
import { Trash2 } from 'lucide-react';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { ownZone } from '@/formats/today';
import { measuredSource, measuredText } from '@/words/measuredText';
import { useMeasured } from '../data/measured';
import { useRepository } from '../data/repository';
import { placeUrl } from '../routes';
import type { Target } from './targets';
import styles from './instrument.module.css';

/** What was measured so far of a shot or a mount, the last first. */
export function MeasuredList({ target }: { target: Target }): ReactNode {
  const repository = useRepository();
  const measured = useMeasured(target.of);
  const { of } = target;
  return (
    <section className={styles.measured} aria-label={messages.measuredSoFar}>
      <h2>{messages.measuredSoFar}</h2>
      {measured.length === 0 && <p className="quiet">{messages.nothingMeasured}</p>}
      <ul>
        {measured.map((one) => (
          <li key={one.id}>
            <span>
              <strong>{measuredText(one.figure)}</strong>{' '}
              <span className="quiet">{measuredSource(one, ownZone())}</span>
            </span>
            <Button
              type="text"
              aria-label={messages.removeMeasured({ what: measuredText(one.figure) })}
              icon={<Trash2 size={18} aria-hidden />}
              onClick={() => void repository?.remove('measured', one.id, messages.removeAMeasure)}
            />
          </li>
        ))}
      </ul>
      <p className="quiet">{messages.usedBy}</p>
      {'shotId' in of ? (
        <Link href={`${placeUrl('/bench', of.shotId)}&part=steadiness`}>{messages.toTheBench}</Link>
      ) : (
        <Link href={`/kit?item=${encodeURIComponent(of.kitId)}`}>{messages.toTheKit}</Link>
      )}
    </section>
  );
}
