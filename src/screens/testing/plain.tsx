import { ConfigProvider } from 'antd';
import type { ReactNode } from 'react';
import { themeConfig } from '../shell/theme';

/** The library's parts as the app has them: their styles are a file of its own, and none is worked out here. */
export function Plain({ children }: { children: ReactNode }): ReactNode {
  return <ConfigProvider theme={themeConfig('paper')}>{children}</ConfigProvider>;
}
