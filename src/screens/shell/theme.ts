import * as messages from '@/language/shell';
import type { ThemeConfig } from 'antd';
import type { Preferred } from '@/core/records/preferences';

/** The themes for Ant Design's tokens; the same colours stand as variables in globals.css. */
type ThemeName = Preferred<'theme'>;

export const THEME_LABEL: Record<ThemeName, string> = messages.themeLabel;

const COLOURS: Record<
  ThemeName,
  {
    ground: string;
    sheet: string;
    ink: string;
    quiet: string;
    rule: string;
    mine: string;
    worked: string;
    warn: string;
  }
> = {
  paper: {
    ground: '#f5f1e6',
    sheet: '#fbf8f0',
    ink: '#1d1a15',
    quiet: '#5d564a',
    rule: '#cfc6b2',
    mine: '#7a2a7d',
    worked: '#0a6259',
    warn: '#a8380b',
  },
  night: {
    ground: '#14161a',
    sheet: '#1c1f25',
    ink: '#ece7db',
    quiet: '#a9a598',
    rule: '#3a3d45',
    mine: '#e3a3e4',
    worked: '#6fd0bd',
    warn: '#ff9d6b',
  },
  glare: {
    ground: '#ffffff',
    sheet: '#ffffff',
    ink: '#000000',
    quiet: '#000000',
    rule: '#000000',
    mine: '#5a005e',
    worked: '#00473f',
    warn: '#8a2500',
  },
};

export function themeConfig(name: ThemeName): ThemeConfig {
  const colour = COLOURS[name];
  return {
    zeroRuntime: true,
    cssVar: { key: `lynxeye-${name}` },
    hashed: false,
    token: {
      fontFamily: 'var(--text)',
      fontSize: 15,
      borderRadius: 2,
      controlHeight: 36,
      // In glare nothing but black on white is left of a button.
      colorPrimary: name === 'glare' ? colour.ink : colour.mine,
      colorInfo: colour.mine,
      colorSuccess: colour.worked,
      colorWarning: colour.warn,
      colorError: colour.warn,
      colorLink: colour.mine,
      colorBgBase: colour.ground,
      colorBgContainer: colour.sheet,
      colorBgElevated: colour.sheet,
      colorTextBase: colour.ink,
      colorText: colour.ink,
      colorTextSecondary: colour.quiet,
      colorTextTertiary: colour.quiet,
      colorTextPlaceholder: colour.quiet,
      colorTextDescription: colour.quiet,
      colorTextDisabled: colour.quiet,
      colorTextLightSolid: name === 'night' ? '#14161a' : '#ffffff',
      colorBorder: colour.rule,
      colorBorderSecondary: colour.rule,
      colorSplit: colour.rule,
      boxShadow: 'none',
      boxShadowSecondary: `0 0 0 1px ${colour.rule}`,
      boxShadowTertiary: 'none',
      motion: false,
    },
    components: {
      Button: { primaryShadow: 'none', defaultShadow: 'none', dangerShadow: 'none', fontWeight: 500 },
      Select: { optionSelectedBg: 'var(--mine-wash)', optionActiveBg: 'var(--worked-wash)' },
    },
  };
}
