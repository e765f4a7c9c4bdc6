import * as messages from '@/language/bench/preview';
import { Button, Slider } from 'antd';
import type { ReactNode } from 'react';
import { useToast } from '../../../ui/toast';
import type { GraphicsKind } from './graphics';
import styles from './preview.module.css';
import type { StageView } from './stage';
import type { Films } from './useFilms';
import { whyText } from '@/words/whyText';

/** How the stage is looked at, beside what is on it. */
export type StageLook = Pick<StageView, 'layout' | 'divide' | 'marks' | 'loupe'> & {
  strokes: boolean;
  live: boolean;
};

/** Under the stage: where it is divided, what is marked and drawn on it, the loupe, and how far the drawing is. */
export function StageTools({
  looked,
  onLook,
  divided,
  kind,
  films,
  onSave,
}: {
  looked: StageLook;
  onLook: (change: Partial<StageLook>) => void;
  /** Whether two pictures share the stage. */
  divided: boolean;
  kind: GraphicsKind;
  films: Films;
  /** Saves a sheet of stills; null while there is none. */
  onSave: (() => Promise<void>) | null;
}): ReactNode {
  const toast = useToast();
  const { marks, strokes, loupe, live } = looked;
  return (
    <>
      {divided && (
        <Slide label={messages.divide} value={looked.divide} onChange={(divide) => onLook({ divide })} />
      )}
      <div className={styles.toggles}>
        <Toggle
          on={marks}
          onClick={() => onLook({ marks: !marks })}
          label={messages.markBurntOutAndCrushed}
        />
        <Toggle on={strokes} onClick={() => onLook({ strokes: !strokes })} label={messages.drawTheBlur} />
        <Toggle
          on={loupe !== null}
          onClick={() => onLook({ loupe: loupe ? null : MIDDLE })}
          label={messages.loupe}
        />
        {kind !== 'none' && (
          <Toggle
            on={live}
            onClick={() => onLook({ live: !live })}
            label={kind === 'card' ? messages.drawLiveOnTheGraphics : messages.drawLive}
          />
        )}
        <Button
          disabled={onSave === null}
          onClick={() => {
            onSave?.().catch((error: unknown) => {
              toast.complain(whyText(error));
            });
          }}
        >
          {messages.saveASheetOfBoth}
        </Button>
      </div>
      {loupe && (
        <div className={styles.fields}>
          {(['x', 'y'] as const).map((axis) => (
            <Slide
              key={axis}
              label={axis === 'x' ? messages.loupeAcross : messages.loupeDown}
              value={loupe[axis]}
              onChange={(share) => onLook({ loupe: { ...loupe, [axis]: share } })}
            />
          ))}
        </div>
      )}
      <p
        className={styles.progress}
        role="status"
        data-fine={films.fine}
        data-first={films.firstMs ?? ''}
        data-loop={films.loopMs ?? ''}
      >
        {progressText(films)}
      </p>
    </>
  );
}

const MIDDLE = { x: 0.5, y: 0.5 };

function progressText({ failed, wanted, drawn, fine }: Films): string {
  if (failed !== null) return messages.thePicturesCouldNotBe({ failed });
  if (wanted === 0) return messages.starting;
  if (drawn < wanted) return messages.drawingFrameOf({ drawn, wanted });
  return fine ? messages.drawn : messages.drawnBeingRefined;
}

function Toggle({ on, label, onClick }: { on: boolean; label: string; onClick: () => void }): ReactNode {
  return (
    <Button aria-pressed={on} onClick={onClick}>
      {label}
    </Button>
  );
}

function Slide({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange: (share: number) => void;
}): ReactNode {
  return (
    <div className={styles.transport}>
      <span aria-hidden>{label}</span>
      <Slider
        className={styles.slider ?? ''}
        min={0}
        max={1}
        step={0.01}
        value={value}
        tooltip={{ open: false }}
        ariaLabelForHandle={label}
        ariaValueTextFormatterForHandle={(share) => `${Math.round(share * 100)} %`}
        onChange={onChange}
      />
    </div>
  );
}
