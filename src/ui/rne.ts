/**
 * The widgets of React Native Elements that every screen needs, imported one by one: its index would pull every
 * widget, and with it every icon font, into the first route.
 */
export { default as Button } from '@rneui/themed/dist/Button';
export { createTheme, ThemeProvider } from '@rneui/themed/dist/config';
