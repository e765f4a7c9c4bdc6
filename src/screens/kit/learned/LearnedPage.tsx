'use client';

import * as messages from '@/language/kit/learned';
import type { ReactNode } from 'react';
import type { Figure, FigureKind } from '@/core/records/learned';
import type { Thing } from '@/core/records/kitItem';
import { KitPage } from '../KitPage';
import { LearnedFigures } from './LearnedFigures';
import styles from './learned.module.css';
import { ofThing, useLearning } from './useLearning';
import type { LearningState } from './useLearning';

const GROUPS: readonly { id: string; title: string; of: readonly FigureKind[] }[] = [
  { id: 'light', title: messages.light, of: ['scene', 'shade', 'sky'] },
  { id: 'shake', title: messages.shake, of: ['shake'] },
  { id: 'filter', title: messages.filter, of: ['filter'] },
  { id: 'camera', title: messages.camera, of: ['power', 'heat', 'bitRate', 'iso', 'guard'] },
  { id: 'days', title: messages.days, of: ['lateness'] },
];

/** All figures that what came back corrects. */
export function LearnedPage(): ReactNode {
  const learning = useLearning();
  return (
    <KitPage title={messages.title} lead={messages.lead}>
      <Key />
      <Told learning={learning} none={messages.nothingYet}>
        {(told) =>
          GROUPS.map(({ id, title, of }) => {
            const some = ofThing(told, (figure) => of.includes(figure.of));
            return some.corrected.length === 0 ? null : (
              <section key={id} aria-labelledby={`learned-${id}`}>
                <h3 id={`learned-${id}`}>{title}</h3>
                <LearnedFigures learning={some} />
              </section>
            );
          })
        }
      </Told>
      <p className="quiet">{messages.exported}</p>
    </KitPage>
  );
}

/** What speaks of this one thing. */
export function LearnedOfThing({ thing }: { thing: Thing }): ReactNode {
  const is = behind(thing);
  return is === null ? null : <OfThing is={is} />;
}

function OfThing({ is }: { is: (figure: Figure) => boolean }): ReactNode {
  const learning = useLearning();
  const own = learning === null || 'failed' in learning ? learning : ofThing(learning, is);
  return (
    <section aria-labelledby="learned-title">
      <h3 id="learned-title">{messages.title}</h3>
      <Told learning={own} none={messages.nothingOfIt}>
        {(told) => <LearnedFigures learning={told} />}
      </Told>
    </section>
  );
}

/** `null`: no figure stands behind such a thing. */
function behind(thing: Thing): ((figure: Figure) => boolean) | null {
  switch (thing.what) {
    case 'camera':
      return (figure) => 'cameraId' in figure && figure.cameraId === thing.profile.id;
    case 'filter':
      return (figure) => figure.of === 'filter' && figure.filterId === thing.filter.id;
    case 'mount':
      return (figure) => figure.of === 'shake' && figure.mount === thing.kind;
    case 'card':
    case 'cell':
    case 'bank':
      return null;
  }
}

function Told({
  learning,
  none,
  children,
}: {
  learning: LearningState;
  none: string;
  children: (learning: Exclude<LearningState, null | { failed: string }>) => ReactNode;
}): ReactNode {
  if (learning === null) return <p role="status">{messages.working}</p>;
  if ('failed' in learning) return <p role="alert">{messages.notWorkedOut({ why: learning.failed })}</p>;
  return learning.corrected.length === 0 ? <p className="quiet">{none}</p> : children(learning);
}

function Key(): ReactNode {
  return (
    <p className={`${styles.key ?? ''} quiet`}>
      <span>
        <svg className={styles.swatch} viewBox="0 0 34 14" aria-hidden>
          <path className={styles.before} d="M0 12 C12 12 12 3 17 3 C22 3 22 12 34 12" />
        </svg>
        {messages.before}
      </span>
      <span>
        <svg className={styles.swatch} viewBox="0 0 34 14" aria-hidden>
          <path className={styles.after} d="M0 12 C12 12 14 1 17 1 C20 1 22 12 34 12" />
        </svg>
        {messages.after}
      </span>
    </p>
  );
}
