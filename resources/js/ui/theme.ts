import { createTheme, type MantineColorsTuple } from '@mantine/core';

import { say } from '../lib/say';

/** The accent in ten steps around #2B4C7E. */
const accent: MantineColorsTuple = [
  '#eff3f9', '#dde5f0', '#b8c8e0', '#90aad0', '#6f91c3', '#5a81bb', '#4f79b8', '#3f67a2', '#2B4C7E', '#223e69',
];

/** What is lost or refused: ten steps around rust, #A2432B. */
const red: MantineColorsTuple = [
  '#faf0ec', '#f0dad2', '#e3b9ab', '#d89a86', '#cd7d63', '#c1684c', '#b5563a', '#A2432B', '#953c26', '#7d3220',
];

export const theme = createTheme({
  fontFamily: 'var(--sans)',
  fontFamilyMonospace: 'ui-monospace, monospace',
  headings: { fontFamily: 'var(--serif)', fontWeight: '600' },
  primaryColor: 'accent',
  primaryShade: { light: 8, dark: 3 },
  colors: { accent, red },
  defaultRadius: 4,
  black: '#1F2D35',
  cursorType: 'pointer',
  components: { Modal: { defaultProps: { closeButtonProps: { 'aria-label': say('close') } } } },
});
