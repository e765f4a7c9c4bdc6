'use client';

import * as messages from '@/language/shell';
import { Modal } from 'antd';
import type { ReactNode } from 'react';
import { useOverlay } from './actions';
import type { Asking } from './actions';

/** Asks before something is done that takes much away. */
export function AskDialog({ asking: { title, text, press, then } }: { asking: Asking }): ReactNode {
  const close = (): void => useOverlay.setState({ asking: null });
  return (
    <Modal
      open
      title={title}
      okText={press}
      cancelText={messages.leaveItAll}
      onCancel={close}
      onOk={() => {
        close();
        then();
      }}
    >
      <p>{text}</p>
    </Modal>
  );
}
