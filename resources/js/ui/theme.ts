import { createTheme, type MantineColorsTuple } from '@mantine/core';

/** The accent in ten steps around #2B4C7E. */
const accent: MantineColorsTuple = [
  '#eff3f9', '#dde5f0', '#b8c8e0', '#90aad0', '#6f91c3', '#5a81bb', '#4f79b8', '#3f67a2', '#2B4C7E', '#223e69',
];

export const theme = createTheme({
  fontFamily: 'var(--sans)',
  fontFamilyMonospace: 'ui-monospace, monospace',
  headings: { fontFamily: 'var(--serif)', fontWeight: '600' },
  primaryColor: 'accent',
  primaryShade: { light: 8, dark: 3 },
  colors: { accent },
  defaultRadius: 4,
  black: '#1F2D35',
  cursorType: 'pointer',
});
