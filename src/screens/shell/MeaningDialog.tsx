'use client';

import * as messages from '@/language/shell';
import { Modal } from 'antd';
import type { ReactNode } from 'react';
import type { WordId } from '@/core/vocabulary/words';
import { WORD_LABEL, WORD_MEANS } from '@/words/wordText';
import { useMeaning } from '../ui/meaning';

/** What a word means, in a sentence, and its figure on the shot it was asked on. */
export function MeaningDialog({ word, figure }: { word: WordId; figure: string | null }): ReactNode {
  return (
    <Modal open title={WORD_LABEL[word]} footer={null} onCancel={() => useMeaning.setState({ shown: null })}>
      <p>{WORD_MEANS[word]}</p>
      {figure !== null && <p className="numerals">{messages.onThisShot({ figure })}</p>}
    </Modal>
  );
}
