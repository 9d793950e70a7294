import { theme as antd, type ThemeConfig } from 'antd';

export type ThemeName = 'light' | 'night';

export interface Palette {
  paper: string;
  raised: string;
  sunken: string;
  ink: string;
  quiet: string;
  hairline: string;
  /** Do this now. */
  ember: string;
  onEmber: string;
  emberTint: string;
  /** The fast or sour side. */
  saffron: string;
  /** The slow or bitter side. */
  indigo: string;
  /** On target. */
  fern: string;
  fernTint: string;
  rail: string;
  onRail: string;
  railChosen: string;
}

export const PALETTES: Record<ThemeName, Palette> = {
  light: {
    paper: '#F7F5F1',
    raised: '#FFFFFF',
    sunken: '#EFECE5',
    ink: '#1C2230',
    quiet: '#5C6272',
    hairline: '#DDD8CD',
    ember: '#C2472F',
    onEmber: '#FFFFFF',
    emberTint: '#F9E7E2',
    saffron: '#8A5C06',
    indigo: '#4150A8',
    fern: '#27704F',
    fernTint: '#DFEDE4',
    rail: '#1C2230',
    onRail: '#D9DCE4',
    railChosen: '#2E3647',
  },
  night: {
    paper: '#14181F',
    raised: '#1C222C',
    sunken: '#10141A',
    ink: '#ECE8E0',
    quiet: '#A3A9B6',
    hairline: '#343C49',
    ember: '#F08A70',
    onEmber: '#1A0F0B',
    emberTint: '#3A2420',
    saffron: '#E3B25A',
    indigo: '#A5B0F4',
    fern: '#74C9A0',
    fernTint: '#1E3A2E',
    rail: '#0D1015',
    onRail: '#C3C8D2',
    railChosen: '#262E3A',
  },
};

export const TEXT_FONT = "'Atkinson Hyperlegible', system-ui, sans-serif";

/** Ant Design takes all of its looks from here; there is no second sheet that overrides it. */
export function antTheme(name: ThemeName): ThemeConfig {
  const p = PALETTES[name];
  return {
    algorithm: name === 'night' ? antd.darkAlgorithm : antd.defaultAlgorithm,
    token: {
      colorPrimary: p.ember,
      colorInfo: p.indigo,
      colorSuccess: p.fern,
      colorWarning: p.saffron,
      colorError: p.ember,
      colorLink: p.indigo,
      colorText: p.ink,
      colorTextSecondary: p.quiet,
      colorTextDescription: p.quiet,
      colorTextPlaceholder: p.quiet,
      colorBgBase: p.raised,
      colorBgLayout: p.paper,
      colorBgContainer: p.raised,
      colorBgElevated: p.raised,
      colorBorder: name === 'night' ? '#59616F' : '#8E8A80',
      colorBorderSecondary: p.hairline,
      colorTextLightSolid: p.onEmber,
      fontFamily: TEXT_FONT,
      fontSize: 16,
      borderRadius: 8,
      controlHeight: 44,
      controlHeightLG: 52,
      controlHeightSM: 36,
      motion: !window.matchMedia('(prefers-reduced-motion: reduce)').matches,
      wireframe: false,
    },
    components: {
      Form: { itemMarginBottom: 16, labelColor: p.ink },
      // Ember is for what to do now, not for what is chosen.
      Radio: {
        ...{ buttonSolidCheckedBg: p.ink, buttonSolidCheckedHoverBg: p.ink, buttonSolidCheckedActiveBg: p.ink },
        buttonSolidCheckedColor: p.paper,
      },
      Button: { fontWeight: 600, primaryShadow: 'none', defaultShadow: 'none' },
    },
  };
}

/** The palette as CSS variables, for our own parts. */
export function cssVariables(name: ThemeName): Record<string, string> {
  return Object.fromEntries(Object.entries(PALETTES[name]).map(([key, value]) => [`--${key}`, value]));
}
