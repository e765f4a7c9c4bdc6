'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import type { ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { placeUrl, PLACES_BY_KEY } from '../routes';
import { useKeeping } from '../data/keeping';
import { useMeaning } from '../ui/meaning';
import { useActions, useOverlay } from './actions';

// The dialogs come when they are first asked for.
const KeysDialog = dynamic(() => import('./KeysDialog').then((module) => module.KeysDialog), { ssr: false });

const GoAnywhere = dynamic(() => import('./GoAnywhere').then((module) => module.GoAnywhere), { ssr: false });

const MeaningDialog = dynamic(() => import('./MeaningDialog').then((module) => module.MeaningDialog), {
  ssr: false,
});

const AskDialog = dynamic(() => import('./AskDialog').then((module) => module.AskDialog), { ssr: false });

const KeepSetup = dynamic(() => import('./KeepSetup').then((module) => module.KeepSetup), { ssr: false });

/** Keys that work everywhere, and the list of all keys. */
export function Keys(): ReactNode {
  const router = useRouter();
  const { undo, redo, showKeys } = useActions();
  const open = useOverlay((state) => state.keys);
  const palette = useOverlay((state) => state.palette);
  const asking = useOverlay((state) => state.asking);
  const keeping = useKeeping((state) => state.kept);
  const meaning = useMeaning((state) => state.shown);
  useHotkeys('mod+z', undo, { preventDefault: true });
  useHotkeys('mod+shift+z, mod+y', redo, { preventDefault: true });
  useHotkeys('?', showKeys, { useKey: true });
  useHotkeys('mod+k', () => useOverlay.setState({ palette: true }), {
    preventDefault: true,
    enableOnFormTags: true,
  });
  useHotkeys('n', () => router.push('/?new=1'));
  useHotkeys([...PLACES_BY_KEY.keys()], (_, { keys }) => {
    const place = PLACES_BY_KEY.get(keys?.[0] ?? '');
    const shot = new URLSearchParams(window.location.search).get('shot');
    if (place) router.push(placeUrl(place.path, shot));
  });
  return (
    <>
      {open && <KeysDialog />}
      {palette && <GoAnywhere />}
      {asking && <AskDialog asking={asking} />}
      {keeping && <KeepSetup kept={keeping} />}
      {meaning && <MeaningDialog {...meaning} />}
    </>
  );
}
