import { type ThemeConfig, theme } from 'antd';

/** Colours of a sea chart: paper, deep-water ink, and the amber of a leading light for the course. */
const palettes = {
    light: {
        paper: '#f5f3ec',
        sheet: '#fffefa',
        ink: '#16323a',
        quiet: '#55686d',
        line: '#d8d5c8',
        deep: '#12515c',
        wash: '#e9efe9',
        course: '#a85a00',
        alarm: '#a8242f',
    },
    dark: {
        paper: '#0e1d22',
        sheet: '#15292f',
        ink: '#e7ece6',
        quiet: '#a3b5b6',
        line: '#2c454c',
        deep: '#6fc7cf',
        wash: '#1b353c',
        course: '#ffb454',
        alarm: '#ff9a94',
    },
};

export type Mode = keyof typeof palettes;

export function themeFor(mode: Mode): ThemeConfig {
    const palette = palettes[mode];
    return {
        // The styles are in a file, which styles.mjs makes.
        zeroRuntime: true,
        hashed: false,
        algorithm: mode === 'dark' ? theme.darkAlgorithm : theme.defaultAlgorithm,
        token: {
            colorPrimary: mode === 'dark' ? '#3aa3ad' : palette.deep,
            colorInfo: palette.deep,
            colorError: palette.alarm,
            colorBgBase: palette.sheet,
            colorBgLayout: palette.paper,
            colorBgContainer: palette.sheet,
            colorBgElevated: palette.sheet,
            colorTextBase: palette.ink,
            colorTextPlaceholder: palette.quiet,
            colorTextDescription: palette.quiet,
            colorBorder: palette.line,
            borderRadius: 5,
            fontFamily: "'Commissioner Variable', system-ui, sans-serif",
            fontSize: 14,
            controlHeight: 32,
            wireframe: false,
            motion: false,
        },
        components: {
            Button: { primaryShadow: 'none', colorTextLightSolid: mode === 'dark' ? '#06181c' : '#ffffff' },
            Table: { rowSelectedBg: palette.wash, rowSelectedHoverBg: palette.wash, rowHoverBg: palette.wash },
        },
    };
}
