'use client';

import { message } from 'antd';
import { createContext, useContext, useMemo } from 'react';
import type { ReactNode } from 'react';

/** Short messages over the place: what was done, or what could not be. */
export interface Toast {
  say: (text: string) => void;
  complain: (text: string) => void;
}

const ToastContext = createContext<Toast>({ say: () => undefined, complain: () => undefined });

export function ToastProvider({ children }: { children: ReactNode }): ReactNode {
  const [api, holder] = message.useMessage();
  const toast = useMemo<Toast>(
    () => ({ say: (text) => void api.info(text), complain: (text) => void api.error(text, 8) }),
    [api],
  );
  return (
    <ToastContext value={toast}>
      {holder}
      {children}
    </ToastContext>
  );
}

export function useToast(): Toast {
  return useContext(ToastContext);
}
