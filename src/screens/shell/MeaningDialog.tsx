'use client';

import * as messages from '@/language/shell';
import { Modal } from 'antd';
import type { ReactNode } from 'react';
import type { WordId } from '@/core/vocabulary/words';
import { PAGE_OF_WORD } from '@/core/vocabulary/words';
import { PAGE_TITLE } from '@/words/reasonTitles';
import { WORD_LABEL, WORD_MEANS } from '@/words/wordText';
import { useMeaning } from '../ui/meaning';
import { WhyLink } from '../ui/WhyLink';

/** What a word means, in a sentence, and its figure on the shot it was asked on. */
export function MeaningDialog({ word, figure }: { word: WordId; figure: string | null }): ReactNode {
  const page = PAGE_OF_WORD[word];
  const close = (): void => useMeaning.setState({ shown: null });
  return (
    <Modal open title={WORD_LABEL[word]} footer={null} onCancel={close}>
      <p>{WORD_MEANS[word]}</p>
      {figure !== null && <p className="numerals">{messages.onThisShot({ figure })}</p>}
      <p>
        <WhyLink page={page} onGo={close}>
          {messages.moreInReasons({ page: PAGE_TITLE[page] })}
        </WhyLink>
      </p>
    </Modal>
  );
}
