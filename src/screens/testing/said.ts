import type { ReactNode } from 'react';
import type { Toast } from '../ui/toast';

/** What was said to the person, complaints with a mark before them. */
export const said: string[] = [];

const TOAST: Toast = {
  say: (text) => said.push(text),
  complain: (text) => said.push(`! ${text}`),
};

/** Stands in for the short messages over the place. */
export const toast = {
  useToast: () => TOAST,
  ToastProvider: ({ children }: { children: ReactNode }) => children,
};
