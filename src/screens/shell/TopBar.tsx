'use client';

import * as messages from '@/language/shell';
import { Button } from 'antd';
import { Redo2, Undo2 } from 'lucide-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { Suspense, useEffect, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { useHistory } from '../data/repository';
import { placeUrl, PLACES, usePlace, useShotId } from '../routes';
import { useActions } from './actions';
import { MenuButton } from './MenuButton';
import styles from './shell.module.css';

// The menu's code comes when it is first opened: Start is kept light.
const MainMenu = dynamic(() => import('./MainMenu').then((module) => module.MainMenu), {
  ssr: false,
  loading: () => <MenuButton loading />,
});

export function TopBar(): ReactNode {
  const [menuWanted, setMenuWanted] = useState(false);
  return (
    <header className={styles.bar}>
      <Link href="/" className={styles.mark}>
        {messages.lynxeye}
      </Link>
      <Suspense>
        <Places />
      </Suspense>
      <UndoButtons />
      {menuWanted ? <MainMenu /> : <MenuButton onClick={() => setMenuWanted(true)} />}
    </header>
  );
}

/** On a phone the open place stands this far in, so that one sees there are others before it. */
const SHOWS_BEFORE_PX = 90;

function Places(): ReactNode {
  const here = usePlace();
  const shotId = useShotId();
  const nav = useRef<HTMLElement>(null);
  useEffect(() => {
    const open = nav.current?.querySelector<HTMLElement>('[aria-current]');
    if (open && nav.current)
      nav.current.scrollLeft = open.offsetLeft - nav.current.offsetLeft - SHOWS_BEFORE_PX;
  }, [here]);
  return (
    <nav ref={nav} aria-label={messages.places} className={styles.places}>
      {PLACES.map(({ path, label }) => (
        <Link
          key={path}
          href={placeUrl(path, shotId)}
          prefetch={false}
          aria-current={path === here ? 'page' : undefined}
        >
          {label}
        </Link>
      ))}
    </nav>
  );
}

function UndoButtons(): ReactNode {
  const { undoLabel, redoLabel } = useHistory();
  const { undo, redo } = useActions();
  return (
    <div className={styles.undo}>
      <Button
        type="text"
        icon={<Undo2 size={18} aria-hidden />}
        disabled={undoLabel === null}
        aria-label={undoLabel === null ? messages.nothingToUndo : messages.undo({ undoLabel })}
        title={undoLabel === null ? messages.nothingToUndo : messages.undo({ undoLabel })}
        onClick={undo}
      />
      <Button
        type="text"
        icon={<Redo2 size={18} aria-hidden />}
        disabled={redoLabel === null}
        aria-label={redoLabel === null ? messages.nothingToRedo : messages.redo({ redoLabel })}
        title={redoLabel === null ? messages.nothingToRedo : messages.redo({ redoLabel })}
        onClick={redo}
      />
    </div>
  );
}
